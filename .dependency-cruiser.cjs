/** The arrows of the architecture: web → contract → core, server → contract → core; and between rooms, from later ones to earlier ones only. */
const PRODUCTION = '\\.(test|fixture)\\.ts$';
const forbid = (name, from, to) => ({ name, severity: 'error', from, to });

/** The rooms of each package, lowest first: a room imports only rooms before it. docs/architecture.md says what they are. */
const FEATURES =
  'ledger compare floor station loose-ends tape timesheet approval attendance pay bill insight exchange labels';
const ROOMS = {
  core: `result time money scan people work ${FEATURES}`,
  contract: `wire access shop people work ${FEATURES} routes`,
  server: `db http scan access shop people work catalog ${FEATURES} backup app`,
  web: `theme words kit scan access shop people work catalog ${FEATURES} app`,
};

/** Each room imports only rooms before it, and those through their index. */
function rulesOfRooms(package_, listed) {
  const rooms = listed.split(' ');
  const src = `^${package_}/src/`;
  return [
    forbid(`${package_}-rooms-are-listed`, { path: `${src}(?!(${rooms.join('|')})/)[^/]+/` }, {}),
    forbid(
      `${package_}-other-rooms-through-their-index`,
      { path: `${src}([^/]+)/`, pathNot: PRODUCTION },
      // The kit's parts have an index of their own, so that whoever needs a function does not load components.
      { path: `${src}([^/]+)/(?!((parts|files)/)?index\\.ts$).*\\.(ts|vue)$`, pathNot: `${src}$1/` },
    ),
    ...rooms.map((room, i) =>
      forbid(
        `${package_}-${room}-imports-no-later-room`,
        { path: `${src}${room}/`, pathNot: PRODUCTION },
        { path: `${src}(${[...rooms.slice(i + 1), '-'].join('|')})/` },
      ),
    ),
  ];
}

module.exports = {
  forbidden: [
    forbid('no-cycles', {}, { circular: true, dependencyTypesNot: ['type-only'] }),
    forbid('core-stands-alone', { path: '^core/src', pathNot: PRODUCTION }, { pathNot: '^core/|luxon' }),
    forbid(
      'contract-knows-core',
      { path: '^contract/src', pathNot: PRODUCTION },
      { pathNot: '^(contract|core)/|zod|@noble/hashes' },
    ),
    forbid('server-knows-no-pages', { path: '^server/' }, { path: '^(web|demo|e2e)/' }),
    forbid('pages-know-no-server', { path: '^web/' }, { path: '^(server|demo|e2e)/|@wergon/(server|demo)' }),
    forbid(
      'packages-by-name',
      { path: '^(contract|server|web|demo)/' },
      { path: '^(core|contract|server)/src', pathNot: '^$1/' },
    ),
    ...Object.entries(ROOMS).flatMap(([package_, rooms]) => rulesOfRooms(package_, rooms)),
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    doNotFollow: { path: 'node_modules|dist' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.vue', '.js', '.mjs', '.cjs', '.json'],
    },
  },
};
