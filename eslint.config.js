import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import vue from 'eslint-plugin-vue';
import tseslint from 'typescript-eslint';

/** What core must not reach for: it knows no clock, no chance and no locale; those are parameters. */
const impure = [
  {
    selector: "MemberExpression[object.name='Date'][property.name='now']",
    message: 'Core knows no clock: take the time as a parameter.',
  },
  {
    selector: "NewExpression[callee.name='Date']",
    message: 'Core knows no clock: take the time as a parameter.',
  },
  {
    selector: "MemberExpression[object.name='Math'][property.name='random']",
    message: 'Core knows no chance: take RandomBits as a parameter.',
  },
  { selector: "Identifier[name='Intl']", message: 'Core knows no locale: take a comparer as a parameter.' },
  {
    selector: 'MemberExpression[property.name=/^(localeCompare|toLocale\\w+)$/]',
    message: 'Core knows no locale: take a comparer as a parameter.',
  },
];

export default tseslint.config(
  {
    ignores: [
      'build/**',
      'data/**',
      '**/node_modules/**',
      'packages/core/src/render/navigationScript.ts',
      'packages/server/src/db/migrations/**',
    ],
  },
  js.configs.recommended,
  ...tseslint.configs.strict,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.ts', '**/*.vue'],
    languageOptions: {
      parserOptions: {
        parser: tseslint.parser,
      },
    },
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/unified-signatures': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-undef': 'off',
    },
  },
  {
    files: ['packages/core/src/**/*.ts'],
    rules: {
      'no-restricted-syntax': ['error', ...impure],
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
    },
  },
  {
    files: ['packages/contract/src/**/*.ts'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
    },
  },
  {
    files: ['**/*.vue'],
    rules: {
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      'vue/attributes-order': 'off',
      'vue/no-template-shadow': 'error',
    },
  },
  {
    files: ['**/*.mjs', '*.js'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        setTimeout: 'readonly',
        fetch: 'readonly',
        performance: 'readonly',
        Buffer: 'readonly',
        BroadcastChannel: 'readonly',
        setImmediate: 'readonly',
      },
    },
  },
  prettier,
);
