import withNuxt from './.nuxt/eslint.config.mjs'

const NO_CLOCK = ['Date', 'fetch', 'performance', 'window', 'document', 'process', 'setTimeout', 'localStorage']

/** Of every line, sentences and SQL too; 120 is what is aimed at. */
const MAX_WIDTH = 140

export default withNuxt(
  { ignores: ['.output/**', '.veldmoor/**', 'docs/**'] },
  {
    rules: {
      '@stylistic/member-delimiter-style': 'off',
      '@stylistic/max-statements-per-line': ['error', { max: 1 }],
      '@stylistic/max-len': ['error', { code: MAX_WIDTH }],
      'vue/first-attribute-linebreak': ['error', { singleline: 'ignore', multiline: 'below' }],
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/multi-word-component-names': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
    },
  },
  {
    files: ['**/*.vue'],
    rules: {
      '@stylistic/max-len': 'off',
      'vue/max-len': ['error', { code: MAX_WIDTH, template: MAX_WIDTH }],
    },
  },
  {
    // Answers over the wire are looked at field by field.
    files: ['tests/**/*.ts'],
    rules: { '@typescript-eslint/no-explicit-any': 'off' },
  },
  {
    files: ['core/**/*.ts'], ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', ...NO_CLOCK],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random', message: 'Chance is an argument.' }],
    },
  },
)
