import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['src/**/*.test.{ts,tsx}', 'tests/**/*.test.ts'],
    globalSetup: ['tests/build-server.mjs'],
    exclude: ['node_modules/**', 'tests/e2e/**', 'tests/architecture/planted/**'],
    // Files share what they import, which is most of their time; none changes anything that outlives it.
    isolate: false,
    // What one run has compiled the next one reads: `npm test` makes two.
    experimental: { fsModuleCache: true, fsModuleCachePath: '.cache/vitest' },
    // Not one fewer than the machine has cores: some tests wait for servers.
    maxWorkers: '100%',
    testTimeout: 180_000,
    // A server of its own may take its time to start on a busy machine; its helper gives up after two and a half.
    hookTimeout: 180_000,
  },
});
