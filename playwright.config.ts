import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './tests/chromium.ts';

/** Files that take longest come first: at the end neither process waits long for the other. */
const LONG =
  /(season|stock|bed|ways|data|demo|years|plan|first-hour|layers|units|wizard|way-stories)\.spec\.ts$/;

export default defineConfig({
  testDir: 'tests/e2e',
  outputDir: 'test-results/e2e',
  globalSetup: './tests/e2e/standins.ts',
  timeout: 420_000,
  expect: { timeout: 60_000 },
  workers: 2,
  // On a busy machine a test may be run a second time; `npm test` names every test that needed it.
  retries: process.env['CI'] ? 1 : 0,
  // Files run beside each other, the tests of one file in their order.
  fullyParallel: false,
  projects: [
    { name: 'long', testMatch: LONG },
    { name: 'short', testIgnore: LONG },
  ],
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    screenshot: 'only-on-failure',
    // Pages without movement are drawn less often, which saves time; only the test of the main job keeps the movement.
    contextOptions: { reducedMotion: 'reduce' },
    actionTimeout: 120_000,
    // Tests of the connection look at requests themselves; the one about offline pages allows it.
    serviceWorkers: 'block',
    launchOptions: {
      ...CHROMIUM,
      args: [
        ...CHROMIUM.args,
        // A page of a test lives for seconds: making its code faster, or its memory smaller, costs more than it saves.
        '--js-flags=--no-turbofan --invocation-count-for-maglev=2000 --min-semi-space-size=16 --initial-old-space-size=256',
      ],
    },
  },
});
