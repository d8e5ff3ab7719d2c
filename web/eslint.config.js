import js from '@eslint/js'
import vue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'

export default tseslint.config(
  { ignores: ['dist', 'src/api/schema.ts', 'src/device/ruby'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  ...vue.configs['flat/recommended'],
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: tseslint.parser } } },
  {
    rules: {
      // TypeScript knows the globals.
      'no-undef': 'off',
      // Layout of attributes and tags is a matter of taste here, not of meaning.
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/attributes-order': 'off',
      // The formatter leaves long texts and attributes as they are.
      'vue/max-len': ['error', { code: 120, template: 120 }],
      // An optional prop left out is undefined, which the types already say.
      'vue/require-default-prop': 'off',
    },
  },
)
