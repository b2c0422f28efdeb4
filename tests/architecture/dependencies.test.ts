import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const PROJECT = join(import.meta.dirname, '..', '..');
const read = (path: string): string => readFileSync(join(PROJECT, path), 'utf8');

interface Description {
  readonly dependencies: Readonly<Record<string, string>>;
  readonly devDependencies: Readonly<Record<string, string>>;
}
const described = JSON.parse(read('package.json')) as Description;
/** A package under another name says its own before its version. */
const pinned = Object.entries({ ...described.dependencies, ...described.devDependencies }).map(
  ([name, version]) => [name, version.replace(/^npm:.+@/, '')] as const,
);

/** In its LICENSE file only. */
const LICENCE_ELSEWHERE = new Map([['jstat', 'MIT']]);

const licenceOf = (name: string): string =>
  (JSON.parse(read(`node_modules/${name}/package.json`)) as { license?: string }).license ??
  LICENCE_ELSEWHERE.get(name) ??
  'none told';

/** Rows of the document: package, version, licence. */
const rows = new Set(
  read('docs/dependencies.md')
    .split('\n')
    .map((line) =>
      line
        .split('|')
        .slice(1, 4)
        .map((cell) => cell.trim())
        .join(' '),
    ),
);

describe('the dependencies', () => {
  it.each(pinned)('%s is pinned to one version: %s', (_name, version) => {
    expect(version).toMatch(/^\d+\.\d+\.\d+$/);
  });

  it.each(pinned)('%s %s stands in the document with its licence', (name, version) => {
    expect(rows).toContain(`${name} ${version} ${licenceOf(name)}`);
  });
});
