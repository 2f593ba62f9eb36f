import pluginVue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'

const PURE = 'Core is pure: no Vue, Nuxt, Node, database, clock or random source. Hand in what it needs.'

export default tseslint.config(
  { ignores: ['.nuxt', '.output', 'node_modules', 'docs', 'data', 'demo-data'] },
  ...tseslint.configs.recommended,
  ...pluginVue.configs['flat/essential'],
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: tseslint.parser } } },
  {
    rules: {
      'no-console': ['error', { allow: ['error', 'warn'] }],
      'vue/multi-word-component-names': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
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
  { files: ['scripts/**', 'cli/**', 'test/bench/**'], rules: { 'no-console': 'off' } },
)
