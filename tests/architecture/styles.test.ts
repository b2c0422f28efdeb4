import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const WEB = 'src/web';
const files = readdirSync(WEB, { recursive: true, encoding: 'utf8' });

/** Selectors of a style file, whatever they depend on (`@media ...`). */
function selectorsOf(css: string): string[] {
  const found: string[] = [];
  const around: string[] = [];
  for (const [, head = '', end] of css.replaceAll(/\/\*.*?\*\//gs, '').matchAll(/([^{};]*)([{};])/g)) {
    if (end === '}') around.pop();
    if (end !== '{') continue;
    const words = head.trim().replaceAll(/\s+/g, ' ');
    const isMoment = around.some((outer) => outer.startsWith('@keyframes'));
    if (!words.startsWith('@') && !isMoment) found.push(...words.split(', '));
    around.push(words);
  }
  return found;
}

/** Selectors that more than one style file sets, with these files. */
function setTwice(styles: readonly { readonly file: string; readonly css: string }[]): string[] {
  const filesOf = new Map<string, Set<string>>();
  for (const { file, css } of styles)
    for (const selector of selectorsOf(css))
      filesOf.set(selector, (filesOf.get(selector) ?? new Set()).add(file));
  return [...filesOf].filter(([, set]) => set.size > 1).map(([one, set]) => `${one}: ${[...set].join(', ')}`);
}

const styles = files
  .filter((file) => file.endsWith('.css'))
  .map((file) => ({ file, css: readFileSync(join(WEB, file), 'utf8') }));

/** What every page has from the start, in one order, counts as one file. */
const asLoaded = styles.map(({ file, css }) => ({ file: file.startsWith('theme/') ? 'theme' : file, css }));

/** The part of a path that names a page: `places/bed`. */
const pageOf = (file: string): string => file.split('/').slice(0, 2).join('/');

/** Classes whose look the style files of one page set, with that page. */
function classesOfPages(): Map<string, string> {
  const pageOfClass = new Map<string, string>();
  for (const { file, css } of styles.filter(({ file: one }) => one.startsWith('places/')))
    for (const selector of selectorsOf(css)) {
      const found = /^\.([a-z][\w-]*)(?=$|[ :>+])/.exec(selector);
      if (found) pageOfClass.set(found[1], pageOf(file));
    }
  return pageOfClass;
}

/** Classes that a page's file gives its elements. */
const classesIn = (code: string): string[] =>
  [...code.matchAll(/className=("[^"]*"|\{[^}]*\})/g)].flatMap(
    ([, given]) => given.match(/[a-z][\w-]*/g) ?? [],
  );

/** A style stays when its page is left, so no other page may depend on it. */
describe('styles', () => {
  it('are set in one file each, so that no order of loading decides', () => {
    expect(setTwice(asLoaded)).toEqual([]);
    const one = {
      file: 'one.css',
      css: '.a { color: red } @media (max-width: 9px) { .b, .c:hover { gap: 0 } }',
    };
    const two = { file: 'two.css', css: '/* .a { } */ .c { gap: 1px } .b { gap: 1px }' };
    expect(setTwice([one, two])).toEqual(['.b: one.css, two.css']);
  });

  it('of a page are used on no other page', () => {
    const pageOfClass = classesOfPages();
    expect(pageOfClass.size).toBeGreaterThan(100);
    const strangers = files
      .filter((file) => file.startsWith('places/') && file.endsWith('.tsx'))
      .flatMap((file) =>
        classesIn(readFileSync(join(WEB, file), 'utf8'))
          .filter((name) => (pageOfClass.get(name) ?? pageOf(file)) !== pageOf(file))
          .map((name) => `${file}: .${name} of ${pageOfClass.get(name)!}`),
      );
    expect(strangers).toEqual([]);
  });
});
