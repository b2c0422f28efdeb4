import { describe, expect, it } from 'vitest';
import { MILD, plantingOf } from '../../../../tests/fixtures/books.ts';
import { isoDateOf } from '../../../core/ground/climate/calendar.ts';
import { clashOf, plantingFormOf, readPlanting, rootsFullOn, withChange } from './planting-form.ts';

const fresh = plantingFormOf(null, '2026-05-14', 1);
const read = (form: typeof fresh, cmPerUnit = 1) =>
  readPlanting({ form, id: 'id', today: '2026-05-14', cmPerUnit, note: '' });

describe('a planting being written', () => {
  it('starts as the library has the crop, cleared when its time is over', () => {
    expect(fresh).toMatchObject({
      cropId: 'leek',
      startsAs: 'transplant',
      clearedOn: '2026-11-20',
      areaPct: '100',
    });
    expect(read(fresh)).toMatchObject({
      success: true,
      data: { areaShare: 1, rootDepthCm: 50, state: 'laid' },
    });
  });
  it('takes another crop’s figures, and moves the clearing with the planting', () => {
    const pea = withChange(fresh, { cropId: 'pea' }, 1);
    expect(pea).toMatchObject({ startsAs: 'seed', demand: '14', clearedOn: '2026-08-17' });
    expect(withChange(pea, { plantedOn: '2026-06-01' }, 1).clearedOn).toBe('2026-09-04');
    const tree = withChange(fresh, { cropId: 'quince' }, 1);
    expect(tree.clearedOn).toBe('');
    expect(read(tree)).toMatchObject({ success: true, data: { clearedOn: null } });
    expect(withChange(fresh, { cropId: 'white_clover' }, 1).isUndersown).toBe(true);
  });
  it('keeps what was typed over when something else changes', () => {
    const typed = withChange(fresh, { demand: '7,5' }, 1);
    expect(read(withChange(typed, { areaPct: '40' }, 1))).toMatchObject({
      data: { nitrogenDemandGPerM2: 7.5, areaShare: 0.4 },
    });
  });
  it('reads inches, and plans what lies ahead', () => {
    const inches = plantingFormOf(null, '2026-05-14', 2.54);
    expect(read({ ...inches, rootDepth: '20', plantedOn: '2026-06-01' }, 2.54)).toMatchObject({
      data: { rootDepthCm: 50.8, state: 'planned' },
    });
  });
  it('tells when its roots are down, and not for a perennial', () => {
    // Six tenths of the warmth between 14 May and 20 November, which comes sooner than six tenths of the days.
    expect(isoDateOf(rootsFullOn(fresh, MILD)!)).toBe('2026-08-20');
    expect(rootsFullOn(withChange(fresh, { cropId: 'quince' }, 1), MILD)).toBeNull();
  });
  it('names the field that cannot be', () => {
    const parsed = read({ ...fresh, demand: 'much', areaPct: '0' });
    expect(parsed.success).toBe(false);
    expect(parsed.error!.issues.map(({ path }) => path[0])).toEqual(['nitrogenDemandGPerM2', 'areaShare']);
  });
  it('comes back as it was kept', () => {
    const kept = plantingOf({ cropId: 'kale', areaShare: 0.5, isUndersown: true, clearedOn: null });
    expect(plantingFormOf(kept, '2026-05-14', 1)).toMatchObject({
      cropId: 'kale',
      areaPct: '50',
      isUndersown: true,
      clearedOn: '',
    });
  });
  it('says in a sentence why there is no room', () => {
    const leek = plantingOf();
    expect(clashOf(plantingOf({ id: 'other', cropId: 'kale' }), [leek])).toMatch(
      /^It overlaps Leek .*undersown\.$/,
    );
    expect(clashOf(leek, [leek])).toBeNull();
  });
});
