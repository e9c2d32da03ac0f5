import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

export default ts.config(
  { ignores: ['**/node_modules/**', '**/dist/**', '.estribo/**'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  {
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', ignoreRestSiblings: true }],
      eqeqeq: 'error',
    },
  },
  { files: ['web/**/*.{ts,tsx}'], ...hooks.configs.flat['recommended-latest'] },
  {
    files: ['**/*.mjs', '**/*.cjs'],
    rules: { '@typescript-eslint/no-require-imports': 'off' },
    languageOptions: {
      globals: Object.fromEntries(
        [
          'process',
          'console',
          'setTimeout',
          'clearTimeout',
          'setInterval',
          'clearInterval',
          'fetch',
          'URL',
          'performance',
          'structuredClone',
          'module',
          'require',
          'Buffer',
          'AbortSignal',
        ].map((name) => [name, 'readonly']),
      ),
    },
  },
);
