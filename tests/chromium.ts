import { existsSync } from 'node:fs';

const SHELL = '/usr/bin/chromium-headless-shell';
const installed = existsSync(SHELL) ? SHELL : '/usr/bin/chromium';

/** Debian's Chromium, or the one named by VINE_CHROMIUM, without anything that reaches out by itself. */
export const CHROMIUM = {
  executablePath: process.env['VINE_CHROMIUM'] ?? installed,
  args: [
    '--headless',
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};
