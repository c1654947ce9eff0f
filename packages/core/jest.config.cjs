module.exports = {
  testEnvironment: 'node',
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  transform: { '\\.[cm]?[jt]s$': require.resolve('../../tools/jestEsbuild.cjs') },
  transformIgnorePatterns: ['/node_modules/(?!(@ours|fast-check|pure-rand|uuid)/)'],
};
