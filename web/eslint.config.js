import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['src/api/schema.d.ts', 'node_modules'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  { files: ['*.mjs'], languageOptions: { globals: { process: 'readonly', URL: 'readonly' } } },
  {
    plugins: { 'react-hooks': hooks },
    rules: {
      ...hooks.configs.recommended.rules,
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'off',
    },
  },
);
