const alias = { '^@/(.*)$': '<rootDir>/src/$1' };
const transformIgnorePatterns = [
  '/node_modules/(?!((jest-)?react-native|@react-native(-community)?|expo(nent)?|@expo(nent)?/.*|@expo-google-fonts/.*|tamagui|@tamagui/.*|lucide-react-native|react-native-svg|@ours/.*|standard-navigation|uuid|idb))',
];

module.exports = {
  projects: [
    {
      displayName: 'data',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/{src,metro}/**/*.test.ts'],
      transform: { '\\.[cm]?[jt]s$': require.resolve('../../tools/jestEsbuild.cjs') },
      transformIgnorePatterns: ['/node_modules/(?!(@ours|uuid|idb)/)'],
      moduleNameMapper: alias,
    },
    {
      displayName: 'web',
      preset: 'jest-expo/web',
      testMatch: ['<rootDir>/src/**/*.web.test.tsx'],
      testEnvironmentOptions: { customExportConditions: ['require', 'default'] },
      setupFiles: ['<rootDir>/test/browserStubs.cjs', '<rootDir>/test/fastStyles.cjs'],
      transformIgnorePatterns,
      moduleNameMapper: alias,
    },
  ],
};
