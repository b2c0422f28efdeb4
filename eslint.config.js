import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['dist/', '.cache/', 'data/', 'test-results/', 'node_modules/', 'tests/architecture/planted/'] },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [...tseslint.configs.strictTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      // Typed arrays in the hot loop are indexed within their length; the mark says so.
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      // They guard enums and empty classes, of which there are none, and took a third of the time.
      '@typescript-eslint/no-unsafe-enum-assignment': 'off',
      '@typescript-eslint/no-unsafe-class-instance-assignment': 'off',
      '@typescript-eslint/no-generated-empty-object-type': 'off',
      'max-lines': ['error', { max: 500, skipBlankLines: true, skipComments: true }],
      complexity: ['error', 20],
      '@typescript-eslint/max-params': ['error', { max: 3 }],
    },
  },
  {
    files: [
      // The innermost steps of the simulation run millions of times: an object each time would be paid for.
      'src/core/model/simulation/**',
      'src/core/ground/numerics/**',
      'src/core/ground/climate/weather.ts',
      'src/core/yard/stock/age-lot.ts',
      // Where x, y, width and height stand in the order everybody knows.
      'src/web/drawing/**',
      // As an error of the platform: what for, in words, and what belongs to it.
      'src/server/problems.ts',
      // Makers of small examples, read in the line they stand in.
      '**/*.test.{ts,tsx}',
      'tests/**',
    ],
    rules: { '@typescript-eslint/max-params': 'off' },
  },
  { files: ['src/web/**/*.{ts,tsx}'], ...reactHooks.configs.flat.recommended },
  {
    files: ['**/*.{js,mjs,cjs}'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        fetch: 'readonly',
        AbortSignal: 'readonly',
        module: 'writable',
        __dirname: 'readonly',
      },
    },
  },
);
