// npm run validation: works out all published checks anew and writes their values and docs/validation.md.
import { bin, ensurePackages, run } from './setup.mjs';

await ensurePackages();
const isDone =
  run(bin('tsx'), ['tests/published/write-values.ts']) && run(bin('tsx'), ['tests/published/write-page.ts']);
process.exit(isDone ? 0 : 1);
