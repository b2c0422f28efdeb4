// npm run bench: prints measured times beside the bars they are held to; the browser part needs chromium.
// npm run bench -- consistency [beds]: plans of so many beds drawn at random, held against every rule.
import { bin, ensureBrowser, ensurePackages, run } from './setup.mjs';
import { buildServer, buildWeb } from './serve.mjs';

await ensurePackages();
process.env.VINE_CHROMIUM = await ensureBrowser();
buildWeb();
buildServer();

/** Bundles a benchmark, so that it runs as the pages do, and runs it. */
function bench(name, ...options) {
  const bundle = `.cache/bench/${name}.mjs`;
  const isBuilt = run(bin('esbuild'), [
    `tests/bench/${name}.ts`,
    '--bundle',
    '--platform=node',
    '--format=esm',
    `--outfile=${bundle}`,
    '--packages=external',
    '--log-level=warning',
  ]);
  return isBuilt && run(process.execPath, [bundle, ...options]);
}

const [only, ...options] = process.argv.slice(2);
if (only === 'consistency') process.exit(bench('consistency', ...options) ? 0 : 1);

const isDone = [
  bench('bench'),
  bench('sixty-beds'),
  bench('fresh', '--cold'),
  bench('fresh'),
  bench('growth'),
  bench('years'),
  bench('log'),
  bench('server'),
  bench('browser'),
  bench('garden-pages'),
  bench('stock'),
  bench('stalls'),
].every(Boolean);
process.exit(isDone ? 0 : 1);
