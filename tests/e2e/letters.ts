import type { Page } from '@playwright/test';

/** Letters of a drawing are 12.5 px; what the browser rounds away is no fault. */
const SMALLEST_PX = 12.4;

/** Texts in sight whose letters are smaller than anybody should have to read, with their size on the screen. */
export const smallLetters = (page: Page): Promise<string[]> =>
  page.evaluate((smallest) => {
    const small = new Set<string>();
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const text = node.textContent?.trim() ?? '';
      const element = node.parentElement!;
      if (text === '' || !element.checkVisibility({ visibilityProperty: true })) continue;
      if (element.closest('.visually-hidden, style, script, title')) continue;
      const scale = element instanceof SVGGraphicsElement ? Math.abs(element.getScreenCTM()?.d ?? 1) : 1;
      const size = Number.parseFloat(getComputedStyle(element).fontSize) * scale;
      if (size < smallest) small.add(`${text.slice(0, 40)}: ${size.toFixed(1)} px`);
    }
    return [...small];
  }, SMALLEST_PX);
