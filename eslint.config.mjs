import withNuxt from './.nuxt/eslint.config.mjs'

const NO_CLOCK = ['Date', 'fetch', 'performance', 'window', 'document', 'process', 'setTimeout', 'localStorage']

export default withNuxt(
  { ignores: ['.output/**', '.veldmoor/**', 'docs/**'] },
  {
    rules: {
      '@stylistic/max-statements-per-line': 'off', '@stylistic/member-delimiter-style': 'off',
      'vue/max-attributes-per-line': 'off', 'vue/singleline-html-element-content-newline': 'off', 'vue/html-self-closing': 'off', 'vue/first-attribute-linebreak': 'off', 'vue/multi-word-component-names': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
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
