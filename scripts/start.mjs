// npm start: serves the owner's own database. What stands after -- goes to the server: --port, --host, --scale ...
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ensurePackages, ROOT } from './setup.mjs';
import { buildWeb, hostFrom, portFrom, serve, serverArgs } from './serve.mjs';

await ensurePackages();
if (!existsSync(join(ROOT, 'dist', 'index.html')) || process.argv.includes('--build')) buildWeb();
await serve(serverArgs(process.argv), portFrom(process.argv), hostFrom(process.argv));
