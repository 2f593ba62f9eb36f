import pluginVue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'

const PURE = 'Core is pure: no Vue, Nuxt, Node, database, clock or random source. Hand in what it needs.'

export default tseslint.config(
  { ignores: ['.nuxt', '.output', '.bench', 'node_modules', 'docs', 'data', 'demo-data'] },
  ...tseslint.configs.recommended,
  ...pluginVue.configs['flat/essential'],
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: tseslint.parser } } },
  {
    rules: {
      'no-console': ['error', { allow: ['error', 'warn'] }],
      'vue/multi-word-component-names': 'off',
      'vue/no-template-shadow': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
      'max-lines': ['error', { max: 250, skipBlankLines: true, skipComments: true }],
      'max-lines-per-function': ['error', { max: 50, skipBlankLines: true, skipComments: true }],
      'max-params': ['error', 5],
      complexity: ['error', 15],
      'no-nested-ternary': 'error',
      // Prettier breaks what can be broken; this catches the rest. Sentences may be longer than a line.
      'max-len': [
        'error',
        {
          code: 120,
          ignoreStrings: true,
          ignoreTemplateLiterals: true,
          ignoreRegExpLiterals: true,
          ignoreComments: true,
        },
      ],
    },
  },
  {
    files: ['core/**/*.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        ...['window', 'document', 'process', 'fetch', 'console', 'setTimeout'].map((name) => ({
          name,
          message: PURE,
        })),
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: PURE },
        { object: 'Date', property: 'now', message: PURE },
      ],
      'no-restricted-syntax': [
        'error',
        { selector: 'NewExpression[callee.name="Date"][arguments.length=0]', message: PURE },
      ],
    },
  },
  // Tables are data: they are read across, not down.
  {
    files: [
      'words/questions/bank/**',
      'words/glossary/**',
      'core/regulations/library/**',
      'core/design/materials/**',
      'core/containment/data/**',
      'demo/**',
    ],
    rules: { 'max-len': 'off', 'max-lines': 'off' },
  },
  // A component carries its template and its style too.
  {
    files: ['**/*.vue'],
    rules: { 'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }] },
  },
  // A composable or a store is a room: its state, and the functions on it, each of which keeps the limit by itself.
  {
    files: ['app/composables/**', 'app/stores/**'],
    rules: { 'max-lines-per-function': ['error', { max: 130, skipBlankLines: true, skipComments: true }] },
  },
  // A specification is as long as what it specifies; its tables stay in one piece.
  {
    files: ['test/**'],
    rules: {
      'max-lines': ['error', { max: 450, skipBlankLines: true, skipComments: true }],
      'max-lines-per-function': 'off',
      'max-len': 'off',
    },
  },
  { files: ['scripts/**', 'cli/**', 'test/bench/**'], rules: { 'no-console': 'off' } },
)
