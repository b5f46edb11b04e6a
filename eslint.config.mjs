import next from 'eslint-config-next';
import typescript from 'eslint-config-next/typescript';

const INTERFACE = ['src/{ui,app}/**/*.{ts,tsx}'];

/** The two that need no compiler. */
const HOOKS = ['react-hooks/rules-of-hooks', 'react-hooks/exhaustive-deps'];

const config = [
  { ignores: ['.next*/**', '.stable/**', 'node_modules/**', 'next-env.d.ts', 'test-results/**'] },
  // What is asked of components and pages is asked where they are: over everything it took most of the time.
  ...next.map((part) => (part.name === 'next' ? { ...part, files: INTERFACE } : part)),
  ...typescript,
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      eqeqeq: ['error', 'smart'],
    },
  },
  {
    files: INTERFACE,
    // It says what React's compiler can't memoize; that compiler is not used here.
    rules: { 'react-hooks/incompatible-library': 'off' },
  },
  {
    // Tests of components are read through for nothing that only a compiler of components could tell.
    files: ['src/**/*.test.tsx'],
    rules: Object.fromEntries(
      Object.keys(next[0].rules)
        .filter((rule) => rule.startsWith('react-hooks/') && !HOOKS.includes(rule))
        .map((rule) => [rule, 'off']),
    ),
  },
  {
    // The ground floor computes; clock, randomness, files and data come in as arguments.
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts', 'src/core/testing/**'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process'],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The clock is an argument.' },
        { object: 'Math', property: 'random', message: 'The random source is an argument.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'The clock is an argument.',
        },
      ],
    },
  },
  {
    // Next's own link asks the server for every page that it could lead to.
    files: INTERFACE,
    ignores: ['src/ui/kit/link/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        { paths: [{ name: 'next/link', message: 'Take Link of @/ui/kit/link: it fetches nothing ahead.' }] },
      ],
    },
  },
  {
    // Tables and columns are named on the floor of the data alone.
    files: ['src/crib/**/*.ts'],
    ignores: ['src/crib/**/*.test.ts', 'src/crib/testing.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: '@/data/database',
              importNames: ['insert', 'inserts', 'insertsWithId', 'many', 'maybeOne', 'one'],
              message: 'Tables and columns are named in src/data alone: call a function of its rooms.',
            },
          ],
        },
      ],
    },
  },
];

export default config;
