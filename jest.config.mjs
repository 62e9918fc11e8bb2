/** Unit tests: beside the source of every room. */
export default {
  testMatch: ['<rootDir>/{core,drawing,machine,cli,web,examples}/**/*.test.{ts,tsx}'],
  setupFiles: ['<rootDir>/jest.setup.cjs'],
  modulePathIgnorePatterns: ['<rootDir>/web/.next/', '<rootDir>/cli/dist/'],
  transform: {
    '\\.csv$': '<rootDir>/scripts/text-module.cjs',
    'node_modules/(flatbush|flatqueue|delaunator|robust-predicates|@seriousme)/.+\\.js$': [
      '@swc/jest',
      { module: { type: 'commonjs' } },
    ],
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
  // A test file has globals of its own, and to look one up is slow: those of the inner loops are handed in.
  sandboxInjectedGlobals: [
    'Math',
    'Number',
    'Array',
    'Object',
    'Map',
    'Set',
    'Float64Array',
    'Int32Array',
    'Uint8Array',
    'Uint32Array',
  ],
  // Packages that are modules only.
  transformIgnorePatterns: ['/node_modules/(?!(flatbush|flatqueue|delaunator|robust-predicates|@seriousme)/)'],
  // Kept from one run to the next, whatever folder the tests write to.
  cacheDirectory: '<rootDir>/.cache/jest',
  // A busy machine fails no test.
  testTimeout: 120_000,
  reporters: ['default'],
};
