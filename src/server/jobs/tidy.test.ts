import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { tidyWhenIdle } from './tidy.ts';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());
const TEN_MINUTES = 10 * 60_000;

it('the books are tidied once a day, when nobody has written for ten minutes', async () => {
  let writes = 0;
  let today = '2026-05-14';
  let tidied = 0;
  const gone: string[] = [];
  const end = tidyWhenIdle(
    {
      state: () => ({ kind: 'sound', reason: null }),
      writes: () => writes,
      tidy: () => Promise.resolve({ records: 0, photoIds: [`leaf-${++tidied}`] }),
    },
    { remove: (id) => gone.push(id) },
    () => `${today}T08:00:00.000Z`,
  );
  writes = 1;
  await vi.advanceTimersByTimeAsync(TEN_MINUTES);
  expect(tidied).toBe(0);
  await vi.advanceTimersByTimeAsync(6 * TEN_MINUTES);
  expect([tidied, gone]).toEqual([1, ['leaf-1']]);
  today = '2026-05-15';
  await vi.advanceTimersByTimeAsync(TEN_MINUTES);
  expect(tidied).toBe(2);
  end();
  today = '2026-05-16';
  await vi.advanceTimersByTimeAsync(TEN_MINUTES);
  expect(tidied).toBe(2);
});
