/** What nobody uses: files, exports, dependencies. Types an export is made of stay with it. */
export default {
  ignoreExportsUsedInFile: true,
  // Called by name from scripts.
  ignoreDependencies: ['dependency-cruiser'],
  ignoreBinaries: ['depcruise'],
  workspaces: {
    '.': { entry: ['tools/*.{mjs,cjs}'], project: ['tools/**'] },
    'packages/core': { project: ['src/**/*.ts'] },
    'packages/contracts': { entry: ['src/wire.ts'], project: ['src/**/*.ts'] },
    'apps/server': { entry: ['src/main.ts', 'src/prepare.ts'], project: ['src/**/*.ts'] },
    'apps/app': {
      entry: ['app/**/*.tsx', 'src/jobs/job.worker.ts', 'src/**/*.web.ts', 'scripts/*.mjs', 'test/*.cjs'],
      project: ['src/**/*.{ts,tsx}', 'app/**/*.tsx'],
      // Peers of the router and of its animations; what the platform's own settings mention for other targets; read by addFonts.mjs.
      ignoreDependencies: [
        /^@fontsource\//,
        'react-native-worklets',
        'react-test-renderer',
        'expo-updates',
        'expo-system-ui',
      ],
    },
    demo: { project: ['src/**/*.ts'] },
    e2e: { entry: ['*.ts', 'journeys/*.spec.ts'], project: ['**/*.ts'] },
    bench: { entry: ['*.ts'], project: ['*.ts'] },
  },
};
