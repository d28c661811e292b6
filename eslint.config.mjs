import js from '@eslint/js';
import vue from 'eslint-plugin-vue';
import globals from 'globals';
import { defineConfig } from 'eslint/config';
import ts from 'typescript-eslint';

export default defineConfig(
  { ignores: ['**/dist/', '**/node_modules/', '.data/', 'test-results/', '.dependency-cruiser.cjs'] },
  js.configs.recommended,
  {
    files: ['**/*.ts', '**/*.vue'],
    extends: [ts.configs.strict],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-console': 'error',
      'object-shorthand': 'error',
    },
  },
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: ts.parser }, globals: globals.browser },
    // How templates are laid out is the formatter's business.
    rules: {
      'vue/max-attributes-per-line': 'off',
      'vue/html-indent': 'off',
      'vue/html-self-closing': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/require-default-prop': 'off',
      'no-undef': 'off',
      // The compiler sees to both: names in this trade are one word, and a switch over a union is whole.
      'vue/multi-word-component-names': 'off',
      'vue/return-in-computed-property': 'off',
      // What a person reads stands in web/src/words, in every language; signs are the same in all of them.
      // A component that nobody imported stands there as its bare text.
      'vue/no-undef-components': ['error', { ignorePatterns: ['^Router(Link|View)$'] }],
      'vue/no-bare-strings-in-template': [
        'error',
        {
          allowlist: [
            ...'·,.:;()[]/–…−+×%◂▸▾▴✓“”?=<>≤',
            '→',
            'Wergon',
            'A4',
            '+50%',
            '0',
            ':00',
            '7:05',
            '1:30',
            'h',
          ],
          attributes: {
            '/.+/': ['title', 'aria-label', 'placeholder', 'alt'],
            '/^[A-Z]/': ['label', 'lead'],
          },
          directives: ['v-text'],
        },
      ],
    },
  },
  // A test may make several components to try one thing.
  { files: ['web/src/**/*.test.ts'], rules: { 'vue/one-component-per-file': 'off' } },
  // Pictures of a yardstick for whoever works on it, not for the shop.
  { files: ['**/YardstickStates.vue'], rules: { 'vue/no-bare-strings-in-template': 'off' } },
  { files: ['web/src/**/*.ts'], languageOptions: { globals: globals.browser } },
  {
    files: ['scripts/**', 'bench/**', 'torture/**', '*.mjs', 'web/*.ts'],
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
  },
  {
    // Core is pure: no clock, no dice, no input or output.
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts', '**/*.fixture.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'process',
        'window',
        'document',
        'fetch',
        'setTimeout',
        'console',
        'crypto',
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "MemberExpression[object.name='Date'][property.name='now']",
          message: 'Time comes in as an argument.',
        },
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Time comes in as an argument.',
        },
        {
          selector: "MemberExpression[object.name='Math'][property.name='random']",
          message: 'Chance comes in as an argument.',
        },
      ],
    },
  },
);
