import { describe, expect, it } from 'vitest';
import { MILD, plantingOf } from '../../../../tests/fixtures/books.ts';
import { findLibraryCrop, isoDateOf } from '../../../core/ground/index.ts';
import { retyped, type Reader } from '../../ui/forms/typed-quantity.ts';
import {
  clashOf,
  hungriestOf,
  newPlantingForm,
  plantingFormOf,
  quantitiesOf,
  readPlanting,
  rootsFullOn,
  withChange,
  withCrop,
} from './planting-form.ts';

const METRIC: Reader = { system: 'metric', style: { decimal: '.', group: ',' } };
const CUSTOMARY: Reader = { ...METRIC, system: 'customary' };
const SITE = { climate: MILD, depositionGPerM2Year: 1 };
const LEEK = findLibraryCrop('leek')!;
const PEA = findLibraryCrop('pea')!;
const QUINCE = findLibraryCrop('quince')!;
const fresh = newPlantingForm(LEEK, '2026-05-14', METRIC);
const read = (form: typeof fresh, reader = METRIC) =>
  readPlanting({ form, id: 'id', today: '2026-05-14', quantities: quantitiesOf(form, reader), note: '' });

describe('a planting being written', () => {
  it('starts as the library has the crop, cleared when its time is over', () => {
    expect(fresh).toMatchObject({
      cropId: 'leek',
      startsAs: 'transplant',
      clearedOn: '2026-11-20',
      areaShare: { text: '100' },
    });
    expect(read(fresh)).toMatchObject({
      success: true,
      data: { areaShare: 1, rootDepthCm: 50, state: 'laid' },
    });
  });
  it('takes another crop’s figures, and moves the clearing with the planting', () => {
    const pea = withCrop(fresh, PEA, METRIC);
    expect(pea).toMatchObject({ startsAs: 'seed', demand: { text: '14' }, clearedOn: '2026-08-17' });
    expect(withChange(pea, { plantedOn: '2026-06-01' }, PEA).clearedOn).toBe('2026-09-04');
    const tree = withCrop(fresh, QUINCE, METRIC);
    expect(tree.clearedOn).toBe('');
    expect(read(tree)).toMatchObject({ success: true, data: { clearedOn: null } });
    expect(withCrop(fresh, findLibraryCrop('white_clover')!, METRIC).isUndersown).toBe(true);
  });
  it('keeps what was typed over when something else changes', () => {
    const typed = withChange(fresh, { demand: retyped(fresh.demand, '7,5') }, LEEK);
    expect(read(withChange(typed, { areaShare: retyped(typed.areaShare, '40') }, LEEK))).toMatchObject({
      data: { nitrogenDemandGPerM2: 7.5, areaShare: 0.4 },
    });
  });
  it('reads inches, and plans what lies ahead', () => {
    const inches = newPlantingForm(LEEK, '2026-05-14', CUSTOMARY);
    expect(
      read({ ...inches, rootDepth: retyped(inches.rootDepth, '20'), plantedOn: '2026-06-01' }, CUSTOMARY),
    ).toMatchObject({
      data: { rootDepthCm: 50.8, state: 'planned' },
    });
  });
  it('tells when its roots are down, and not for a perennial', () => {
    // Six tenths of the warmth between 14 May and 20 November, which comes sooner than six tenths of the days.
    expect(isoDateOf(rootsFullOn(fresh, LEEK, MILD)!)).toBe('2026-08-20');
    expect(rootsFullOn(withCrop(fresh, QUINCE, METRIC), QUINCE, MILD)).toBeNull();
  });
  it('tells when it is hungriest, by warmth, and of a perennial while it is in leaf', () => {
    const [from, until] = hungriestOf(fresh, LEEK, SITE)!;
    expect([isoDateOf(from), isoDateOf(until)]).toEqual(['2026-07-12', '2026-08-31']);
    const [bud, leaf] = hungriestOf(withCrop(fresh, QUINCE, METRIC), QUINCE, SITE)!;
    expect(bud).toBeGreaterThan(from - 60);
    expect(leaf - bud).toBeGreaterThan(20);
    expect(hungriestOf({ ...fresh, clearedOn: '' }, LEEK, SITE)).toBeNull();
  });
  it('names the field that cannot be', () => {
    const parsed = read({
      ...fresh,
      demand: retyped(fresh.demand, 'much'),
      areaShare: retyped(fresh.areaShare, '0'),
    });
    expect(parsed.success).toBe(false);
    expect(parsed.error!.issues.map(({ path }) => path[0])).toEqual(['nitrogenDemandGPerM2', 'areaShare']);
  });
  it('comes back as it was kept', () => {
    const kept = plantingOf({ cropId: 'kale', areaShare: 0.5, isUndersown: true, clearedOn: null });
    expect(plantingFormOf(kept, METRIC)).toMatchObject({
      cropId: 'kale',
      areaShare: { text: '50' },
      isUndersown: true,
      clearedOn: '',
    });
  });
  it('says in a sentence why there is no room', () => {
    const leek = plantingOf();
    expect(clashOf(plantingOf({ id: 'other', cropId: 'kale' }), [leek], [])).toMatch(
      /^It overlaps Leek .*undersown\.$/,
    );
    expect(clashOf(leek, [leek], [])).toBeNull();
  });
});
