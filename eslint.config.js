import js from '@eslint/js';
import globals from 'globals';
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

export default ts.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.cache/**', 'coverage/**', 'test-results/**'] },
  js.configs.recommended,
  ...ts.configs.strict,
  {
    languageOptions: { globals: { ...globals.es2023 } },
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      // A seam that has just been checked, and tests, may say so.
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-console': 'error',
      eqeqeq: 'error',
    },
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    ...a11y.flatConfigs.recommended,
    languageOptions: { ...a11y.flatConfigs.recommended.languageOptions, globals: globals.browser },
  },
  { files: ['web/**/*.{ts,tsx}'], plugins: { 'react-hooks': hooks }, rules: { ...hooks.configs.recommended.rules } },
  {
    files: ['web/**/*.tsx'],
    rules: {
      // Handles on the mat are sliders drawn in SVG, and scrolling regions must be reachable by keyboard.
      'jsx-a11y/no-noninteractive-tabindex': 'off',
      'jsx-a11y/label-has-associated-control': ['error', { assert: 'either', depth: 4 }],
    },
  },
  {
    files: ['scripts/**', 'e2e/**', 'cli/**', 'server/**', '*.config.*', '*.cjs'],
    languageOptions: { globals: globals.node },
  },
  // Runs in the page it photographs as well.
  { files: ['scripts/screenshots.mjs', 'e2e/**'], languageOptions: { globals: globals.browser } },
  { files: ['**/*.test.ts', '**/*.test.tsx'], rules: { '@typescript-eslint/no-explicit-any': 'off' } },
);
