// npm run -s vine -- simulate scenario.json
import { bin, ensurePackages, ROOT } from './setup.mjs';
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';

// npm runs scripts in the project folder; file names are meant from where the caller stands.
ensurePackages();
const { status } = spawnSync(bin('tsx'), [join(ROOT, 'src/cli/main.ts'), ...process.argv.slice(2)], {
  cwd: process.env.INIT_CWD ?? process.cwd(),
  stdio: 'inherit',
});
process.exit(status ?? 1);
