import { describe, expect, it } from 'vitest';
import { scaleBrew } from '../../../core/yard/index.ts';
import { pouredEntry } from './poured-entry.ts';

const poured = (litres: number, date: string) =>
  pouredEntry('molassesPath', scaleBrew('molassesPath', litres), {
    date,
    today: '2026-05-14',
    litresWords: '20 L',
  });

describe('a brew that is poured on a bed', () => {
  it('is in its books as what it brings, on its day', () => {
    expect(poured(20, '2026-05-14')).toMatchObject({
      type: 'lay',
      state: 'laid',
      materialId: 'molasses',
      amount: 1,
      unit: 'litre',
      note: 'Molasses water for new paths, 20 L.',
    });
    expect(poured(20, '2026-05-20')).toMatchObject({ state: 'planned', date: '2026-05-20' });
  });
  it('is no entry where it brings nothing that is followed', () => {
    const nothing = { ...scaleBrew('molassesPath', 20), adds: [] };
    const about = { date: '2026-05-14', today: '2026-05-14', litresWords: '' };
    expect(pouredEntry('molassesPath', nothing, about)).toBeNull();
  });
});
