/** Which room may know which. Imports point one way: app → contracts → core, server → contracts → core. */
module.exports = {
  forbidden: [
    {
      name: 'core-knows-nobody',
      severity: 'error',
      from: { path: '^packages/core/src', pathNot: '\\.test\\.ts$' },
      to: { pathNot: '^packages/core/src' },
    },
    {
      name: 'contracts-know-core',
      severity: 'error',
      from: { path: '^packages/contracts/src', pathNot: '\\.test\\.ts$' },
      to: { path: '^(apps|demo|e2e)/' },
    },
    { name: 'server-not-app', severity: 'error', from: { path: '^apps/server' }, to: { path: '^(apps/app|e2e)/' } },
    {
      name: 'app-not-server',
      severity: 'error',
      from: { path: '^apps/app' },
      to: { path: '^(apps/server|demo|e2e)/' },
    },
    { name: 'demo-knows-core', severity: 'error', from: { path: '^demo/src' }, to: { path: '^(apps|e2e)/' } },
    {
      name: 'ui-below-features',
      severity: 'error',
      from: { path: '^apps/app/src/(ui|data)' },
      to: { path: '^apps/app/src/features' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    { name: 'resolvable', severity: 'error', from: {}, to: { couldNotResolve: true, pathNot: '^(expo-|@expo)' } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(node_modules|/dist/)' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.imports.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      extensions: ['.ts', '.tsx', '.js', '.cjs', '.mjs', '.json'],
    },
  },
};
