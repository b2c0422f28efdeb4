import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';

/** What a page hands over as a file when something is done. */
export async function downloaded(page: Page, act: () => Promise<void>): Promise<Buffer> {
  const [download] = await Promise.all([page.waitForEvent('download'), act()]);
  return readFileSync(await download.path());
}
