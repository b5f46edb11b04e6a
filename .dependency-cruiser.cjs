// The house: floors only look down, a room's inside is reached through its index.
const ROOMS =
  '(?:units|cutters|assemblies|measuring|machines|jobs|programs|life|buying|stock|exchange|choosing|today|people|because)';
const forbid = (name, comment, from, to) => ({ name, comment, severity: 'error', from, to });
/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    forbid('no-circles', 'An import circle has no bottom floor.', {}, { circular: true }),
    forbid(
      'core-imports-nothing',
      'The core computes and imports only itself.',
      { path: '^src/core/', pathNot: '\\.test\\.ts$|^src/core/testing/' },
      { pathNot: '^src/core/' },
    ),
    forbid(
      'data-looks-down',
      'data imports core only.',
      { path: '^src/data/' },
      { path: '^src/(app|ui|crib|workers)/' },
    ),
    forbid(
      'crib-looks-down',
      'crib imports core and data only.',
      { path: '^src/crib/' },
      { path: '^src/(app|ui|workers)/' },
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
      'core-rooms-have-a-door',
      'A core room is reached through its index.',
      { path: '^src/(crib|data|ui|app)/' },
      { path: `^src/core/${ROOMS}/(?!index\\.ts$)` },
    ),
    forbid(
      'core-room-inside',
      "Another core room's inside is reached through its index.",
      { path: '^src/core/([^/]+)/' },
      { path: `^src/core/${ROOMS}/(?!index\\.ts$)`, pathNot: '^src/core/$1/' },
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
