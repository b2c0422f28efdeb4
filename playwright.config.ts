import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './tests/chromium.ts';

/** Servers of their own: the demo garden, and books in which nothing is written yet, twice. All stand in May. */
const TODAY = '2026-05-14';
/** A scale, a probe and a laboratory that stand in for real ones. */
const SCALE = 'http://127.0.0.1:4195';
const PROBE = 'http://127.0.0.1:4196';
const LABORATORY = 'http://127.0.0.1:4197';
const server = (port: number, extra: string) =>
  `node .cache/server/main.mjs --port ${port} --today ${TODAY} ${extra}`;

/** Books that begin empty on every run. */
const ownBooks = (port: number, name: string, extra = '') => ({
  command: `node -e "for (const s of ['','-wal','-shm']) require('fs').rmSync('test-results/e2e-${name}.sqlite'+s,{force:true}); require('fs').rmSync('test-results/e2e-${name}.sqlite-photos',{force:true,recursive:true})" && ${server(port, `--db test-results/e2e-${name}.sqlite ${extra}`)}`,
  url: `http://127.0.0.1:${port}/api/health`,
  reuseExistingServer: false,
});

export default defineConfig({
  testDir: 'tests/e2e',
  outputDir: 'test-results/e2e',
  timeout: 90_000,
  expect: { timeout: 20_000 },
  workers: 1,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    screenshot: 'only-on-failure',
    // Tests of the connection look at requests themselves; the one about offline pages allows it.
    serviceWorkers: 'block',
    launchOptions: CHROMIUM,
  },
  webServer: [
    {
      command: server(4191, '--demo --db test-results/e2e-demo.sqlite'),
      url: 'http://127.0.0.1:4191/api/health',
      reuseExistingServer: false,
    },
    // A season is lived through on a demo garden of its own.
    {
      command: server(4194, `--demo --db test-results/e2e-season.sqlite --laboratory ${LABORATORY}`),
      url: 'http://127.0.0.1:4194/api/health',
      reuseExistingServer: false,
    },
    ownBooks(4192, 'own'),
    ownBooks(4193, 'beds', `--scale ${SCALE} --probe ${PROBE}`),
    {
      command:
        'node --import tsx src/standins/main.ts --scale-port 4195 --probe-port 4196 --laboratory-port 4197 --laboratory-days 0',
      url: `${PROBE}/reading`,
      reuseExistingServer: false,
    },
  ],
});
