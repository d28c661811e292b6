/** The arrows of the architecture: web → contract → core, server → contract → core. */
const PRODUCTION = '\\.(test|fixture)\\.ts$';
const forbid = (name, from, to) => ({ name, severity: 'error', from, to });

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
    forbid(
      'other-rooms-through-their-index',
      { path: '^(core|contract)/src/([^/]+)/', pathNot: PRODUCTION },
      { path: '^(core|contract)/src/([^/]+)/(?!index\\.ts$)', pathNot: '^$1/src/$2/' },
    ),
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
