import { serve } from '@hono/node-server';
import { parseArgs } from 'node:util';
import { heapProbe } from './heap-probe.ts';
import { kitchenScale } from './kitchen-scale.ts';
import { soilLaboratory } from './soil-laboratory.ts';

const LOOPBACK = '127.0.0.1';
const { values: options } = parseArgs({
  options: {
    'scale-port': { type: 'string', default: '0' },
    'probe-port': { type: 'string', default: '0' },
    'laboratory-port': { type: 'string', default: '0' },
    /** How long the laboratory takes, days. */
    'laboratory-days': { type: 'string', default: '6' },
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

start('scale', kitchenScale(seed), options['scale-port']);
start('probe', heapProbe(seed + 1), options['probe-port']);
start('laboratory', soilLaboratory(seed + 2, Number(options['laboratory-days'])), options['laboratory-port']);
