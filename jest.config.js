/** Unit, property and server tests; browser tests live in e2e and run under Playwright. */
const transform = {
  '^.+\\.(tsx?|m?js)$': [
    '@swc/jest',
    {
      jsc: {
        parser: { syntax: 'typescript', tsx: true },
        target: 'es2022',
        transform: { react: { runtime: 'automatic' } },
      },
    },
  ],
};
export default {
  testEnvironment: 'node',
  testMatch: ['<rootDir>/{core,server,web,bench,house}/**/*.test.{ts,tsx}'],
  setupFiles: ['<rootDir>/web/src/testing/setup.ts'],
  transform,
  // Published as modules only.
  transformIgnorePatterns: ['/node_modules/(?!(@gltf-transform|property-graph)/)'],
  moduleNameMapper: {
    // Its other build is a module, which tests can not load.
    '^d3$': '<rootDir>/node_modules/d3/dist/d3.js',
    '^@sill/core$': '<rootDir>/core/src/index.ts',
    '^@sill/core/(.*)$': '<rootDir>/core/src/$1/index.ts',
  },
  maxWorkers: 2,
  // A machine that is busy with other work is slow, not wrong.
  testTimeout: 30_000,
};
