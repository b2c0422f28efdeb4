import { isIP } from 'node:net';
import { networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { PROJECT } from './project.ts';
import { dayNumberFromIso } from '../core/ground/index.ts';

const OWN_BOOKS = join(PROJECT, 'data', 'vine-ledger.sqlite');
const DEMO_BOOKS = join(PROJECT, 'data', 'demo.sqlite');
const LOOPBACK = '127.0.0.1';
const LOOPBACK_HOSTS = new Set([LOOPBACK, 'localhost', '::1']);

const OPTIONS = {
  port: { type: 'string', default: '4180' },
  /** The address to listen on; any but this machine's own needs a passphrase. */
  host: { type: 'string', default: LOOPBACK },
  /** Names by which it is called, in addition to its addresses: whoever asks by one may come from anywhere. */
  'allow-host': { type: 'string', multiple: true, default: [] as string[] },
  /** A proxy on this machine says in X-Forwarded-For who asks, and in X-Forwarded-Proto whether by https. */
  'trust-proxy': { type: 'boolean', default: false },
  db: { type: 'string' },
  /** Another folder, best on another disk, into which every backup is copied too. */
  'backup-to': { type: 'string' },
  /** A fresh demo garden instead of one's own books. */
  demo: { type: 'boolean', default: false },
  /** Pretend it is this day, YYYY-MM-DD. */
  today: { type: 'string' },
  /** Where a kitchen scale, a probe, a soil laboratory and a weather station answer, as http://host:port. */
  scale: { type: 'string' },
  probe: { type: 'string' },
  laboratory: { type: 'string' },
  weather: { type: 'string' },
} as const;

export interface ServerOptions {
  readonly port: number;
  readonly host: string;
  /** Somebody on another machine may ask: by an address of this one, by a name, or through a proxy. */
  readonly isReachable: boolean;
  readonly trustsProxy: boolean;
  /** Names and addresses by which it may be called. */
  readonly hosts: readonly string[];
  readonly file: string;
  /** Undefined when backups lie beside the books alone. */
  readonly backupTo: string | undefined;
  readonly isDemo: boolean;
  /** ISO date; undefined for the clock. */
  readonly today: string | undefined;
  readonly instruments: Readonly<Record<'scale' | 'probe' | 'laboratory' | 'weather', string | undefined>>;
}

/** An address as it stands in a URL. */
const inUrl = (address: string): string => (isIP(address) === 6 ? `[${address}]` : address);

/** Addresses cannot be rebound to, names can: those must be named. */
function hostsOf(host: string, named: readonly string[]): string[] {
  const isAny = host === '0.0.0.0' || host === '::';
  const own = Object.values(networkInterfaces()).flatMap((list) =>
    (list ?? []).map(({ address }) => address),
  );
  return [...(isAny ? own : [host]).map(inUrl), ...named.map((name) => name.toLowerCase())];
}

export const passphraseFileOf = (file: string): string => `${file}.passphrase`;

/** Options from the command line. Throws an error with a sentence for what cannot be. */
export function readOptions(args: readonly string[]): ServerOptions {
  const { values } = parseArgs({ args: [...args], options: OPTIONS });
  const port = Number(values.port);
  if (!(Number.isInteger(port) && port >= 0 && port <= 65535)) {
    throw new Error(`--port must be a whole number from 0 to 65535; got ${values.port}`);
  }
  if (values.today !== undefined) dayNumberFromIso(values.today, ['--today']);
  if (!LOOPBACK_HOSTS.has(values.host) && isIP(values.host) === 0) {
    throw new Error(`--host must be an address such as 192.168.1.20 or 0.0.0.0; got ${values.host}`);
  }
  const { scale, probe, laboratory, weather } = values;
  const isLoopback = LOOPBACK_HOSTS.has(values.host);
  return {
    port,
    host: values.host,
    isReachable: !isLoopback || values['allow-host'].length > 0 || values['trust-proxy'],
    trustsProxy: values['trust-proxy'],
    hosts: isLoopback ? values['allow-host'] : hostsOf(values.host, values['allow-host']),
    file: values.db ?? (values.demo ? DEMO_BOOKS : OWN_BOOKS),
    backupTo: values['backup-to'],
    isDemo: values.demo,
    today: values.today,
    instruments: { scale, probe, laboratory, weather },
  };
}
