import { findCrop } from '../core/ground/index.ts';
import type { GardenBooks } from '../contract/garden-books.ts';
import { formatQuantity } from '../quantities/format-quantity.ts';
import { QUANTITY_OF_FIELD } from '../records/labels.ts';
import { dayOf, shortDate } from './dates.ts';
import { fieldWords } from './field-words.ts';
import { plainFigure } from './figures.ts';
import { materialName } from './record-names.ts';

const ISO_DATE = /^\d{4}-\d{2}-\d{2}$/;
const NAMES_ONE: Readonly<Record<string, 'beds' | 'lots'>> = {
  bedId: 'beds',
  lotId: 'lots',
  toLotId: 'lots',
  unburntToLotId: 'lots',
};
const FEW_LETTERS = 60;

/** A value of a field of a record as people read it: with its unit, its day, the name of what it points to. */
export function valueWords(field: string, value: unknown, books: GardenBooks): string {
  if (value === null || value === undefined || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') {
    const quantity = QUANTITY_OF_FIELD.get(field);
    if (quantity) return formatQuantity(value, quantity, books.garden.measures);
    return field.endsWith('Pct') ? `${plainFigure(value)} %` : plainFigure(value, 4);
  }
  if (typeof value === 'object') return partsOf(value, books);
  if (typeof value !== 'string') return '';
  if (ISO_DATE.test(value)) return shortDate(dayOf(value));
  if (field === 'materialId') return materialName(value, books.materials);
  if (field === 'cropId') return findCrop(value, books.crops)?.name ?? value;
  const list = NAMES_ONE[field];
  return list ? (books[list].find(({ id }) => id === value)?.name ?? value) : value;
}

/** What has parts is told by the first of them: enough to tell two apart. */
function partsOf(value: object, books: GardenBooks): string {
  const parts = Object.entries(value).map(([field, part]) => {
    const words = valueWords(field, part, books);
    return Array.isArray(value) ? words : `${fieldWords(field)} ${words}`;
  });
  const text = parts.join(', ');
  return text.length > FEW_LETTERS ? `${text.slice(0, FEW_LETTERS)} …` : text;
}
