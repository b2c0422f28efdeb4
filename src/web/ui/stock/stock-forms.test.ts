import { describe, expect, it } from 'vitest';
import { stockPosting } from '../../../contract/requests.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { measuresOf } from '../../../words/measures.ts';
import { NOTHING_TYPED, readerOf, retyped } from '../forms/typed-quantity.ts';
import { describedAnew, readChips } from '../materials/chips-form.ts';
import { actPosting, ACTS, actTroubles, blankAct, type Act, type ActForm } from './act-form.ts';
import { blankForm } from './receive-form.ts';

const METRIC = readerOf('metric');
const UNITS = { measures: measuresOf({ measures: 'metric' }), reader: METRIC };
const typed = (text: string) => retyped(NOTHING_TYPED, text);
const BOOKS = { today: '2026-05-14' } as GardenBooks;
const LOT = {
  id: 'pile',
  version: 1,
  createdAt: '',
  updatedAt: '',
  gardenId: 'g',
  name: 'Chips by the gate',
  form: 'pile' as const,
  keeping: 'open' as const,
  isTurned: true,
  isHot: false,
  reserveL: 0,
  note: '',
};
const form = (change: Partial<ActForm> = {}): ActForm => ({ ...blankAct(BOOKS, LOT, UNITS), ...change });
const filled = form({
  amount: { amount: '2,5', unit: 'barrow85L' },
  water: typed('20'),
  figures: {
    ...form().figures,
    temperatureC: typed('136.4 F'),
    moistureFractionWetBasis: typed('55'),
  },
  signs: ['earthySmell'],
});

describe('what is done to a lot', () => {
  it.each(ACTS.map((act): [Act] => [act]))('%s is something the server takes', (act) => {
    const parsed = stockPosting.safeParse(
      actPosting({ act, form: filled, lot: LOT, today: '2026-05-14', reader: METRIC }),
    );
    expect(parsed.success, JSON.stringify(parsed.error?.issues)).toBe(true);
  });
  it('moves into a new bag, shut, when no other lot is named', () => {
    const { lots, movements } = actPosting({
      act: 'move',
      form: filled,
      lot: LOT,
      today: '2026-05-14',
      reader: METRIC,
    });
    expect(lots[0]).toMatchObject({
      name: 'Chips by the gate, bags',
      form: 'bag',
      keeping: 'shut',
      isTurned: false,
    });
    expect(movements[0]).toMatchObject({ amount: 2.5, toLotId: lots[0].id });
    const split = actPosting({
      act: 'move',
      form: { ...filled, newForm: 'pile', newName: 'Half' },
      lot: LOT,
      today: '2026-05-14',
      reader: METRIC,
    });
    expect(split.lots[0]).toMatchObject({ name: 'Half', keeping: 'open', isTurned: true });
    expect(
      actPosting({
        act: 'move',
        form: { ...filled, toLotId: 'other' },
        lot: LOT,
        today: '2026-05-14',
        reader: METRIC,
      }).lots,
    ).toEqual([]);
  });
  it('measures only what was typed, in shares', () => {
    const [reading] = actPosting({
      act: 'reading',
      form: filled,
      lot: LOT,
      today: '2026-05-14',
      reader: METRIC,
    }).movements;
    expect(reading).toMatchObject({
      temperatureC: 58,
      moistureFractionWetBasis: 0.55,
      bulkDensityKgPerM3: null,
      nitrogenFractionDryBasis: null,
    });
  });
  it('is a plan when it lies ahead', () => {
    const [turned] = actPosting({
      act: 'turn',
      form: form({ date: '2026-06-01' }),
      lot: LOT,
      today: '2026-05-14',
      reader: METRIC,
    }).movements;
    expect(turned).toMatchObject({ state: 'planned' });
  });
});

describe('a load that arrives', () => {
  const blank = blankForm(BOOKS, UNITS);
  it('starts as chips by what is seen of them, today, in barrows', () => {
    expect(blank).toMatchObject({ date: '2026-05-14', lotForm: 'pile', keeping: 'open' });
    expect(blank.amount.unit).toBe('barrow85L');
  });
  it('describes chips by the answers, and says nothing of what was not looked at', () => {
    const described = (figures: Record<string, string>, season?: 'leafless') => {
      const changed = Object.fromEntries(
        Object.entries(figures).map(([field, text]) => [field, typed(text)]),
      );
      const change = { figures: { ...blank.chips.figures, ...changed }, ...(season && { season }) };
      return readChips(describedAnew(blank.chips, change), METRIC).draft;
    };
    const draft = described({ leafShare: '12', coniferShare: '40' });
    expect(draft.name).toBe('Chips of 6 cm branches, 12 % leaf, 40 % conifer');
    expect(draft.basis).toMatchObject({ leafShare: 0.12, coniferShare: 0.4, barkShare: null, season: null });
    expect(described({ barkShare: '30' }, 'leafless').basis).toMatchObject({
      barkShare: 0.3,
      season: 'leafless',
    });
  });
  it('says what is wrong with figures before anything is sent', () => {
    const wet = { ...filled, figures: { ...filled.figures, moistureFractionWetBasis: typed('wet') } };
    expect(Object.keys(actTroubles('reading', wet, METRIC))).toEqual(['moistureFractionWetBasis']);
    expect(Object.keys(actTroubles('water', { ...filled, water: typed('4 kg') }, METRIC))).toEqual([
      'waterL',
    ]);
    expect(actTroubles('turn', wet, METRIC)).toEqual({});
  });
});
