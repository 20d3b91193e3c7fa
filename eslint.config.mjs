import js from '@eslint/js';
import angular from 'angular-eslint';
import tseslint from 'typescript-eslint';

/** What tells one thing from another, by its words: a reference or a field says it. */
const WORDS = 'id|name|gear|what|about|plus|minus';
const TOLD = 'A thing is told by a reference or a field (ref, role, serves, kind, string), never by a pattern in its id or name; keys of the document are read in design/refs.ts alone.';
const noPatterns = [
  `CallExpression[callee.property.name=/^(startsWith|endsWith|includes|slice|replace|replaceAll|match|split|substring)$/][callee.object.property.name=/^(${WORDS})$/]`,
  `CallExpression[callee.property.name=/^(startsWith|endsWith|slice|replace|replaceAll|match|split|substring)$/][callee.object.expression.property.name=/^(${WORDS})$/]`,
  `CallExpression[callee.property.name=/^(test|exec)$/] MemberExpression[property.name=/^(${WORDS})$/]`,
  `CallExpression[callee.property.name=/^(startsWith|endsWith|slice|replace|replaceAll|match|split)$/][callee.object.name=/^(id|gear|key|run)$/]`,
].map((selector) => ({ selector, message: TOLD }));

export default tseslint.config(
  { ignores: ['**/dist/**', '**/.angular/**', '.data/**', 'core/vectors/**', 'server/drizzle/**', '**/test-results/**', '**/playwright-report/**'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    files: ['**/*.ts'],
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      'max-lines': ['error', { max: 400 }],
      'max-params': ['error', { max: 7 }],
    },
  },
  {
    // What needs types: a promise that nobody waits for loses its error.
    files: ['server/src/**/*.ts', 'cli/src/**/*.ts', 'web/src/app/**/*.ts'],
    ignores: ['**/*.spec.ts', '**/testing/**'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: { '@typescript-eslint/no-floating-promises': 'error' },
  },
  {
    files: ['core/src/**/*.ts', 'contract/src/**/*.ts', 'server/src/**/*.ts', 'cli/src/**/*.ts'],
    ignores: ['**/*.spec.ts'],
    rules: { 'no-console': 'error', 'no-restricted-syntax': ['error', ...noPatterns], 'max-lines-per-function': ['error', { max: 80, skipBlankLines: true, skipComments: true }] },
  },
  {
    files: ['web/src/app/**/*.ts'],
    ignores: ['**/*.spec.ts'],
    rules: { 'no-restricted-syntax': ['error', ...noPatterns] },
  },
  { files: ['core/src/design/refs.ts', 'core/src/formats/**/*.ts', 'core/src/design/read.ts'], rules: { 'no-restricted-syntax': 'off' } },
  {
    files: ['**/*.mjs', '**/*.cjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        URL: 'readonly',
        setTimeout: 'readonly',
        console: 'readonly',
        module: 'readonly',
        require: 'readonly',
        fetch: 'readonly',
        performance: 'readonly',
        structuredClone: 'readonly',
        localStorage: 'readonly',
      },
    },
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  },
  {
    files: ['**/*.spec.ts'],
    rules: { '@typescript-eslint/no-unused-expressions': 'off' },
  },
  {
    files: ['web/src/**/*.ts'],
    extends: [...angular.configs.tsRecommended],
    processor: angular.processInlineTemplates,
    rules: { '@angular-eslint/component-class-suffix': 'off', '@angular-eslint/no-output-native': 'off', '@typescript-eslint/no-unused-expressions': 'off' },
  },
  {
    files: ['web/src/**/*.html'],
    extends: [...angular.configs.templateRecommended, ...angular.configs.templateAccessibility],
    rules: {
      '@angular-eslint/template/click-events-have-key-events': 'off',
      '@angular-eslint/template/interactive-supports-focus': 'off',
      '@angular-eslint/template/label-has-associated-control': 'off',
    },
  },
);
