// npm run demo: everything from nothing to a served demo garden. The demo database is made afresh each time, and a scale,
// a probe, a laboratory and a weather station that are not there stand in for real ones.
import { ensurePackages } from './setup.mjs';
import { buildWeb, portFrom, serve } from './serve.mjs';
import { standinAddresses } from './standins.mjs';

await ensurePackages();
buildWeb();
const { scale, probe, laboratory, weather, child } = await standinAddresses([]);
for (const signal of ['exit', 'SIGINT', 'SIGTERM']) process.on(signal, () => child.kill());
await serve(
  ['--demo', '--scale', scale, '--probe', probe, '--laboratory', laboratory, '--weather', weather],
  portFrom(process.argv),
);
