/** Unit tests run on the sources; the packages' own names lead to their `src`. */
export default {
  testMatch: ['<rootDir>/{core,contract,server,web,demo}/src/**/*.test.ts'],
  transform: {
    '^.+\\.ts$': ['@swc/jest', { jsc: { target: 'es2022', parser: { syntax: 'typescript' } } }],
  },
  moduleNameMapper: {
    '^@wergon/(core|contract|server|demo)/([a-z-]+)$': '<rootDir>/$1/src/$2/index.ts',
  },
  testTimeout: 180_000,
};
