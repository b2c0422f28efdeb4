import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { readScenarioFile } from '../../src/contract/scenario-file.ts';
import { reportScenario } from '../../src/contract/scenario-report.ts';

/**
 * Twenty scenarios computed by an independent program from docs/method.md, to ten significant digits. Agreement
 * means 1e-6 relative; below a milligram, 1e-9 g absolute. Doses must be the same to the step.
 */
const FOLDER = join(import.meta.dirname, '..', 'reference');
const RELATIVE = 1e-6;
const SMALL_G = 1e-3;
const ABSOLUTE_G = 1e-9;
/** Rounding noise of the program that wrote them. */
const NOT_COMPARED = new Set(['errC', 'errN']);

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

const read = (...path: string[]): Json => JSON.parse(readFileSync(join(FOLDER, ...path), 'utf8')) as Json;

function isClose(actual: number, expected: number): boolean {
  const tolerance = Math.abs(expected) < SMALL_G ? ABSOLUTE_G : RELATIVE * Math.abs(expected);
  return Math.abs(actual - expected) <= tolerance;
}

function differences(actual: Json, expected: Json, path = ''): string[] {
  if (typeof expected === 'number') {
    return typeof actual === 'number' && isClose(actual, expected)
      ? []
      : [`${path}: ${JSON.stringify(actual)} is not ${expected}`];
  }
  if (expected === null || typeof expected !== 'object') {
    return actual === expected
      ? []
      : [`${path}: ${JSON.stringify(actual)} is not ${JSON.stringify(expected)}`];
  }
  if (actual === null || typeof actual !== 'object' || Array.isArray(actual) !== Array.isArray(expected)) {
    return [`${path}: has another shape`];
  }
  const keys = new Set(
    [...Object.keys(expected), ...Object.keys(actual)].filter((key) => !NOT_COMPARED.has(key)),
  );
  return [...keys].flatMap((key) => {
    const a = (actual as Record<string, Json | undefined>)[key];
    const e = (expected as Record<string, Json | undefined>)[key];
    if (a === undefined || e === undefined) return [`${path}.${key}: is in one of them only`];
    return differences(a, e, `${path}.${key}`);
  });
}

describe('reference scenarios', () => {
  const names = readdirSync(join(FOLDER, 'scenarios'));
  it('are all there', () => expect(names).toHaveLength(20));
  it.each(names)('%s is reproduced', (name) => {
    const report = reportScenario(readScenarioFile(read('scenarios', name)));
    expect(differences(JSON.parse(JSON.stringify(report)) as Json, read('expected', name))).toEqual([]);
  });
  it('the comparison notices a change in the sixth digit', () => {
    expect(differences({ a: [1.00001] }, { a: [1] })).toHaveLength(1);
  });
});
