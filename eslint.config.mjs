import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const executed = [
  { selector: "CallExpression[callee.name='eval']", message: 'Nothing is executed from text.' },
  { selector: "NewExpression[callee.name='Function']", message: 'Nothing is executed from text.' },
];

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
      'no-restricted-syntax': ['error', ...executed],
    },
  },
  // Classes that a table fills with what it says.
  {
    files: ['web/server/{edit-request,nested}.ts'],
    rules: { '@typescript-eslint/no-extraneous-class': ['error', { allowEmpty: true }] },
  },
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  {
    files: ['**/*.ts', '**/*.tsx'],
    ignores: ['web/app/**', 'web/next.config.ts', 'web/drizzle.config.ts', 'e2e/{ready,done}.ts'],
    rules: { 'no-restricted-exports': ['error', { restrictDefaultExports: { direct: true } }] },
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    // What a call says can be read without counting commas.
    files: ['**/*.ts', '**/*.tsx'],
    rules: {
      'max-params': ['error', 5],
      'no-restricted-syntax': [
        'error',
        ...executed,
        {
          selector: ':function > Identifier[typeAnnotation.typeAnnotation.type="TSBooleanKeyword"]',
          message: 'Say what it means in a word, not true or false.',
        },
      ],
    },
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
