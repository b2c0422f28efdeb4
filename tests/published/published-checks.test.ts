import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { CHECK_GROUPS, isHit, PUBLISHED_CHECKS } from '../../src/core/model/validation/published-checks.ts';
import { READINGS } from './readings.ts';
import { validationPage } from './validation-page.ts';

/** What docs and pages show must be what the model gives: eight digits, and the books' own rounding noise aside. */
const TOLERANCE = 1e-8;
const NOISE = 1e-3;

describe('published results', () => {
  it('are all there, each once, with a source and a way to read it', () => {
    expect(PUBLISHED_CHECKS).toHaveLength(123);
    expect(PUBLISHED_CHECKS.filter(({ isOwn }) => isOwn).length).toBeGreaterThanOrEqual(20);
    expect(new Set(PUBLISHED_CHECKS.map(({ id }) => id)).size).toBe(PUBLISHED_CHECKS.length);
    expect(Object.keys(READINGS).sort()).toEqual(PUBLISHED_CHECKS.map(({ id }) => id).sort());
    for (const { source, group, low, high, fromMemory } of PUBLISHED_CHECKS) {
      expect(source).not.toBe('');
      expect(CHECK_GROUPS).toContain(group);
      expect(low).toBeLessThan(high);
      expect(fromMemory).toBe(true);
    }
  });

  it.each(PUBLISHED_CHECKS.map((check) => [check.id, check.quantity, check] as const))(
    '%s %s',
    (id, _, check) => {
      const value = READINGS[id]();
      expect(Math.abs(value - check.value), `${id} is ${value} now`).toBeLessThanOrEqual(
        Math.max(check.group === 'books' ? NOISE : 0, TOLERANCE * Math.abs(check.value), 1e-12),
      );
      // A miss is told with its reason and never loosened; a hit needs none.
      expect(isHit(check)).toBe(check.missReason === undefined);
    },
    60_000,
  );

  it('stand on the page as they are', () => {
    const page = readFileSync(join(import.meta.dirname, '..', '..', 'docs', 'validation.md'), 'utf8');
    expect(page).toBe(validationPage());
  });
});
