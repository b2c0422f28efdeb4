import type { Page } from '@playwright/test';
import { expect } from './expect.ts';
import axe from 'axe-core';

const RULES: axe.RunOptions = {
  resultTypes: ['violations'],
  runOnly: ['wcag2a', 'wcag2aa', 'wcag22aa'],
};
const CONTRAST = 'color-contrast';
/** Marks one text of each look: its contrast is that of all others. */
const LOOK = 'data-first-of-its-look';

/**
 * Marks the first text of each look on the page: its letters, and the grounds it stands on. Contrast is what takes
 * longest to find, and is the same for all texts of a look.
 */
function markLooks(mark: string): void {
  const groundsOf = new Map<Element | null, string>([[null, '']]);
  const grounds = (element: Element | null): string => {
    const known = groundsOf.get(element);
    if (known !== undefined) return known;
    const { backgroundColor, backgroundImage, opacity, position } = getComputedStyle(element!);
    const isClear = backgroundColor === 'rgba(0, 0, 0, 0)' && backgroundImage === 'none' && opacity === '1';
    // What is moved out of its place can stand on anything: its texts are a look of their own.
    const isMoved = position === 'absolute' || position === 'fixed';
    const own = isClear ? '' : `${backgroundColor} ${backgroundImage} ${opacity};`;
    const all = grounds(element!.parentElement) + own + (isMoved ? `moved ${groundsOf.size};` : '');
    groundsOf.set(element, all);
    return all;
  };
  for (const marked of document.querySelectorAll(`[${mark}]`)) marked.removeAttribute(mark);
  const seen = new Set<string>();
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const element = node.parentElement!;
    if (!node.textContent?.trim() || !element.checkVisibility({ visibilityProperty: true })) continue;
    const { color, fill, fontSize, fontWeight } = getComputedStyle(element);
    const look = [color, fill, fontSize, fontWeight, grounds(element)].join('|');
    if (seen.has(look)) continue;
    seen.add(look);
    element.setAttribute(mark, '');
  }
}

/** Fails when the page breaks a rule for people who see little or use no mouse; says which, and where. */
export async function expectAccessible(page: Page): Promise<void> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  await page.evaluate(markLooks, LOOK);
  const found = await page.evaluate(
    async ({ rules, contrast, look }) => {
      const { configure, run } = (window as unknown as { axe: typeof axe }).axe;
      configure({ rules: [{ id: contrast, selector: `[${look}]` }] });
      const { violations } = await run(document, rules);
      return violations.map(
        ({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 120)).join(' | ')}`,
      );
    },
    { rules: RULES, contrast: CONTRAST, look: LOOK },
  );
  expect(found).toEqual([]);
}
