import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import typescript from 'typescript-eslint'

import { RULES_OF_THE_JOB } from './rules-of-the-job.js'

export default typescript.config(
  { ignores: ['dist', 'src/api/schema.d.ts'] },
  ...typescript.configs.strictTypeChecked,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.ts', '**/*.vue'],
    languageOptions: {
      parserOptions: {
        parser: typescript.parser,
        projectService: true,
        tsconfigRootDir: import.meta.dirname,
        extraFileExtensions: ['.vue'],
      },
    },
    rules: {
      // A call that nobody waits for is a failure that nobody hears of.
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      // A store changes while an answer is waited for; the rule takes what was so before for certain.
      '@typescript-eslint/no-unnecessary-condition': 'off',
      // ESLint can't see into .vue files and calls what comes from them unsafe; vue-tsc sees it.
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
      'no-restricted-syntax': [
        'error',
        {
          selector: "UnaryExpression[operator='void'] CallExpression[callee.object.name='api']",
          message: 'The answer of a call is looked at: await it, or catch what it throws.',
        },
        ...RULES_OF_THE_JOB,
      ],
    },
  },
  { files: ['**/*.test.ts'], rules: { 'no-restricted-syntax': 'off' } },
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      // Names that say nothing to who reads them first; scripts/names.py refuses them in Python.
      'id-denylist': ['error', 'given', 'Ways', 'unlike'],
      'vue/no-v-html': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { ignoreRestSiblings: true, varsIgnorePattern: '^_' },
      ],
      // The same within templates.
      'vue/no-restricted-syntax': ['error', ...RULES_OF_THE_JOB],
      'vue/block-lang': ['error', { script: { lang: 'ts' } }],
    },
  },
  prettier,
)
