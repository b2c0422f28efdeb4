import type { Page } from '@playwright/test';
import { expect } from './expect.ts';
import { expectAccessible } from './accessible.ts';
import { onDemo as test } from './books-of-file.ts';
import { goTo } from './pages.ts';

const isReady = async (page: Page) => {
  await expect(page.getByRole('row')).toHaveCount(9);
  await expect(page.getByText('working it out')).toHaveCount(0);
};

test('the garden shows every bed with its state, and opens one', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: '14 May 2026 at Ternhollow' })).toBeVisible();
  await isReady(page);
  await expectAccessible(page);
  await page.getByRole('table').getByRole('link', { name: 'Sawpit Corner' }).click();
  await expect(page.getByRole('heading', { name: 'Sawpit Corner' })).toBeVisible();
});

test('what was worked out is kept on the device: opened again, the garden needs no model', async ({
  page,
}) => {
  await page.route('**/worked-out', (route) => route.fulfill({ json: null }));
  await page.goto('/');
  await isReady(page);
  // Answers are written down together, a second after they came.
  await page.waitForTimeout(2500);
  const stands = await page.getByRole('table').innerText();
  await page.reload();
  await expect.poll(() => page.getByRole('table').innerText()).toBe(stands);
  expect(page.workers()).toEqual([]);
});

test('the bed page is accessible, with the form open too', async ({ visit }) => {
  const page = await visit('/garden/ternhollow/bed/demo-ferry-strip');
  await expect(page.getByRole('region', { name: 'Ten years' })).toContainText('organic matter in 10 years');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Spread something' }).click();
  await page.getByLabel('How much').fill('5');
  await expectAccessible(page);
});

test('time moves by the keyboard, and the books close on the day shown', async ({ visit }) => {
  const page = await visit('/garden/ternhollow/bed/demo-ferry-strip');
  const slider = page.getByRole('slider', { name: 'Day shown in the drawing' });
  await slider.focus();
  await page.keyboard.press('ArrowRight');
  await expect(slider).toHaveAttribute('aria-valuetext', '15 May 2026');
  await page.keyboard.press('End');
  await expect(page.getByRole('region', { name: 'Ledger' })).toContainText(/2028, whole bed/);
  await page.getByRole('button', { name: 'back to today' }).click();
  await expect(slider).toHaveAttribute('aria-valuetext', '14 May 2026');
});

test('the chart of a bed tells its values by pointer, by arrow keys and as a table', async ({ visit }) => {
  const page = await visit('/garden/ternhollow/bed/demo-ferry-strip');
  await expect(page.getByRole('region', { name: 'Planting' })).toContainText(
    /[Ss]ow (?:now|from|not)|Not for sowing/,
  );
  const chart = page.getByRole('application', { name: /Nitrogen day by day/ });
  const tip = page.getByRole('status').filter({ hasText: 'Available to roots' });
  await chart.hover({ position: { x: 300, y: 120 } });
  await expect(tip).toContainText(/\d+ [A-Z][a-z]+ 202\d/);
  await expect(tip).toContainText(/Available to roots\d+\.\d g\/m²/);
  await page.mouse.move(0, 0);
  await chart.focus();
  await page.keyboard.press('ArrowRight');
  const said = (await tip.textContent()) ?? '';
  await page.keyboard.press('ArrowRight');
  await expect(tip).not.toHaveText(said);
  const [, date, available] = /^(\d+ [A-Z][a-z]+ \d{4})Available to roots(.+? g\/m²)/.exec(said)!;

  await page.getByText('Values as a table').first().click();
  const table = page.getByRole('region', { name: /^Values:/ });
  await expect(table.getByRole('row', { name: new RegExp(`^${date} ${available}`) })).toHaveCount(1);
});

test('a plan for later that is done already is ticked off, and was done today', async ({ visit }) => {
  const page = await visit('/garden/ternhollow/bed/demo-boathouse-path');
  const line = page.getByRole('listitem').filter({ hasText: '2 Mar 2027' });
  await line.getByRole('button', { name: 'Tick off as done' }).click();
  await expect(line).toHaveCount(0);
  const done = page.getByRole('listitem').filter({ hasText: '14 May 2026' });
  await expect(done.filter({ hasText: 'Shelterbelt chips' })).toBeVisible();
});

test('on paper there is nothing to press and nowhere to go: the week, and labels with codes', async ({
  page,
}) => {
  await page.goto('/garden/ternhollow/calendar');
  await page.getByRole('link', { name: 'The week on a page' }).click();
  await expect(page.getByRole('button', { name: 'Print' })).toBeEnabled();
  await expectAccessible(page);
  await page.emulateMedia({ media: 'print' });
  const week = page.getByRole('region', { name: 'This week' });
  await expect(week).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await page.emulateMedia({ media: 'screen' });
  const first = await week.locator('.task-what').first().textContent();
  await page.evaluate(() => {
    navigator.clipboard.writeText = (text) => {
      document.body.setAttribute('data-copied', text);
      return Promise.resolve();
    };
  });
  await page.getByRole('button', { name: 'Copy as text' }).click();
  await expect(page.getByText('Copied: paste it')).toBeVisible();
  expect(await page.locator('body').getAttribute('data-copied')).toContain(`  ${first}`);

  await goTo(page, '/garden/ternhollow/labels');
  await expect(page.getByRole('img', { name: 'Code that opens Ferry Strip' })).toBeVisible();
  await expectAccessible(page);
  await page.getByText('Piles and bags').click();
  await expect(page.getByRole('img', { name: 'Code that opens Spring heap' })).toBeVisible();
  await page.getByRole('checkbox').first().uncheck();
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('.label').first()).toBeHidden();
  await expect(page.locator('.label').nth(1)).toBeVisible();
});

test('raw manure shows its waits where it is chosen', async ({ visit }) => {
  const page = await visit('/garden/ternhollow/bed/demo-char-bed');
  await page.getByRole('button', { name: 'Spread something' }).click();
  await page.getByLabel('What', { exact: true }).fill('Farmyard');
  await page.keyboard.press('Enter');
  await page.getByLabel('How much').fill('3');
  await expect(page.getByRole('list', { name: 'Mind', exact: true })).toContainText('11 September 2026');
});

test('everything comes from this server', async ({ page, demo }) => {
  const foreign: string[] = [];
  page.on('request', (request) => {
    if (!request.url().startsWith(demo.address) && !request.url().startsWith('data:'))
      foreign.push(request.url());
  });
  await page.goto('/garden/ternhollow/bed/demo-ferry-strip');
  await expect(page.getByRole('region', { name: 'Ten years' })).toContainText('organic matter in 10 years');
  expect(foreign).toEqual([]);
});

test('a device that is asked to tells once a day what is due', async ({ page }) => {
  // The engine of the tests shows no notices; what it would be asked to show is kept here.
  await page.addInitScript(() => {
    const shown = { showNotification: (title: string, { body }: { body: string }) => keep(title, body) };
    const keep = (title: string, body: string) => {
      const told = [...(JSON.parse(localStorage.getItem('told') ?? '[]') as string[]), `${title}\n${body}`];
      localStorage.setItem('told', JSON.stringify(told));
      return Promise.resolve();
    };
    const workers = { ready: Promise.resolve(shown), controller: null, register: () => Promise.resolve() };
    Object.defineProperty(navigator, 'serviceWorker', { value: workers });
    const notices = {
      get permission() {
        return localStorage.getItem('allowed') ?? 'default';
      },
      requestPermission: () => {
        localStorage.setItem('allowed', 'granted');
        return Promise.resolve('granted');
      },
    };
    Object.defineProperty(window, 'Notification', { value: notices });
  });
  const told = () => page.evaluate(() => JSON.parse(localStorage.getItem('told') ?? '[]') as string[]);
  await page.goto('/garden/ternhollow/calendar');
  await expect(page.getByText(/in all within a year\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Reminders' }).click();
  await page.getByLabel('a notice once a day of what is due').check();
  await page.reload();
  await expect.poll(told).toHaveLength(1);
  expect((await told())[0]).toMatch(/^Ternhollow: \d+ things? to do.*\n/);
  await page.goto('/garden/ternhollow/calendar');
  await expect(page.getByText(/in all within a year\.$/)).toBeVisible();
  expect(await told()).toHaveLength(1);
  await page.getByRole('button', { name: 'Reminders' }).click();
  await page.getByLabel('a notice once a day of what is due').uncheck();
});

test('what the server worked out while nobody wrote is shown to a device that never saw the garden', async ({
  page,
  request,
}) => {
  await expect
    .poll(async (): Promise<unknown> => (await request.get('/api/gardens/ternhollow/worked-out')).json())
    .not.toBeNull();
  await page.goto('/');
  await isReady(page);
  expect(page.workers()).toEqual([]);
  const told = await page.getByRole('table').innerText();

  const own = await page.context().browser()!.newContext({ serviceWorkers: 'block' });
  const alone = await own.newPage();
  await alone.route('**/worked-out', (route) => route.fulfill({ json: null }));
  await alone.goto(page.url());
  await isReady(alone);
  expect(alone.workers().length).toBeGreaterThan(0);
  expect(await alone.getByRole('table').innerText()).toBe(told);
  await own.close();
});
