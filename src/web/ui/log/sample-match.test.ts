import { expect, it } from 'vitest';
import { bedOfSample } from './sample-match.ts';

const beds = [
  { id: 'long', name: 'Long Bed' },
  { id: 'short', name: 'Short Bed' },
  { id: 'ferry', name: 'Ferry Strip' },
];

it('knows the bed of a sample by its name, whatever the case and what stands beside it', () => {
  expect(bedOfSample('LONG BED', beds)).toBe('long');
  expect(bedOfSample('Ferry', beds)).toBe('ferry');
  expect(bedOfSample('12 – Ferry strip 0-30', beds)).toBe('ferry');
});
it('leaves it open where none or several answer to it', () => {
  expect(bedOfSample('Bed', beds)).toBeNull();
  expect(bedOfSample('Sample 3', beds)).toBeNull();
  expect(bedOfSample('', beds)).toBeNull();
});
