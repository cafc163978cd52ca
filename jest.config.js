import process from 'node:process';

/** Unit, property and server tests; browser tests live in e2e and run under Playwright. */
const transform = { '^.+\\.(tsx?|m?js)$': '<rootDir>/scripts/jest-bundle.js' };
/** Test files that run with others of their room, in one script: `scripts/rooms.js` says which. */
const together = JSON.parse(process.env.TOGETHER ?? '[]');
/** A folder whose tests run later; none is left out where nothing is said. */
const later = process.env.LATER ? [`<rootDir>/${process.env.LATER}/`] : [];
const literally = (file) => `/${file.replaceAll('.', String.raw`\.`)}$`;
export default {
  testEnvironment: 'node',
  testMatch: ['<rootDir>/{core,server,web,bench,house}/**/*.test.{ts,tsx}', '<rootDir>/.rooms/*.test.js'],
  testPathIgnorePatterns: [
    ...['/node_modules/', ...later, ...together.map(literally)],
    ...(together.length > 0 ? [] : ['/.rooms/']),
  ],
  setupFiles: ['<rootDir>/web/src/testing/setup.ts'],
  globalSetup: '<rootDir>/scripts/jest-forget.js',
  testSequencer: '<rootDir>/scripts/jest-order.js',
  transform,
  // Published as modules only.
  transformIgnorePatterns: ['/node_modules/(?!(@gltf-transform|property-graph|nanoid|three)/)', '/\\.rooms/'],
  moduleNameMapper: {
    // Styles are for browsers.
    '\\.css$': '<rootDir>/web/src/testing/no-style.ts',
    // Its other build is a module, which tests can not load.
    '^d3$': '<rootDir>/node_modules/d3/dist/d3.js',
    '^@sill/core$': '<rootDir>/core/src/index.ts',
    '^@sill/core/(.*)$': '<rootDir>/core/src/$1/index.ts',
  },
  maxWorkers: 2,
  // A machine that is busy with other work is slow, not wrong.
  testTimeout: 30_000,
};
