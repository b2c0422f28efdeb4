import { serve } from '@hono/node-server';
import { parseArgs } from 'node:util';
import { CLIMATE_PATTERNS } from '../core/ground/index.ts';
import { faultsOf } from './faults.ts';
import { heapProbe } from './heap-probe.ts';
import { kitchenScale } from './kitchen-scale.ts';
import { soilLaboratory } from './soil-laboratory.ts';
import { weatherStation } from './weather-station.ts';

const LOOPBACK = '127.0.0.1';
const { values: options } = parseArgs({
  options: {
    'scale-port': { type: 'string', default: '0' },
    'probe-port': { type: 'string', default: '0' },
    'laboratory-port': { type: 'string', default: '0' },
    /** How long the laboratory takes, days. */
    'laboratory-days': { type: 'string', default: '6' },
    'weather-port': { type: 'string', default: '0' },
    /** Whose weather: one of the climate patterns. */
    climate: { type: 'string', default: 'mild_maritime' },
    /** Late, missing and absurd answers among the good ones. */
    faulty: { type: 'boolean', default: false },
    /** Only this one: scale, probe, laboratory or weather. */
    only: { type: 'string' },
    seed: { type: 'string', default: '1' },
  },
});
const seed = Number(options.seed);

/** Serves an instrument and says where, as "scale at http://...". */
function start(name: string, app: { fetch: Parameters<typeof serve>[0]['fetch'] }, port: string): void {
  serve({ fetch: app.fetch, hostname: LOOPBACK, port: Number(port) }, (address) => {
    console.log(`${name} at http://${LOOPBACK}:${address.port}`);
  });
}

const faults = () => faultsOf(options.faulty);
const climate = CLIMATE_PATTERNS.find(({ id }) => id === options.climate);
if (!climate) {
  const known = CLIMATE_PATTERNS.map(({ id }) => id).join(', ');
  console.error(`--climate must be one of ${known}; got ${options.climate}`);
  process.exit(2);
}

const STANDINS = {
  scale: () => start('scale', kitchenScale(seed, faults()), options['scale-port']),
  probe: () => start('probe', heapProbe(seed + 1, faults()), options['probe-port']),
  laboratory: () =>
    start(
      'laboratory',
      soilLaboratory(seed + 2, Number(options['laboratory-days']), faults()),
      options['laboratory-port'],
    ),
  weather: () => start('weather', weatherStation(climate, seed + 3, faults()), options['weather-port']),
};
const wanted = Object.entries(STANDINS).filter(
  ([name]) => options.only === undefined || options.only === name,
);
if (wanted.length === 0) {
  console.error(`--only must be one of ${Object.keys(STANDINS).join(', ')}; got ${String(options.only)}`);
  process.exit(2);
}
for (const [, startIt] of wanted) startIt();
