// The house: floors only look down, a room's inside is reached through its index.
// The inside of a room: any file of it but its index.
const INSIDE = '^src/(?:crib|data|core)/[^/]+/(?!index\\.ts$)';
const forbid = (name, comment, from, to) => ({ name, comment, severity: 'error', from, to });
/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    forbid('no-circles', 'An import circle has no bottom floor.', {}, { circular: true }),
    forbid(
      'core-imports-nothing',
      'The core computes and imports only itself; the laws of chance come from jstat, at one place.',
      {
        path: '^src/core/',
        pathNot: '\\.test\\.ts$|^src/core/testing/|^src/core/statistics/distributions\\.ts$',
      },
      { pathNot: '^src/core/' },
    ),
    forbid(
      'data-looks-down',
      'data imports core only.',
      { path: '^src/data/' },
      { path: '^src/(app|ui|crib|workers|tools)/' },
    ),
    forbid(
      'crib-looks-down',
      'crib imports core and data only.',
      { path: '^src/crib/' },
      { path: '^src/(app|ui|workers|tools)/' },
    ),
    forbid(
      'workers-do-tasks',
      'workers take the tasks of the crib, and what these take: no data folder, no screen.',
      { path: '^src/workers/', pathNot: '\\.test\\.ts$' },
      { path: '^src/(app|ui|data)/' },
    ),
    forbid(
      'ui-stays-off-data',
      'ui imports core, and only types of crib.',
      { path: '^src/ui/' },
      { path: '^src/(app|data|workers)/' },
    ),
    forbid(
      'ui-takes-types-of-crib',
      'ui imports core, and only types of crib.',
      { path: '^src/ui/' },
      { path: '^src/crib/', dependencyTypesNot: ['type-only'] },
    ),
    forbid(
      'a-room-has-a-door',
      "Another room's inside, on this floor or below, is reached through its index.",
      { path: '^src/(crib|data|core)/([^/]+)/' },
      { path: INSIDE, pathNot: '^src/$1/$2/' },
    ),
    forbid(
      'rooms-from-outside',
      'Whoever is in no room comes in by the index too.',
      { path: '^src/', pathNot: '^src/(crib|data|core)/[^/]+/' },
      { path: INSIDE },
    ),
    forbid(
      'an-area-stays-in-its-screens',
      'An area of screens uses its own files, the common ones, and what another shows in its index: a part of a page.',
      { path: '^src/ui/screens/([^/]+)/', pathNot: '\\.test\\.tsx?$' },
      { path: '^src/ui/screens/', pathNot: '^src/ui/screens/(($1|common)/|[^/]+/index\\.ts$)' },
    ),
    forbid(
      'ui-rooms-have-a-door',
      'Parts of the kit, the shell and the rack are reached through their index.',
      { path: '^src/(ui|app)/((?:kit/)?[^/]+)/' },
      {
        path: '^src/ui/(?:kit/(?:field|file|form|figure|page|table|tag|chart)|shell|rack)/(?!index\\.ts$)',
        pathNot: '^src/$1/$2/',
      },
    ),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
