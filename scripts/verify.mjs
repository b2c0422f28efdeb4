// npm run verify -- FILE: looks at a file of books or a backup, page by page.
import { spawnSync } from 'node:child_process';
import { resolve } from 'node:path';
import { bin, ensurePackages, ROOT } from './setup.mjs';

await ensurePackages();
const files = process.argv.slice(2).map((file) => resolve(process.env.INIT_CWD ?? '.', file));
const { status } = spawnSync(bin('tsx'), ['src/server/verify-books.ts', ...files], {
  cwd: ROOT,
  stdio: 'inherit',
});
process.exit(status ?? 1);
