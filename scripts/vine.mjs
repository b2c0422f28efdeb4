// npm run -s vine -- simulate scenario.json
import { spawnSync } from 'node:child_process';
import { buildTerminal } from './serve.mjs';
import { ensurePackages } from './setup.mjs';

// npm runs scripts in the project folder; file names are meant from where the caller stands.
await ensurePackages();
const { status } = spawnSync(process.execPath, [buildTerminal(), ...process.argv.slice(2)], {
  cwd: process.env.INIT_CWD ?? process.cwd(),
  stdio: 'inherit',
});
process.exit(status ?? 1);
