// npm run demo: everything from nothing to a served demo garden. The demo database is made afresh each time.
import { ensurePackages } from './setup.mjs';
import { buildWeb, portFrom, serve } from './serve.mjs';

ensurePackages();
buildWeb();
await serve(['--demo'], portFrom(process.argv));
