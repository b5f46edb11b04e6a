import nextJest from 'next/jest.js';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';

const createConfig = nextJest({ dir: './' });
/** Packages that ship only ES modules and must be compiled for Jest. */
const COMPILED = [
  'd3',
  'd3-[a-z-]+',
  'internmap',
  'delaunator',
  'robust-predicates',
  'uuid',
  'p-queue',
  'p-timeout',
  'age-encryption',
  '@noble',
  '@scure',
];
const PLAIN = '<rootDir>/scripts/plainGlobals.mjs';
const shared = {
  moduleNameMapper: {
    '^@/(.*)$': '<rootDir>/src/$1',
    '^server-only$': '<rootDir>/src/core/testing/empty.ts',
  },
  setupFiles: ['<rootDir>/src/core/testing/jestSetup.ts'],
};

/** Where the tests lie that open databases. */
const DATA = ['src/data', 'src/crib', 'src/app', 'src/workers', 'demo'];
/** Those of them that lay out folders, start processes or walk through everything: each by itself. */
const ALONE = [
  'demo/demo.test.ts',
  'src/crib/exchange/hostile.test.ts',
  'src/crib/keeping/archive/archive.test.ts',
  'src/crib/keeping/keeper.test.ts',
  'src/crib/keeping/keeping.test.ts',
  'src/crib/keeping/released.test.ts',
  'src/crib/ledger/damage.test.ts',
  'src/crib/ledger/takeBack.test.ts',
  'src/data/database/database.test.ts',
  'src/data/database/upgrade.test.ts',
  'src/workers/pool.test.ts',
].map((name) => join(import.meta.dirname, name));
const dataTests = DATA.flatMap((folder) =>
  readdirSync(join(import.meta.dirname, folder), { recursive: true })
    .filter((name) => name.endsWith('.test.ts'))
    .map((name) => join(import.meta.dirname, folder, name)),
).sort();

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
      testEnvironment: PLAIN,
      testMatch: [
        '<rootDir>/src/{core,ui}/**/*.test.{ts,tsx}',
        '<rootDir>/src/*.test.ts',
        '<rootDir>/scripts/**/*.test.{ts,mjs}',
      ],
    }),
    await project({
      // Each file by itself, for whoever works on one.
      displayName: 'data',
      testEnvironment: PLAIN,
      testMatch: dataTests,
    }),
    await project({
      // All of them but those that run alone, as npm test runs them.
      displayName: 'gathered',
      testEnvironment: PLAIN,
      testMatch: ['<rootDir>/gathered/*.test.ts'],
      globals: { GATHERED: dataTests.filter((file) => !ALONE.includes(file)) },
    }),
    await project({ displayName: 'alone', testEnvironment: PLAIN, testMatch: ALONE }),
  ],
  // Against a test that hangs, not a measure of speed: a busy machine takes several times as long as a quiet one.
  testTimeout: 180_000,
});
export default jestConfig;
