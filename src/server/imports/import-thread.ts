import { expose } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import { parentPort } from 'node:worker_threads';
import { importOnCopy } from './import-work.ts';

/** The program of the thread that large files are read in by. */
expose(importOnCopy, nodeEndpoint(parentPort!));
