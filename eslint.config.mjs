import js from '@eslint/js';
import jsxA11y from 'eslint-plugin-jsx-a11y';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['**/dist', '**/node_modules', '**/schema.d.ts', 'src/**', '.run/**', 'data/**'] },
  js.configs.recommended,
  tseslint.configs.strict,
  { rules: { '@typescript-eslint/no-non-null-assertion': 'off' } },
  {
    files: ['**/*.mjs'],
    languageOptions: { globals: { process: 'readonly', console: 'readonly', URL: 'readonly', Buffer: 'readonly' } },
  },
  {
    files: ['web/public/*.js'],
    languageOptions: {
      globals: { self: 'readonly', URL: 'readonly', caches: 'readonly', fetch: 'readonly', Response: 'readonly' },
    },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    extends: [jsxA11y.flatConfigs.strict, reactHooks.configs.flat.recommended],
  },
);
