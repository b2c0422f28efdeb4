import { afterEach, describe, expect, it, vi } from 'vitest';
import { differingFields, isUntouched, sentSettled, settleConflictsBy, type Conflict } from './conflicts.ts';

const theirs = { id: 'bed', version: 4, name: 'Their name', isWatered: false, areaM2: 5 };
const mine = { name: 'My name', isWatered: true, areaM2: 5, version: 3 };
const opened = { id: 'bed', version: 3, name: 'Old name', isWatered: true, areaM2: 5 };
const stale = () =>
  new Response(JSON.stringify({ status: 409, detail: 'Changed meanwhile', current: theirs }), {
    status: 409,
  });
const good = () => new Response('{}', { status: 200 });
const put: RequestInit = { method: 'PUT', body: JSON.stringify(mine) };
const sending = (...answers: readonly Response[]) => {
  const left = [...answers];
  const sent: { readonly to: string; readonly body: unknown }[] = [];
  const send: typeof fetch = (input, init) => {
    const to = input instanceof Request ? input.url : input.toString();
    sent.push({ to, body: typeof init?.body === 'string' ? (JSON.parse(init.body) as unknown) : null });
    return Promise.resolve(left.shift()!);
  };
  return Object.assign(send, { sent });
};
const find = () => opened;

afterEach(() => settleConflictsBy(null));

describe('a write that comes too late', () => {
  it('differs in what both have, and tells what was left alone', () => {
    const conflict: Conflict = { theirs, mine, opened };
    expect(differingFields(conflict)).toEqual(['name', 'isWatered']);
    expect(isUntouched(conflict, 'isWatered')).toBe(true);
    expect(isUntouched(conflict, 'name')).toBe(false);
    expect(isUntouched({ ...conflict, opened: null }, 'isWatered')).toBe(false);
  });
  it('is answered as before when nobody is there to ask, or the answer is another', async () => {
    expect((await sentSettled(sending(stale()), ['/a', put], find)).status).toBe(409);
    settleConflictsBy(() => Promise.reject(new Error('asked')));
    expect((await sentSettled(sending(good()), ['/a', put], find)).status).toBe(200);
    const several = { method: 'POST', body: JSON.stringify({ entries: [] }) };
    expect((await sentSettled(sending(stale()), ['/a', several], find)).status).toBe(409);
  });
  it('goes again upon the newer version with what was settled, as often as it takes', async () => {
    const asker = vi.fn(() => Promise.resolve({ ...mine, isWatered: false }));
    settleConflictsBy(asker);
    const send = sending(stale(), stale(), good());
    expect((await sentSettled(send, ['/a', put], find)).status).toBe(200);
    expect(asker).toHaveBeenCalledTimes(2);
    expect(asker).toHaveBeenCalledWith({ theirs, mine, opened });
    expect(send.sent[2].body).toEqual({
      ...mine,
      isWatered: false,
      version: 4,
    });
  });
  it('is left, with a sentence that says so', async () => {
    settleConflictsBy(() => Promise.resolve(null));
    const answer = await sentSettled(sending(stale()), ['/a', put], find);
    expect(await answer.json()).toMatchObject({
      status: 409,
      detail: expect.stringContaining('yours was not saved') as string,
    });
  });
  it('settles one record after the other of a request that writes several', async () => {
    const entry = { id: 'straw', type: 'lay', amount: 4, version: 1 };
    const feed = { id: 'fed', version: 1 };
    const newer = (current: object) =>
      new Response(JSON.stringify({ status: 409, current }), { status: 409 });
    const asked: Conflict[] = [];
    settleConflictsBy((conflict) => {
      asked.push(conflict);
      return Promise.resolve(conflict.mine ? { ...conflict.mine, amount: 5 } : true);
    });
    const send = sending(
      newer({ id: 'straw', type: 'lay', amount: 6, version: 2 }),
      newer({ id: 'fed', type: 'feed', nitrogenG: 30, version: 3 }),
      good(),
    );
    const act = { method: 'POST', body: JSON.stringify({ entries: { changes: [entry], removals: [feed] } }) };
    expect((await sentSettled(send, ['/acts', act], () => null)).status).toBe(200);
    expect(asked.map(({ mine: one }) => one)).toEqual([entry, null]);
    expect(send.sent[2].body).toEqual({
      entries: {
        changes: [{ ...entry, amount: 5, version: 2 }],
        removals: [{ id: 'fed', version: 3 }],
      },
    });
  });
  it('may delete what was changed, all the same', async () => {
    vi.stubGlobal('window', { location: { origin: 'http://books' } });
    settleConflictsBy(({ mine: none }) => Promise.resolve(none === null ? true : null));
    const send = sending(stale(), good());
    await sentSettled(send, ['/api/beds/bed?version=3', { method: 'DELETE' }], find);
    expect(send.sent[1].to).toBe('http://books/api/beds/bed?version=4');
    vi.unstubAllGlobals();
  });
});
