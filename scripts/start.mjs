// npm start: serves the owner's own database.
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ensurePackages, ROOT } from './setup.mjs';
import { buildWeb, portFrom, serve } from './serve.mjs';

ensurePackages();
if (!existsSync(join(ROOT, 'dist', 'index.html')) || process.argv.includes('--build')) buildWeb();
await serve([], portFrom(process.argv));
