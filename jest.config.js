/** Unit and server tests, run as ES modules straight from the sources. */
const swc = [
  '<rootDir>/scripts/jestTransform.mjs',
  {
    jsc: {
      parser: { syntax: 'typescript', tsx: true, decorators: true },
      transform: {
        legacyDecorator: true,
        decoratorMetadata: true,
        useDefineForClassFields: false,
        react: { runtime: 'automatic' },
      },
      target: 'es2022',
    },
    module: { type: 'es6' },
  },
];

export default {
  testEnvironment: 'node',
  // long, so that a slow machine is no failure
  testTimeout: 120_000,
  maxWorkers: '100%',
  roots: ['<rootDir>/core', '<rootDir>/contract', '<rootDir>/server', '<rootDir>/web/test'],
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  setupFiles: ['<rootDir>/core/test/seed.ts'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: { '^.+\\.tsx?$': swc },
  moduleNameMapper: {
    '\\.woff2?(\\?.*)?$': '<rootDir>/web/test/font.mjs',
    '^#core/(.*)$': '<rootDir>/core/src/$1/index.ts',
    '^#contract$': '<rootDir>/contract/src/index.ts',
    '^#contract/(.*)$': '<rootDir>/contract/src/$1.ts',
    '^#demo$': '<rootDir>/demo/src/index.ts',
    '^(\\.{1,2}/.*)\\.js$': '$1',
  },
  modulePathIgnorePatterns: ['<rootDir>/dist/'],
};
