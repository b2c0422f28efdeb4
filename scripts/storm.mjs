// npm run storm: the storms and the drawn beds of `npm test` at their full length; VINE_STORM=3 for three times that.
import { bin, ensurePackages, run } from './setup.mjs';

await ensurePackages();
process.env.VINE_STORM ??= '1';
process.exit(run(bin('vitest'), ['run', 'tests/storm', 'tests/consistency']) ? 0 : 1);
