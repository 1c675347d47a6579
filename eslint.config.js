import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', 'server/drizzle/**', 'coverage/**', '.plinth/**'] },
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      'no-restricted-syntax': [
        'error',
        {
          selector: 'CallExpression[callee.object.name=/^(it|test|describe)$/][callee.property.name=/^(only|skip|todo)$/]',
          message: 'no test is left alone or left out',
        },
      ],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', ignoreRestSiblings: true }],
      eqeqeq: 'error',
      'prefer-const': 'error',
    },
  },
  {
    files: ['core/src/standard/**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'CallExpression[callee.object.name=/^(it|test|describe)$/][callee.property.name=/^(only|skip|todo)$/]',
          message: 'no test is left alone or left out',
        },
        {
          // seven figures are no hand calculation and no table: they were taken from somewhere
          selector: 'CallExpression[callee.property.name=/^to[A-Z]/] Literal[raw=/^[0-9]*[1-9][0-9]*([0-9.]*[0-9]){6,}$/]',
          message: 'expected values with so many figures come from JSON in expected/, written by a script that never runs the program',
        },
      ],
    },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
);
