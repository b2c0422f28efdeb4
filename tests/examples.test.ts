import { readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { runInNewContext } from 'node:vm';
import { describe, expect, it } from 'vitest';
import {
  CLIMATE_PATTERNS,
  dayNumberFromIso,
  findLibraryCrop,
  findLibraryMaterial,
} from '../src/core/ground/index.ts';
import { defaultParameters } from '../src/core/model/index.ts';

const CORE = 'src/core';

/** An example of a doc comment: an expression, and its value to as many figures as are written. */
interface Example {
  readonly expression: string;
  readonly value: string;
}

const LINE = /^ \* (.+) \/\/ (.+)$/;

function examplesIn(text: string): Example[] {
  const blocks = text.match(/\/\*\*[\s\S]*?\*\//g) ?? [];
  return blocks.flatMap((block) => {
    const [, after = ''] = block.split(' * @example\n');
    return after.split('\n').flatMap((line) => {
      const found = LINE.exec(line.trimEnd());
      return found ? [{ expression: found[1], value: found[2] }] : [];
    });
  });
}

/** What an example may use besides the file it stands in. */
const AT_HAND = {
  findLibraryCrop,
  findLibraryMaterial,
  dayNumberFromIso,
  defaultParameters,
  findClimate: (id: string) => CLIMATE_PATTERNS.find((one) => one.id === id),
};

/** Evaluated where nothing but what is known can be reached. */
const valueOf = (expression: string, known: Record<string, unknown>): unknown =>
  runInNewContext(expression, known) as unknown;

const figuresIn = (text: string): number =>
  text
    .replace(/e.*$/, '')
    .replace(/^-?0*\.?0*/, '')
    .replace('.', '').length;

/** The value as the example writes it: a number to as many figures, anything else as JSON. */
const writtenLike = (written: string, value: unknown): unknown =>
  typeof value === 'number' && Number.isFinite(value)
    ? Number(value.toPrecision(Math.max(1, figuresIn(written))))
    : value;

const files = readdirSync(CORE, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
  .map((file) => ({ file, examples: examplesIn(readFileSync(join(CORE, file), 'utf8')) }))
  .filter(({ examples }) => examples.length > 0);

describe('the example in a comment', () => {
  it.each(files)('is true: $file', async ({ file, examples }) => {
    const own = (await import(resolve(CORE, file))) as Record<string, unknown>;
    for (const { expression, value } of examples) {
      const got = valueOf(expression, { ...AT_HAND, ...own });
      expect(writtenLike(value, got), expression).toEqual(JSON.parse(value));
    }
  });

  it('is found, and would be refused if it were wrong', () => {
    const [example] = examplesIn('/** A half.\n * @example\n * halved(5) // 2.5\n */');
    expect(example).toEqual({ expression: 'halved(5)', value: '2.5' });
    const got = valueOf(example.expression, { halved: (x: number) => x / 2 });
    expect(writtenLike('2.5', got)).toBe(2.5);
    expect(writtenLike('2.6', got)).not.toBe(2.6);
    expect(files.length).toBeGreaterThan(20);
  });
});
