module.exports = {
  testEnvironment: 'node',
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  globalSetup: '<rootDir>/test/startCluster.cjs',
  transform: { '\\.[cm]?[jt]s$': require.resolve('../../tools/jestEsbuild.cjs') },
  transformIgnorePatterns: ['/node_modules/(?!(@ours|uuid|cookie)/)'],
  maxWorkers: 2,
};
