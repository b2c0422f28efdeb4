import { AsyncLocalStorage } from 'node:async_hooks';
import type { Visitor } from '../contract/people.ts';

const KEEPER: Visitor = { role: 'keeper' };
const visits = new AsyncLocalStorage<Visitor>();

/** Whoever asks for what is being done right now; the keeper of the books where nobody else does. */
export const visitor = (): Visitor => visits.getStore() ?? KEEPER;

/** Does something, and all that it waits for, in the name of a visitor. */
export const inTheNameOf = <Result>(who: Visitor, act: () => Result): Result => visits.run(who, act);
