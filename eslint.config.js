import eslint from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';
import { layerRules } from './eslint.layers.js';

const outOfCore = {
  group: ['**/server/**', '**/web/**', 'node:*', 'react', 'react/*', 'hono', 'mysql2*'],
  message: 'core/ is pure computation: it imports neither the server, the interface nor Node.js.',
};

const pureGlobals = [
  { name: 'Date', message: 'Time is an argument in core/.' },
  { name: 'performance', message: 'Time is an argument in core/.' },
  { name: 'console', message: 'core/ does no I/O.' },
  { name: 'fetch', message: 'core/ does no I/O.' },
];

const outOfServer = { group: ['**/web/**'], message: 'The server never imports the interface.' };
const outOfWeb = {
  group: ['**/server/**', 'node:*'],
  message: 'The interface reaches the server over HTTP only.',
};

export default tseslint.config(
  { ignores: ['dist', 'node_modules', '.data', '.data-empty', 'coverage'] },
  eslint.configs.recommended,
  {
    files: ['**/*.ts', '**/*.tsx'],
    extends: [tseslint.configs.strictTypeChecked],
    languageOptions: {
      parserOptions: {
        project: [
          'core/tsconfig.test.json',
          'server/tsconfig.json',
          'web/tsconfig.json',
          'scripts/tsconfig.json',
        ],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      eqeqeq: 'error',
    },
  },
  {
    // Numeric code walks typed arrays by index; with unchecked access typed as possibly undefined, saying that
    // the element is there is the plain way.
    files: ['core/**/*.ts'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts', 'core/testing/**'],
    rules: {
      'no-restricted-globals': ['error', ...pureGlobals],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Randomness is an argument in core/.' },
      ],
    },
  },
  { files: ['server/**/*.ts'], rules: { 'no-restricted-imports': ['error', { patterns: [outOfServer] }] } },
  {
    files: ['web/**/*.ts', 'web/**/*.tsx'],
    plugins: { 'react-hooks': hooks },
    rules: hooks.configs.recommended.rules,
  },
  {
    files: ['web/**/*.ts', 'web/**/*.tsx'],
    // Tests run in Node.js and may read the library.
    ignores: ['**/*.test.ts', '**/*.test.tsx', 'web/testing/**'],
    rules: { 'no-restricted-imports': ['error', { patterns: [outOfWeb] }] },
  },
  ...layerRules({ core: [outOfCore], web: [outOfWeb], server: [outOfServer] }),
  {
    files: ['**/*.mjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        setInterval: 'readonly',
        clearInterval: 'readonly',
      },
    },
  },
);
