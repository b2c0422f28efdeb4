// npm run bench: prints measured times beside the bars they are held to.
import { bin, ensurePackages, run } from './setup.mjs';

ensurePackages();
const bundle = '.cache/bench/bench.mjs';
const isBuilt = run(bin('esbuild'), [
  'tests/bench/bench.ts',
  '--bundle',
  '--platform=node',
  '--format=esm',
  `--outfile=${bundle}`,
  '--packages=external',
  '--log-level=warning',
]);
process.exit(isBuilt && run(process.execPath, [bundle]) ? 0 : 1);
