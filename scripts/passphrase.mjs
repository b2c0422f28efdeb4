// npm run passphrase: sets the passphrase that other machines must say.
import { spawnSync } from 'node:child_process';
import { bin, ensurePackages, ROOT } from './setup.mjs';

await ensurePackages();
const { status } = spawnSync(bin('tsx'), ['src/server/set-passphrase.ts', ...process.argv.slice(2)], {
  cwd: ROOT,
  stdio: 'inherit',
});
process.exit(status ?? 1);
