import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** What the bed page is asked about in several tests. */
export const answer = (page: Page, title: string) => page.getByRole('region', { name: title, exact: true });
export const section = (page: Page) => page.getByRole('img', { name: /Section of the bed/ });
export const layers = (page: Page) => page.getByRole('region', { name: 'Layers' });
export const isAnswered = (page: Page) =>
  expect(answer(page, 'Planting')).toContainText(/Sow|Not for planting/);

export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag22aa']).analyze();
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 120)).join(' | ')}`),
  ).toEqual([]);
}
