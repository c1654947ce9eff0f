import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const CLOCKS = [
  {
    selector: "MemberExpression[object.name='Date'][property.name='now']",
    message: 'Core gets the time as an argument.',
  },
  { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'Core gets the time as an argument.' },
  {
    selector: "MemberExpression[object.name='Math'][property.name='random']",
    message: 'Core gets randomness as an argument.',
  },
];

/** Core's own project knows no tests: they may use what core may not. */
const PROJECTS = [
  'packages/core/tsconfig.test.json',
  'packages/contracts/tsconfig.json',
  'apps/*/tsconfig.json',
  'demo/tsconfig.json',
  'bench/tsconfig.json',
  'e2e/tsconfig.json',
];

export default tseslint.config(
  {
    ignores: [
      '**/node_modules/**',
      '**/dist*/**',
      '**/.expo/**',
      'apps/server/drizzle/**',
      '.data/**',
      'e2e/test-results/**',
      'apps/app/public/**',
    ],
  },
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
      '@typescript-eslint/no-require-imports': 'off',
      eqeqeq: 'error',
      'no-console': 'error',
      'max-lines': ['error', { max: 420, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    files: ['**/*.ts', '**/*.tsx'],
    languageOptions: { parserOptions: { project: PROJECTS, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
    },
  },
  {
    files: ['packages/core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: { 'no-restricted-syntax': ['error', ...CLOCKS] },
  },
  {
    files: ['apps/app/**/*.tsx', 'apps/app/**/*.ts'],
    plugins: { 'react-hooks': reactHooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    files: ['**/*.test.ts', '**/*.test.tsx', '**/*.test-support.ts'],
    rules: { 'max-lines': 'off', '@typescript-eslint/no-non-null-asserted-optional-chain': 'off' },
  },
  { files: ['demo/src/catalogue.ts'], rules: { 'max-lines': 'off' } },
  {
    files: ['**/*.cjs', '**/*.config.js'],
    languageOptions: {
      globals: { module: 'writable', require: 'readonly', __dirname: 'readonly', process: 'readonly' },
    },
  },
);
