import unit from '../jest.config.mjs';

/** Journeys through the built application in a real browser, one after the other. */
export default {
  ...unit,
  rootDir: '..',
  globalSetup: '<rootDir>/e2e/ready.ts',
  globalTeardown: '<rootDir>/e2e/done.ts',
  testMatch: ['<rootDir>/e2e/**/*.journey.ts'],
  testTimeout: 600_000,
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'commonjs', ignoreDynamic: true } },
    ],
  },
};
