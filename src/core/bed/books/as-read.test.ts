import { expect, it } from 'vitest';
import { bedOf, GARDEN } from '../../../../tests/fixtures/books.ts';
import { groundAsRead } from './as-read.ts';

it('the model reads of a garden and its beds what decides how they fare, and not what people call them', () => {
  const { garden, beds } = groundAsRead({ garden: GARDEN, beds: [bedOf({ note: 'Dug in May' })] });
  expect(Object.keys(garden).sort()).toEqual([
    'climate',
    'depositionGPerM2Year',
    'feedMaterialId',
    'id',
    'school',
  ]);
  expect(Object.keys(beds[0]).sort()).toEqual(
    [
      ...[
        'areaM2',
        'bulkDensityGPerCm3',
        'clayPct',
        'croppingBefore',
        'exposure',
        'gardenId',
        'id',
        'isWatered',
      ],
      ...['kind', 'organicMatterPct', 'ph', 'rootZoneCm', 'startedOn'],
    ].sort(),
  );
});

it('a record that has not changed is read as the same object', () => {
  const bed = bedOf();
  const first = groundAsRead({ garden: GARDEN, beds: [bed] });
  const second = groundAsRead({ garden: GARDEN, beds: [bedOf({ id: 'new' }), bed] });
  expect(second.garden).toBe(first.garden);
  expect(second.beds[1]).toBe(first.beds[0]);
});
