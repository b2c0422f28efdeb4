import { describe, expect, it } from 'vitest';
import { heapLog } from './heap-log.ts';
import type { ReadinessSign } from '../../../records/vocabulary.ts';
import type { Movement } from '../../../records/movement.ts';

const sign = (date: string, ...signs: ReadinessSign[]): Movement => ({
  id: date,
  type: 'sign',
  state: 'laid',
  date,
  lotId: 'heap',
  signs,
});
const turn = (date: string, lotId = 'heap', state: 'laid' | 'planned' = 'laid'): Movement => ({
  id: `turn ${date}`,
  type: 'turn',
  state,
  date,
  lotId,
});

describe('the log of a heap', () => {
  it('holds what was done to that heap, in order, and no plans', () => {
    const log = heapLog('heap', [
      turn('2026-05-03'),
      turn('2026-05-01'),
      turn('2026-05-02', 'other'),
      turn('2026-06-01', 'heap', 'planned'),
      { id: 'w', type: 'water', state: 'laid', date: '2026-05-04', lotId: 'heap', waterL: 20 },
    ]);
    expect(log.turnings).toHaveLength(2);
    expect(log.turnings[0]).toBeLessThan(log.turnings[1]);
    expect(log.waterings[0].waterL).toBe(20);
    expect(log.verdict).toBe('none');
  });
  it('reads the signs together: sour when it last smelt so, ripe when all say so', () => {
    expect(heapLog('heap', [sign('2026-05-01', 'earthySmell')]).verdict).toBe('ripening');
    const ripe = [sign('2026-05-01', 'earthySmell', 'darkCrumb'), sign('2026-06-01', 'coolAfterTurning')];
    expect(heapLog('heap', ripe).verdict).toBe('ripe');
    expect(heapLog('heap', [...ripe, sign('2026-06-02', 'sourSmell')]).verdict).toBe('sour');
    expect(heapLog('heap', [sign('2026-04-01', 'sourSmell'), ...ripe]).verdict).toBe('ripe');
  });
});
