import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['src/**/*.test.{ts,tsx}', 'tests/**/*.test.ts'],
    exclude: ['node_modules/**', 'tests/e2e/**'],
    testTimeout: 60_000,
  },
});
