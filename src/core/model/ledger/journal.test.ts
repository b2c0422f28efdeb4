import { describe, expect, it } from 'vitest';
import { FLOW, FLOW_COUNT } from './flows.ts';
import { journalOf } from './journal.ts';
import { BALANCE_COUNT } from '../simulation/books.ts';

const sampleOn = (day: number, totals: Partial<Record<keyof typeof FLOW, number>>) => {
  const flows = new Float64Array(FLOW_COUNT);
  for (const [name, g] of Object.entries(totals)) flows[FLOW[name as keyof typeof FLOW]] = g;
  return { day, flows, balances: new Float64Array(BALANCE_COUNT) };
};

describe('the journal of a run', () => {
  const samples = [
    sampleOn(100, {}),
    sampleOn(131, { leached: 2, freshCarbonRespired: 30 }),
    sampleOn(140, { leached: 2, freshCarbonRespired: 45 }),
    sampleOn(161, { leached: 5, freshCarbonRespired: 60 }),
  ];
  const journal = journalOf(samples, 140);

  it('has every posting of every closing, with both its accounts', () => {
    expect(journal[0]).toEqual({
      fromDay: 100,
      untilDay: 131,
      basis: 'facts',
      element: 'carbon',
      name: 'freshCarbonRespired',
      from: 'fresh',
      to: 'air',
      gPerM2: 30,
    });
    expect(journal.map(({ fromDay, name, gPerM2 }) => [fromDay, name, gPerM2])).toEqual([
      [100, 'freshCarbonRespired', 30],
      [100, 'leached', 2],
      [131, 'freshCarbonRespired', 15],
      [140, 'freshCarbonRespired', 15],
      [140, 'leached', 3],
    ]);
  });
  it('parts what was from what is expected', () => {
    expect(journal.map(({ basis }) => basis)).toEqual(['facts', 'facts', 'facts', 'forecast', 'forecast']);
  });
  it('adds up to the totals of the run', () => {
    const sum = (name: string) =>
      journal.filter((one) => one.name === name).reduce((g, one) => g + one.gPerM2, 0);
    expect([sum('leached'), sum('freshCarbonRespired')]).toEqual([5, 60]);
  });
});
