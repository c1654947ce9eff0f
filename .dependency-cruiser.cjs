/** Which room may know which. Imports point one way: app → contracts → core, server → contracts → core. */
const TESTS = '\\.test(-support)?\\.tsx?$';

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
      name: 'core-folders-meet-at-the-index',
      comment: 'Kinds of rows (*.entity.ts) and their rules (*.rules.ts) are read by the registry and by each other.',
      severity: 'error',
      from: { path: '^packages/core/src/([^/]+)/', pathNot: [TESTS, '\\.rules\\.ts$'] },
      to: {
        path: '^packages/core/src/[^/]+/',
        pathNot: ['^packages/core/src/$1/', '/index\\.ts$', '\\.(entity|rules)\\.ts$'],
      },
    },
    {
      name: 'entities-are-read-through-the-registry',
      severity: 'error',
      from: { path: '^packages/core/src/', pathNot: [TESTS, '^packages/core/src/household/', '\\.entity\\.ts$'] },
      to: { path: '\\.(entity|rules)\\.ts$', pathNot: '^packages/core/src/household/' },
    },
    {
      name: 'features-meet-at-the-index',
      comment: 'Parts at index.ts, sentences at words.ts, which draws nothing.',
      severity: 'error',
      from: { path: '^apps/app/src/features/([^/]+)/', pathNot: TESTS },
      to: { path: '^apps/app/src/features/', pathNot: ['^apps/app/src/features/$1/', '/(index|words)\\.ts$'] },
    },
    {
      name: 'routes-take-screens',
      comment: 'A screen is imported by its own file, so that one view does not load the others.',
      severity: 'error',
      from: { path: '^apps/app/app/' },
      to: { path: '^apps/app/src/features/', pathNot: '(Screen|Gate)\\.tsx$' },
    },
    {
      name: 'kit-knows-no-household',
      severity: 'error',
      from: { path: '^apps/app/src/kit/', pathNot: TESTS },
      to: { path: '^apps/app/src/(?!kit/)' },
    },
    {
      name: 'data-draws-nothing',
      severity: 'error',
      from: { path: '^apps/app/src/(data|jobs)/', pathNot: TESTS },
      to: { path: '^apps/app/src/(kit|shared|features)/' },
    },
    {
      name: 'shared-below-features',
      severity: 'error',
      from: { path: '^apps/app/src/shared/', pathNot: TESTS },
      to: { path: '^apps/app/src/features/' },
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
