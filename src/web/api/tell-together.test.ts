import { notifyManager } from '@tanstack/react-query';
import { afterAll, expect, it, vi } from 'vitest';
import { tellTogether } from './tell-together.ts';

afterAll(() => {
  vi.useRealTimers();
  notifyManager.setScheduler((tell) => setTimeout(tell, 0));
});

it('all answers of one moment are told in one go, in their order, and those of the next one in another', () => {
  vi.useFakeTimers();
  tellTogether();
  const told: string[] = [];
  for (const bed of ['a', 'b', 'c']) notifyManager.schedule(() => told.push(bed));
  expect(told).toEqual([]);
  expect(vi.getTimerCount()).toBe(1);
  vi.runAllTimers();
  expect(told).toEqual(['a', 'b', 'c']);
  notifyManager.schedule(() => told.push('d'));
  expect(vi.getTimerCount()).toBe(1);
  vi.runAllTimers();
  expect(told).toEqual(['a', 'b', 'c', 'd']);
});
