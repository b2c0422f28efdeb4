import { expose } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import { parentPort } from 'node:worker_threads';
import { gardenCalendars } from './garden-calendars.ts';

/** The program of the thread that calendars are worked out in. */
expose(gardenCalendars(), nodeEndpoint(parentPort!));
