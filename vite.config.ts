import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react()],
  build: { outDir: 'dist', target: 'es2022', chunkSizeWarningLimit: 900 },
  server: { port: 4181, proxy: { '/api': 'http://127.0.0.1:4180' } },
  test: {
    include: ['src/**/*.test.{ts,tsx}', 'tests/**/*.test.ts'],
    testTimeout: 60_000,
    reporters: ['default'],
  },
});
