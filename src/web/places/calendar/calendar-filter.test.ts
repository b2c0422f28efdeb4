import { describe, expect, it } from 'vitest';
import type { AgendaItem } from '../../../core/season/index.ts';
import { ALL_TASKS, placesOf, tasksFor } from './calendar-filter.ts';

const bed = (id: string, kind: 'annual' | 'path' | 'shrubs', part: string) => ({
  id,
  name: `Bed ${id}`,
  kind,
  part,
});
const beds = [
  bed('a', 'annual', 'North'),
  bed('b', 'annual', 'South'),
  bed('c', 'path', 'North'),
  bed('d', 'path', 'South'),
  bed('e', 'shrubs', ''),
];
const item = (bedId: string | null, what: AgendaItem['what'] = { code: 'clear', cropId: 'leek' }) =>
  ({
    key: `${bedId} ${what.code}`,
    bedId,
    what,
    group: what.code === 'clear' ? 'growing' : 'feeding',
  }) as AgendaItem;
const top = item('a', { code: 'topUp', nowCm: 2, addCm: 4, materialId: 'chips_mixed' });
const items = [item('a'), item('b'), item('c'), item('e'), item(null), top];
const at = (place: string) => tasksFor(items, { ...ALL_TASKS, place }, beds).map(({ bedId }) => bedId);

describe('a calendar', () => {
  it('can be narrowed to a part of the garden, a kind of beds, a bed, and the yard', () => {
    expect(placesOf(beds).map(({ value }) => value)).toEqual([
      'all',
      'part:North',
      'part:South',
      'kind:annual',
      'kind:path',
      ...beds.map(({ id }) => `bed:${id}`),
      'yard',
    ]);
    expect(at('all')).toHaveLength(items.length);
    expect(at('part:North')).toEqual(['a', 'c', 'a']);
    expect(at('kind:annual')).toEqual(['a', 'b', 'a']);
    expect(at('bed:e')).toEqual(['e']);
    expect(at('yard')).toEqual([null]);
  });
  it('can show only what needs stock, and leave kinds of tasks out', () => {
    expect(tasksFor(items, { ...ALL_TASKS, isOnlyFromStock: true }, beds)).toEqual([top]);
    expect(tasksFor(items, { ...ALL_TASKS, hidden: new Set(['growing']) }, beds)).toEqual([top]);
  });
});
