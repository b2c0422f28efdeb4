import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

const files = ['docs', 'scripts', 'src', 'tests'].flatMap((folder) =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' }).map((file) => `/${folder}/${file}`),
);
const roots = readdirSync('.').map((file) => `/${file}`);

/** Files that a text names in code letters. Placeholders such as `<entity>.ts` and addresses are none. */
const namedIn = (text: string): string[] =>
  [...text.matchAll(/`([^`\s<…]+\.(?:ts|tsx|mjs|cjs|js|json|sql|css))`/g)].map(([, file]) => file);

/** Files may be named by the end of their path. */
const missingOf = (names: readonly string[]): string[] =>
  names.filter((name) => ![...files, ...roots].some((file) => file.endsWith(`/${name}`)));

describe('the map of the code', () => {
  it.each(['docs/architecture.md', 'docs/how-it-works.md', 'docs/adding-a-field.md'])(
    '%s names files that are there',
    (document) => {
      const named = namedIn(readFileSync(document, 'utf8'));
      expect(named.length).toBeGreaterThan(3);
      expect(missingOf(named)).toEqual([]);
    },
  );

  it('would tell of a file that is gone', () => {
    expect(missingOf(namedIn('`src/core/bed/index.ts`, `plan-of-bed.ts` and `plan-of-moon.ts`'))).toEqual([
      'plan-of-moon.ts',
    ]);
  });

  it('fits on a page', () => {
    expect(readFileSync('docs/architecture.md', 'utf8').split('\n').length).toBeLessThan(100);
  });
});
