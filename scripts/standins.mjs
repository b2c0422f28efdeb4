// npm run standins: a kitchen scale, a heap probe, a soil laboratory and a weather station that are not there, to try
// the app with; npm run standin:weather and the like start one of them.
import { spawn } from 'node:child_process';
import { ensurePackages, ROOT } from './setup.mjs';

/** Starts the stand-ins and calls `onAddress(name, address)` for each when it answers. */
export function startStandins(args, onAddress) {
  const child = spawn(process.execPath, ['--import', 'tsx', 'src/standins/main.ts', ...args], {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  child.stdout.on('data', (chunk) => {
    for (const [, name, address] of chunk.toString().matchAll(/^(\w+) at (http:\S+)$/gm))
      onAddress(name, address);
  });
  return child;
}

/** Addresses of all four, once all answer. */
export const standinAddresses = (args) =>
  new Promise((resolve, reject) => {
    const found = {};
    const child = startStandins(args, (name, address) => {
      found[name] = address;
      if (found.scale && found.probe && found.laboratory && found.weather) resolve({ ...found, child });
    });
    child.on('error', reject);
    child.on('exit', (code) => reject(new Error(`the stand-ins ended with ${code}`)));
  });

if (import.meta.url === `file://${process.argv[1]}`) {
  await ensurePackages();
  const child = startStandins(process.argv.slice(2), (name, address) => console.log(`${name} at ${address}`));
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
}
