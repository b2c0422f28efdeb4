import { expose } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import { parentPort } from 'node:worker_threads';
import { emptyMemory } from '../../core/yard/index.ts';
import { gardenCalendars } from '../calendar/garden-calendars.ts';
import { type BooksAsked, workedOutBeds } from './worked-out-beds.ts';

const memory = emptyMemory();
const bedsOf = workedOutBeds(memory);

/** Answers about whole gardens: the file of a calendar, and all beds as JSON. */
const program = {
  calendar: gardenCalendars(bedsOf, memory),
  beds: async (asked: BooksAsked): Promise<string> => JSON.stringify((await bedsOf(asked)).beds),
};

export type GardenThread = typeof program;

/** The program of the thread that whole gardens are worked out in. */
expose(program, nodeEndpoint(parentPort!));
