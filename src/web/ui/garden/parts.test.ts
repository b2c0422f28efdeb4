import { expect, test } from 'vitest';
import { gardenParts } from './parts.ts';

const bed = (name: string, part: string) => ({ name, part });

test('beds stand under the part of the garden they lie in, by name and number, those of none last', () => {
  const beds = [
    bed('Far', ''),
    bed('Tenth', 'Terrace 10'),
    bed('Pond edge', 'Pond'),
    bed('Second', 'Terrace 2'),
    bed('Pond side', 'Pond'),
  ];
  expect(
    gardenParts(beds, ({ part }) => part).map(({ name, beds: own }) => [name, ...own.map((one) => one.name)]),
  ).toEqual([
    ['Pond', 'Pond edge', 'Pond side'],
    ['Terrace 2', 'Second'],
    ['Terrace 10', 'Tenth'],
    ['', 'Far'],
  ]);
});

test('a garden without parts is one part without a name', () => {
  expect(gardenParts([bed('One', ''), bed('Two', '')], ({ part }) => part)).toMatchObject([
    { name: '', beds: [{ name: 'One' }, { name: 'Two' }] },
  ]);
});
