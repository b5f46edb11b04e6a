import nextJest from 'next/jest.js';

const createConfig = nextJest({ dir: './' });
/** Packages that ship only ES modules and must be compiled for Jest. */
const COMPILED = [
  'd3',
  'd3-[a-z-]+',
  'internmap',
  'delaunator',
  'robust-predicates',
  'uuid',
  'age-encryption',
  '@noble',
  '@scure',
];
const shared = {
  moduleNameMapper: {
    '^@/(.*)$': '<rootDir>/src/$1',
    '^server-only$': '<rootDir>/src/core/testing/empty.ts',
  },
  setupFiles: ['<rootDir>/src/core/testing/jestSetup.ts'],
};

async function project(over) {
  const config = await createConfig({ ...shared, ...over })();
  config.transformIgnorePatterns = [
    `/node_modules/(?!(${COMPILED.join('|')})/)`,
    '^.+\\.module\\.(css|sass|scss)$',
  ];
  return config;
}

const jestConfig = async () => ({
  projects: [
    await project({
      displayName: 'unit',
      testEnvironment: 'node',
      testMatch: [
        '<rootDir>/src/{core,ui}/**/*.test.{ts,tsx}',
        '<rootDir>/src/*.test.ts',
        '<rootDir>/scripts/**/*.test.{ts,mjs}',
      ],
    }),
    await project({
      displayName: 'data',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/src/{data,crib,app,workers}/**/*.test.ts', '<rootDir>/demo/**/*.test.ts'],
    }),
  ],
  // Against a test that hangs, not a measure of speed: a busy machine takes several times as long as a quiet one.
  testTimeout: 180_000,
});
export default jestConfig;
