/** Jest runs the core, the data layer and what can be reckoned of the drawings in Node; a real browser does the rest. */
const swc = [
  '@swc/jest',
  {
    jsc: {
      parser: { syntax: 'typescript', tsx: true, decorators: true },
      transform: { legacyDecorator: true, decoratorMetadata: true, react: { runtime: 'automatic' } },
      target: 'es2022',
    },
    module: { type: 'commonjs' },
  },
]

export default {
  testEnvironment: 'node',
  maxWorkers: '100%', // the suites share nothing
  testTimeout: 60_000, // a machine that is busy is slow; a test that hangs is still told
  roots: ['<rootDir>/src', '<rootDir>/scripts'],
  testMatch: ['**/*.test.ts'],
  globalSetup: '<rootDir>/jest.seed.mjs',
  setupFiles: ['<rootDir>/jest.property.mjs'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  transform: { '^.+\\.(tsx?|mjs|js)$': swc },
  transformIgnorePatterns: ['/node_modules/(?!d3-|pitchy)'], // they ship modules only
}
