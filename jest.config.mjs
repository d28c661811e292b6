const swc = ['@swc/jest', { jsc: { target: 'es2022', parser: { syntax: 'typescript' } } }];

/** Packages that are published as modules only, which the runner cannot load as they are. */
const MODULES = [
  '@noble/hashes',
  '@regle/core',
  '@regle/rules',
  '@regle/schemas',
  '@tanstack/match-sorter-utils',
  '@tanstack/store',
  '@tanstack/table-core',
  '@tanstack/vue-store',
  '@tanstack/vue-table',
  '@vuepic/vue-datepicker',
  '@vueuse/core',
  '@vueuse/shared',
  'bootstrap-vue-next',
  'nostics',
  'ohash',
  'pinia',
].join('|');

// What random inputs begin with; a run that failed is done again with its seed.
process.env.WERGON_SEED ??= String(Date.now() % 1_000_000);
if (!process.env.JEST_WORKER_ID) process.stdout.write(`Random inputs of seed ${process.env.WERGON_SEED}\n`);

/** Unit tests run on the sources; the packages' own names lead to their `src`. */
export default {
  testMatch: ['<rootDir>/{core,contract,server,web,demo}/src/**/*.test.ts'],
  transform: {
    '^.+\\.ts$': swc,
    '^.+\\.vue$': '<rootDir>/scripts/vueTransform.cjs',
    [`(${MODULES})/.+\\.m?js$`]: swc,
  },
  transformIgnorePatterns: [`/node_modules/(?!(${MODULES})/)`],
  moduleNameMapper: {
    '^@wergon/(core|contract|server|demo)/([a-z-]+)$': '<rootDir>/$1/src/$2/index.ts',
    '^fast-check$': '<rootDir>/scripts/seededChecks.cjs',
    // How things look is looked at, not computed.
    '\\.css$': '<rootDir>/scripts/noStyles.cjs',
  },
  // Also where a page is imitated, packages are those for Node.
  testEnvironmentOptions: { customExportConditions: ['node', 'node-addons'] },
  setupFilesAfterEnv: ['<rootDir>/scripts/learnWords.cjs'],
  testTimeout: 180_000,
  testSequencer: '<rootDir>/scripts/longestFirst.mjs',
  // Most of them wait for a database; nothing else runs beside them.
  maxWorkers: '100%',
};
