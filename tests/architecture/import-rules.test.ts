import { spawnSync } from 'node:child_process';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const PROJECT = join(import.meta.dirname, '..', '..');
const CONFIG = join(PROJECT, '.dependency-cruiser.cjs');

interface Rules {
  readonly forbidden: readonly { readonly name: string }[];
}
interface Verdict {
  readonly summary: {
    readonly violations: readonly { readonly rule: { readonly name: string }; readonly from: string }[];
  };
}

const { forbidden } = createRequire(import.meta.url)(CONFIG) as Rules;

const found = ((): ReadonlyMap<string, string[]> => {
  const { stdout } = spawnSync(
    join(PROJECT, 'node_modules', '.bin', 'depcruise'),
    ['--config', CONFIG, '--output-type', 'json', 'src'],
    { cwd: join(import.meta.dirname, 'planted'), encoding: 'utf8', maxBuffer: 64 * 1024 * 1024 },
  );
  const { summary } = JSON.parse(stdout) as Verdict;
  const places = new Map<string, string[]>();
  for (const { rule, from } of summary.violations)
    places.set(rule.name, [...(places.get(rule.name) ?? []), from]);
  return places;
})();

describe('the import rules', () => {
  it.each(forbidden.map(({ name }) => name))('%s catches the breach that is planted for it', (name) => {
    expect(found.get(name) ?? []).not.toEqual([]);
  });

  it('catches a style of another page, and a circle of types', () => {
    expect(found.get('places-never-sideways')).toContain('src/web/places/stock/sideways-style.ts');
    expect(found.get('no-circles')).toContain('src/refusals/circle-a.ts');
  });
});
