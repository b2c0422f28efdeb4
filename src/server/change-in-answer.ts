import { READING } from './guards.ts';
import type { MiddlewareHandler } from 'hono';
import { CHANGE_INCLUDED, CHANGES_SINCE, type AnswerWithChange } from '../contract/changes.ts';
import { changesSince } from './changes.ts';
import type { Stores } from './stores.ts';

/**
 * A write that says what its sender has of a garden is answered with what became of it, the answer itself inside:
 * the sender need not ask again, and hears of what others wrote meanwhile.
 */
export const changeInAnswer =
  (stores: Stores, today: () => string): MiddlewareHandler =>
  async (c, next) => {
    await next();
    const asked = READING.has(c.req.method) ? undefined : c.req.header(CHANGES_SINCE);
    const [gardenId, epoch, number] = asked?.split(' ') ?? [];
    if (!c.res.ok || gardenId === undefined || epoch === undefined) return;
    if (!stores.gardens.find(gardenId)) return;
    const since = { epoch, number: Number(number) };
    const answer: unknown = c.res.status === 204 ? null : await c.res.json();
    const withChange: AnswerWithChange = {
      answer,
      change: changesSince({ stores, gardenId, since, today: today() }),
    };
    c.res = new Response(JSON.stringify(withChange), {
      status: c.res.status === 204 ? 200 : c.res.status,
      headers: { 'Content-Type': 'application/json', [CHANGE_INCLUDED]: 'yes' },
    });
  };
