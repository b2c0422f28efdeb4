// npm run dev: the server restarting on change and the pages with hot reload, on the demo garden.
import { spawn } from 'node:child_process';
import { buildServer } from './serve.mjs';
import { bin, ensurePackages, ROOT } from './setup.mjs';

await ensurePackages();
// Its threads run from here.
buildServer();
const children = [
  spawn(bin('tsx'), ['watch', 'src/server/main.ts', '--demo', '--port', '4180'], {
    cwd: ROOT,
    stdio: 'inherit',
  }),
  spawn(bin('vite'), ['--host', '127.0.0.1'], { cwd: ROOT, stdio: 'inherit' }),
];
for (const signal of ['SIGINT', 'SIGTERM']) {
  process.on(signal, () => children.forEach((child) => child.kill(signal)));
}
