/** Unit tests: beside the source of every room. */
export default {
  testMatch: ['<rootDir>/{core,drawing,cli,web}/**/*.test.{ts,tsx}'],
  setupFiles: ['<rootDir>/jest.setup.cjs'],
  modulePathIgnorePatterns: ['<rootDir>/web/.next/', '<rootDir>/cli/dist/'],
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true, decorators: true },
          transform: { legacyDecorator: true, decoratorMetadata: true, react: { runtime: 'automatic' } },
        },
      },
    ],
  },
  reporters: ['default'],
};
