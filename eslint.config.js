import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import regexp from 'eslint-plugin-regexp'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import { defineConfig } from 'eslint/config'
import ts from 'typescript-eslint'
import vueParser from 'vue-eslint-parser'

export default defineConfig(
  { ignores: ['**/dist/', '**/coverage/', 'playwright-report/', 'test-results/'] },
  js.configs.recommended,
  ...vue.configs['flat/recommended'],
  { files: ['**/*.{ts,vue}'], extends: [ts.configs.recommendedTypeChecked] },
  {
    files: ['**/*.ts'],
    languageOptions: {
      parserOptions: { projectService: true, extraFileExtensions: ['.vue'], tsconfigRootDir: import.meta.dirname },
    },
  },
  {
    files: ['**/*.vue'],
    languageOptions: {
      parser: vueParser,
      parserOptions: {
        parser: ts.parser,
        projectService: true,
        extraFileExtensions: ['.vue'],
        tsconfigRootDir: import.meta.dirname,
      },
    },
  },
  // One function, one idea: a longer one is a kernel, and says why. A test may be a walk.
  {
    files: ['**/*.{ts,vue,mjs,js}'],
    ignores: ['**/*.test.ts'],
    rules: { 'max-lines-per-function': ['error', { max: 60 }] },
  },
  { files: ['web/**/*.{ts,vue}'], languageOptions: { globals: globals.browser } },
  { files: ['**/*.{mjs,js}'], languageOptions: { globals: { ...globals.node, ...globals.browser } } },
  {
    files: ['**/*.{ts,vue}'],
    rules: {
      '@typescript-eslint/require-await': 'off',
      '@typescript-eslint/restrict-template-expressions': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-empty': ['error', { allowEmptyCatch: false }],
      'vue/no-v-html': 'error',
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
    },
  },
  // Texts of files are not to be trusted: a pattern that goes wild on a long one would hang the import.
  {
    files: ['core/**/*.ts', 'server/**/*.ts', 'web/src/**/*.{ts,vue}'],
    ignores: ['**/*.test.ts', 'core/intake/corpus/**'],
    plugins: { regexp },
    rules: {
      'regexp/no-super-linear-backtracking': ['error', { report: 'potential' }],
      'regexp/no-super-linear-move': ['error', { report: 'potential', ignoreSticky: false, ignorePartial: false }],
    },
  },
  // What a .vue file exports is known to vue-tsc, which checks it, but not to ESLint's own TypeScript.
  {
    files: ['**/*.vue', 'web/src/main.ts'],
    rules: Object.fromEntries(
      ['argument', 'assignment', 'call', 'member-access', 'return'].map((r) => [
        `@typescript-eslint/no-unsafe-${r}`,
        'off',
      ]),
    ),
  },
  // Jest's matchers are any by design.
  { files: ['**/*.test.ts'], rules: { '@typescript-eslint/no-unsafe-argument': 'off' } },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'document',
        'window',
        'self',
        'fetch',
        'indexedDB',
        'localStorage',
        'setTimeout',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'the clock is passed in' },
        { object: 'Math', property: 'random', message: 'the random source is passed in' },
      ],
    },
  },
  prettier,
)
