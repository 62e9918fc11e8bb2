import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['**/node_modules/', '**/.next/', '**/dist/', 'web/next-env.d.ts', '.cache/', '**/wasm/'] },
  ...tseslint.configs.strict,
  {
    rules: {
      // Typed arrays are read inside loops that keep their bounds; there `!` says what the loop has made sure of.
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-extraneous-class': ['error', { allowWithDecorator: true }],
      eqeqeq: 'error',
      'no-restricted-syntax': [
        'error',
        { selector: "CallExpression[callee.name='eval']", message: 'Nothing is executed from text.' },
        { selector: "NewExpression[callee.name='Function']", message: 'Nothing is executed from text.' },
      ],
    },
  },
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  {
    files: ['**/*.ts', '**/*.tsx'],
    ignores: ['web/app/**', 'web/next.config.ts', 'web/drizzle.config.ts'],
    rules: { 'no-restricted-exports': ['error', { restrictDefaultExports: { direct: true } }] },
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    files: ['core/**/*.ts', 'drawing/**/*.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'Date',
        'setTimeout',
        'performance',
        'localStorage',
      ],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random', message: 'The core has no randomness.' }],
    },
  },
);
