import { wrap, type Remote } from 'comlink';
import { isSparing } from '../app/sparing.ts';
import type { CoreWorker } from './core-worker.ts';
import { UNWARMED } from './thread-names.ts';

export interface CoreThread {
  readonly worker: Worker;
  readonly core: Remote<CoreWorker>;
}

/** A thread of its own that answers questions to the model. */
export function startCore(): CoreThread {
  const name = isSparing() ? UNWARMED : '';
  const worker = new Worker(new URL('./core-worker.ts', import.meta.url), { type: 'module', name });
  return { worker, core: wrap<CoreWorker>(worker) };
}
