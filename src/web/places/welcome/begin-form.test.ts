import { describe, expect, it } from 'vitest';
import { MILD } from '../../../../tests/fixtures/books.ts';
import { retyped, type Reader } from '../../ui/forms/typed-quantity.ts';
import { firstAnswers, guessedCrop, guessedMeasures, inMeasures, readAnswers } from './begin-form.ts';

const METRIC: Reader = { system: 'metric', style: { decimal: '.', group: ',' } };
const CUSTOMARY: Reader = { ...METRIC, system: 'customary' };
const TODAY = '2026-05-14';
const ids = { garden: 'garden', bed: 'bed', entry: 'entry', planting: 'planting' };
const blank = firstAnswers('metric', METRIC, TODAY);
const answered = { ...blank, place: { ...blank.place, way: 'name' as const, station: 'Dublin' } };
const read = (fields: typeof blank, reader = METRIC) => readAnswers(fields, { reader, ids, today: TODAY });

describe('the four questions', () => {
  it('are answered by guesses but for the place', () => {
    const { begun, crop, troubles } = read(answered);
    expect(troubles).toEqual({});
    expect(begun).toMatchObject({
      garden: { name: 'My garden', measures: 'metric' },
      bed: { name: 'First bed', areaM2: 6, clayPct: 20 },
      entry: { type: 'lay', materialId: 'chips_mixed', amount: 5, unit: 'cm', dugDepthCm: 0, state: 'laid' },
      planting: { cropId: crop!.id, plantedOn: TODAY, state: 'laid' },
    });
    const nowhere = read({ ...blank, place: { ...blank.place, station: null } });
    expect([nowhere.begun, nowhere.garden]).toEqual([null, null]);
    expect(Object.keys(nowhere.troubles)).toEqual(['station']);
  });
  it('may be answered by nothing yet, and by days to come', () => {
    const { begun } = read({ ...answered, materialId: null, cropId: null });
    expect([begun?.entry, begun?.planting]).toEqual([null, null]);
    const later = read({ ...answered, laidOn: '2026-06-01', plantedOn: '2026-06-10', cropId: 'quince' });
    expect(later.begun).toMatchObject({
      entry: { state: 'planned' },
      planting: { state: 'planned', clearedOn: null },
    });
  });
  it('are guessed in inches and square feet where those are read, round there', () => {
    expect(guessedMeasures(['en-US', 'en'])).toBe('customary');
    expect(guessedMeasures(['en-GB'])).toBe('metric');
    expect(guessedMeasures([])).toBe('metric');
    const feet = { ...answered, ...inMeasures('customary', CUSTOMARY) };
    expect([feet.area.text, feet.thickness.text]).toEqual(['64', '2']);
    expect(read(feet, CUSTOMARY).begun?.entry).toMatchObject({ amount: 2, unit: 'inch' });
  });
  it('say what cannot be at its question', () => {
    const { begun, troubles } = read({
      ...answered,
      name: '',
      area: retyped(answered.area, 'six'),
      thickness: retyped(answered.thickness, '3 m'),
    });
    expect(begun).toBeNull();
    expect(Object.keys(troubles).toSorted()).toEqual(['amount', 'areaM2', 'name']);
  });
  it('guess a crop that may start there on the day', () => {
    expect(guessedCrop(MILD, '2026-06-15').id).toBe('tomato');
    expect(['leek', 'kale', 'garlic', 'lettuce']).toContain(guessedCrop(MILD, '2026-10-15').id);
    expect(guessedCrop(null, TODAY).id).toBe('kale');
  });
});
