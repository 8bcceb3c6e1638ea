import js from '@eslint/js';
import importX, { createNodeResolver } from 'eslint-plugin-import-x';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';
import { APP_ARROWS, ARROWS, DOORS } from './eslint.districts.js';

export default tseslint.config(
  {
    ignores: [
      '**/node_modules',
      '**/*.tmp.ts',
      'server/{,test/}build/**',
      'app/dist',
      '.pause',
      '**/.expo',
      'app/expo-env.d.ts',
    ],
  },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    plugins: { 'import-x': importX },
    extends: [...tseslint.configs.strictTypeChecked],
    languageOptions: {
      parserOptions: {
        project: ['./tsconfig.json', './app/tsconfig.json'],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    settings: {
      ...importX.flatConfigs.typescript.settings,
      // Without a resolver that knows TypeScript the rules on arrows, doors and cycles would see nothing.
      'import-x/resolver-next': [createNodeResolver({ extensions: ['.ts', '.tsx', '.js', '.cjs', '.json'] })],
    },
    rules: {
      'import-x/order': [
        'error',
        {
          groups: ['builtin', 'external', 'internal', 'parent', 'sibling', 'index'],
          pathGroups: [{ pattern: '@pause/**', group: 'external', position: 'after' }],
          pathGroupsExcludedImportTypes: [],
          alphabetize: { order: 'asc', caseInsensitive: true },
        },
      ],
      'import-x/no-duplicates': 'error',
      // A program that is fetched when it is wanted may lead back to what fetches it.
      'import-x/no-cycle': ['error', { allowUnsafeDynamicCyclicDependency: true, ignoreExternal: true }],
      '@typescript-eslint/no-confusing-void-expression': 'off',
      '@typescript-eslint/no-misused-promises': [
        'error',
        { checksVoidReturn: { arguments: false, attributes: false } },
      ],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-redundant-type-constituents': 'off',
      '@typescript-eslint/prefer-promise-reject-errors': 'off',
      '@typescript-eslint/only-throw-error': 'off',
    },
  },
  {
    // docs/layout.md draws these arrows.
    files: ['core/src/*/**/*.ts'],
    rules: {
      'import-x/no-restricted-paths': ['error', { zones: ARROWS }],
      'import-x/no-internal-modules': ['error', { allow: DOORS }],
    },
  },
  {
    files: ['{core,app,server,cli,guide,scripts,e2e,bench}/**/*.{ts,tsx}'],
    ignores: [
      // Data.
      'app/src/text/en/**',
      'guide/src/taxa.ts',
      'server/src/demo/valley.ts',
      'core/src/drawing/smell.ts',
      // One class over flat arrays, on the path of every answer.
      'core/src/verdict/bars/tally.ts',
    ],
    rules: { 'max-lines': ['error', 250] },
  },
  {
    files: ['{core,app,server,cli,guide}/src/**/*.{ts,tsx}', 'scripts/**/*.ts'],
    // A migration is not touched any more.
    ignores: ['server/src/db/migrations/**'],
    rules: {
      'max-lines-per-function': ['error', { max: 60, skipComments: true }],
      complexity: ['error', 20],
      'max-depth': ['error', 5],
    },
  },
  {
    files: ['app/src/**/*.{ts,tsx}'],
    rules: { 'import-x/no-restricted-paths': ['error', { zones: APP_ARROWS }] },
  },
  {
    // Every word on screen is in the catalogue, `app/src/text/en`.
    files: ['app/src/{app,components,notebook,screens,text}/**/*.{ts,tsx}'],
    ignores: [
      'app/src/text/en/**',
      // Markup, style, names of time zones and indexes.
      'app/src/components/photos/SketchPad.tsx',
      'app/src/components/tokens.ts',
      'app/src/screens/emergency/numbers.ts',
      'app/src/notebook/{database/*,pictures}.ts',
    ],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...[
          'JSXText[value=/[A-Za-z]/]',
          'JSXAttribute[name.name=/^(label|title|hint|text|placeholder|cost|aria-label)$/] > Literal[value=/[A-Za-z]/]',
          'Literal[value=/[a-z]{2,}[,.;:]? [A-Za-z]/]',
          'TemplateElement[value.raw=/(^|[^a-z<])[A-Za-z]?[a-z]+ |[a-z]{2,} [a-z]/]',
          'TemplateElement[value.raw=/ [A-Za-z]?[a-z]{2,}\\b(?![(])/]',
        ].map((selector) => ({
          selector,
          message: 'Words on screen belong into the catalogue (app/src/text/en).',
        })),
      ],
    },
  },
  {
    files: ['app/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    files: ['**/*.cjs', 'app/*.js', 'app/bundle/*.js'],
    languageOptions: {
      globals: {
        exports: 'readonly',
        module: 'writable',
        require: 'readonly',
        __dirname: 'readonly',
        setTimeout: 'readonly',
        navigator: 'readonly',
      },
    },
  },
  { files: ['cli/bin/*.js'], languageOptions: { globals: { process: 'readonly' } } },
  // Its loops run over arrays whose lengths they know.
  {
    files: ['core/src/advice/plan/{count,solve}.ts', 'core/src/verdict/bars/independent.ts'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  {
    files: ['**/test/**', 'e2e/**', 'bench/**'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
);
