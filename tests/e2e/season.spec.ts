import type { Page } from '@playwright/test';
import { expect } from './expect.ts';
import ICAL from 'ical.js';
import { phoneJpeg } from '../fixtures/photos.ts';
import { expectAccessible } from './accessible.ts';
import { choose, layers } from './bed-page.ts';
import { onDemo, onOwn } from './books-of-file.ts';
import { makeGarden } from './own-books.ts';
import { goTo, openBook } from './pages.ts';

const GARDEN = '/garden/ternhollow';
const region = (page: Page, name: string) => page.getByRole('region', { name, exact: true });
const isWorkedOut = (page: Page) => expect(page.getByText(/Working out/)).toHaveCount(0);

onDemo.describe('a season on the demo', () => {
  const test = onDemo;

  test('a layer is planned, carried and laid with a correction; stock and books follow', async ({
    visit,
  }) => {
    const page = await visit(`${GARDEN}/bed/demo-nursery-frame`);
    await page.getByRole('button', { name: 'Spread something' }).click();
    await choose(page, 'What', 'Hazel chips by the gate');
    await choose(page, 'of', 'buckets (10 L)');
    await page.getByLabel('How much').fill('600');
    await expect(page.getByText(/of this would not be there/)).toBeVisible();
    await page.getByLabel('How much').fill('6');
    await expect(page.getByText(/of this would not be there/)).toHaveCount(0);
    await page.getByLabel('When').fill('2026-05-17');
    await page.getByText('planned', { exact: true }).click();
    await page.getByRole('button', { name: /Save (planned )?entry/ }).click();
    await expect(page.getByRole('form', { name: 'Write an entry' })).toHaveCount(0);
    await expect(page.getByRole('region', { name: 'Entries' })).toContainText('17 May 2026');

    await test.step('a build-up takes a layer from a pile too', async () => {
      await page.getByRole('button', { name: 'Build up' }).click();
      await page.getByRole('button', { name: /^Fungal mulch/ }).click();
      const top = page.getByLabel('Material of layer 1');
      await choose(page, 'Material of layer 1', 'Hazel chips by the gate');
      await expect(top).toBeVisible();
      await page.getByRole('button', { name: 'Try it on the bed' }).click();
      await expect(layers(page)).toContainText('Hazel chips by the gate');
      await page.getByRole('button', { name: 'Undo', exact: true }).click();
    });

    await test.step('it stands in the calendar, worked out and not typed', async () => {
      await page.getByRole('link', { name: 'Calendar' }).click();
      await isWorkedOut(page);
      const line = page.getByRole('listitem').filter({ hasText: 'Hazel chips by the gate: 6 buckets' });
      await expect(line).toContainText('Nursery Frame');
      await expectAccessible(page);
    });
    await test.step('on the spreading day it is carried, and more was laid than planned', async () => {
      const before = await litresOfHazel(page);
      await goTo(page, `${GARDEN}/laying`);
      const bed = region(page, 'Nursery Frame');
      await expect(bed).toContainText('Hazel chips by the gate');
      await bed.getByRole('button', { name: 'Correct …' }).click();
      await page.getByLabel('Really spread', { exact: true }).fill('-1');
      await expect(page.getByText('above 0', { exact: true })).toBeVisible();
      await page.getByLabel('Really spread', { exact: true }).fill('8');
      await expectAccessible(page);
      await page.getByRole('button', { name: 'Save as spread' }).click();
      await expect(bed).toContainText('spread: 8 buckets');
      // The page rounds to two figures: 80 L of some 2 000.
      const taken = before - (await litresOfHazel(page));
      expect(taken).toBeGreaterThan(0);
      expect(taken).toBeLessThan(160);
      await goTo(page, `${GARDEN}/bed/demo-nursery-frame`);
      await expect(layers(page)).toContainText('Hazel chips by the gate');
    });
  });

  test('what is seen with no connection waits on the phone and goes in once, in order', async ({
    browser,
    demo,
  }) => {
    const context = await browser.newContext({
      baseURL: demo.address,
      viewport: { width: 390, height: 844 },
    });
    const page = await context.newPage();
    await page.goto(`${GARDEN}/log`);
    await page.getByRole('radio', { name: 'Nursery Frame' }).click();
    await expectAccessible(page);
    await context.setOffline(true);
    await page.getByRole('button', { name: 'Leaf color' }).click();
    await page.getByRole('button', { name: 'pale', exact: true }).click();
    await expect(page.getByRole('status')).toContainText('It waits here until the connection is back');
    await page.getByRole('button', { name: 'Worms' }).click();
    await page.getByRole('button', { name: 'about 5' }).click();
    await page.getByRole('button', { name: 'Watered' }).click();
    await page.getByLabel('Given, L').fill('20');
    await page.getByRole('button', { name: 'Save' }).click();
    await page.getByRole('button', { name: 'Note or photo' }).click();
    await page.getByLabel('Note', { exact: true }).fill('Slugs at the north end');
    await page.getByLabel('Add photos').setInputFiles(
      ['bed.jpg', 'slug.jpg'].map((name) => ({
        name,
        mimeType: 'image/jpeg',
        buffer: Buffer.from(phoneJpeg()),
      })),
    );
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(region(page, 'Waiting on this device')).toContainText('6 waiting');
    await expectAccessible(page);

    await context.setOffline(false);
    await expect(region(page, 'Waiting on this device')).toHaveCount(0);
    const log = region(page, 'The log');
    await expect(log.getByRole('listitem').filter({ hasText: 'Leaves pale' })).toHaveCount(1);
    await expect(log).toContainText('5 worms in a spadeful');
    await expect(log).toContainText('Watered');
    const slugs = log.getByRole('listitem').filter({ hasText: 'Slugs at the north end' });
    await expect(slugs.getByRole('img', { name: /^Photo \d of/ })).toHaveCount(2);
    const wall = region(page, 'Photos');
    await wall.getByRole('button').first().click();
    await wall.getByRole('button').nth(1).click();
    await expect(wall.getByRole('img', { name: /, large$/ })).toHaveCount(2);
    await expect(log).toContainText(/the model expected/);
    const { journal } = (await (await page.request.get('/api/gardens/ternhollow/books')).json()) as {
      journal: { note: string; createdAt: string; bedId?: string; observed?: { type: string } }[];
    };
    const sent = journal.filter(
      ({ bedId, createdAt }) =>
        bedId === 'demo-nursery-frame' && createdAt >= new Date(Date.now() - 600_000).toISOString(),
    );
    const fresh = sent.filter(({ observed }) =>
      ['leafColor', 'worms', 'note'].includes(observed?.type ?? ''),
    );
    expect(fresh.map(({ observed }) => observed?.type).slice(-3)).toEqual(['leafColor', 'worms', 'note']);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await context.close();
  });

  test('what the books refuse stays on the phone with the reason', async ({ visit }) => {
    const page = await visit(`${GARDEN}/log?bed=demo-char-bed`);
    await page.getByRole('button', { name: 'Note or photo' }).click();
    await page.getByLabel('Note', { exact: true }).fill('not a photo');
    await page
      .getByLabel('Add photos')
      .setInputFiles({ name: 'letter.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('Dear garden') });
    await page.getByRole('button', { name: 'Save' }).click();
    const waiting = region(page, 'Waiting on this device');
    await expect(waiting).toContainText('not a photo in JPEG or PNG');
    await expect(waiting).toContainText('names no photo that has been sent');
    const discard = waiting.getByRole('button', { name: 'Discard' });
    await discard.first().click();
    await expect(discard).toHaveCount(1);
    await discard.click();
    await expect(waiting).toHaveCount(0);
    await page.getByRole('button', { name: 'Soil test' }).click();
    await page.getByText('From a laboratory’s table').click();
    await page.getByLabel('The laboratory’s table').fill('sample,organic matter (%)\nChar Bed,46000');
    await expect(page.getByText(/in ppm it would be 4.6 %/)).toBeVisible();
    await page
      .getByLabel('The laboratory’s table')
      .fill('sample,pH,organic matter (ppm),nitrate N (mg/kg)\nChar Bed,6.8,46000,900');
    await expect(page.getByLabel('Organic matter, %')).toHaveValue('4.6');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText(/more than any garden soil holds/)).toBeVisible();
  });

  test('pale leaves are diagnosed, and fed with what the bed needs', async ({ visit }) => {
    const page = await visit(`${GARDEN}/pale?bed=demo-nursery-frame`);
    await expect(page.getByRole('status')).toContainText('From your records alone');
    await page.getByLabel('the older leaves are pale first').check();
    await page.getByLabel('they are seedlings').check();
    await page.getByLabel('the same crop without mulch beside it is fine').check();
    const verdicts = region(page, 'What it could be');
    await expect(verdicts).toContainText(/hunger|locked up/i);
    await expect(verdicts).toContainText('cheap test');
    await expect(verdicts).toContainText(/Feed .* today.* of quick nitrogen/);
    await expect(verdicts).toContainText(/according to the model|The model sees no shortage/);
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Write these signs into the log' }).click();
    await expect(page.getByText('The signs are in the log of the bed.')).toBeVisible();
    await verdicts.getByRole('button', { name: 'Done today' }).first().click();
    await expect(page.getByText('Saved for the bed.')).toBeVisible();
    await goTo(page, `${GARDEN}/bed/demo-nursery-frame`);
    await expect(page.getByRole('region', { name: 'Entries' })).toContainText('Against:');
  });

  test('the calendar is subscribed to, a task postponed with its reason, and the address revoked', async ({
    visit,
    request,
  }) => {
    const page = await visit(`${GARDEN}/calendar`);
    await isWorkedOut(page);
    const heap = page.getByRole('listitem').filter({ hasText: 'Turn the heap' });
    await heap.getByRole('button', { name: 'Postpone' }).click();
    await page.getByLabel('Until').fill('2026-05-10');
    await expect(page.getByText('a day after today')).toBeVisible();
    await page.getByLabel('Until').fill('2026-05-23');
    await page.getByLabel('Why').fill('the fork is lent out');
    await page.getByRole('button', { name: 'Postpone it' }).click();
    await expect(heap).toContainText('23 May');
    await expect(heap).toContainText('the fork is lent out');
    await page.getByRole('button', { name: 'Reminders' }).click();
    await page.getByLabel('For what').fill('Kitchen tablet');
    await page.getByRole('button', { name: 'Make an address' }).click();
    const address = await page.getByLabel('Address of the calendar').inputValue();
    await expectAccessible(page);
    const text = await (await request.get(address)).text();
    const events = new ICAL.Component(ICAL.parse(text) as [string, [], []]).getAllSubcomponents('vevent');
    const turn = events
      .map((one) => new ICAL.Event(one))
      .find(({ summary }) => summary.includes('Turn the heap'))!;
    expect(turn.startDate.toString()).toBe('2026-05-23');
    expect(turn.description).toContain('the fork is lent out');
    const line = page.getByRole('listitem').filter({ hasText: 'Kitchen tablet' });
    await line.getByRole('button', { name: 'Revoke' }).click();
    await expect(line).toHaveCount(0);
    expect((await request.get(address)).status()).toBe(404);
  });

  test('the month shows the same tasks, and a check is done by writing it down', async ({ visit }) => {
    const page = await visit(`${GARDEN}/calendar?view=month`);
    await isWorkedOut(page);
    await expect(page.getByRole('button', { name: /^14 May 2026, \d+ to do/ })).toBeVisible();
    await page.getByRole('button', { name: 'The next month' }).click();
    await expect(page.getByRole('heading', { name: 'June 2026' })).toBeVisible();
    await expectAccessible(page);
    await page.getByText('Year', { exact: true }).click();
    const november = page.getByRole('article').filter({ hasText: 'November 2026' });
    await expect(november).toContainText(/Close the year Boathouse Path, Char Bed/);
    await choose(page, 'Whose tasks', 'Yard and fires');
    await expect(november).toContainText('Delivery Hazel chips by the gate');
    await expect(november).not.toContainText('Close the year');
    await choose(page, 'Whose tasks', 'Whole garden');
    await page.getByText('only what needs stock').click();
    await expect(november).toContainText('Spread goat house litter');
    await expect(november).not.toContainText('Close the year');
    await expectAccessible(page);
    await goTo(page, `${GARDEN}/log?bed=demo-ferry-strip`);
    await page.getByRole('button', { name: 'Layer left' }).click();
    await choose(page, 'Which layer', 'Hazel coppice chips, 2025-10-09');
    await page.getByLabel('Left, cm').fill('2.2');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(region(page, 'The log')).toContainText('2.2 cm left');
    await goTo(page, `${GARDEN}/calendar`);
    await isWorkedOut(page);
    await expect(page.getByRole('listitem').filter({ hasText: 'Ferry Strip: Measure how much' })).toHaveCount(
      0,
    );
    await expect(page.getByText('When you pass by: 1 thing to look at').first()).toBeVisible();
  });

  test.describe('how sure that is', () => {
    test.use({ worksOutRanges: true });

    test('the forecast of a measured bed is narrowed, says what was learnt, and can do without', async ({
      page,
    }) => {
      await page.goto(`${GARDEN}/bed/demo-ferry-strip`);
      const likely = region(page, 'How sure is that?');
      await expect(likely).toContainText('tried this bed 400 times', { timeout: 150_000 });
      await expect(likely).toContainText(/times as fast as the model expects/);
      await expect(likely).toContainText(/Learned from 3 measurements/);
      const held = async () => {
        const [, low, high] =
          /Locked up at most in the coming year: ([\d.]+) to ([\d.]+)/.exec(
            (await likely.textContent()) ?? '',
          ) ?? [];
        return Number(high) - Number(low);
      };
      const learnt = await held();
      await likely.getByRole('switch', { name: 'Learn from its log' }).click();
      await expect(likely).not.toContainText('Learned from');
      await expect(likely).toContainText('tried this bed 400 times', { timeout: 150_000 });
      expect(learnt).toBeLessThan(await held());
      await likely.getByRole('switch', { name: 'Learn from its log' }).click();
      await expect(likely).toContainText('Learned from', { timeout: 150_000 });
    });
  });

  test('the whole log is searched, a line corrected and another deleted, each taken back', async ({
    visit,
  }) => {
    const page = await visit('/garden/ternhollow/log/all');
    const filters = page.getByRole('search');
    await filters.getByLabel('Search').fill('sinking last year');
    const lines = page.getByRole('listitem').filter({ hasText: 'Sinking faster than last year.' });
    await expect(page.getByRole('status').first()).toContainText(/^1 of \d+ lines/);
    await lines.getByRole('button', { name: 'Edit' }).click();
    const form = page.getByRole('form', { name: 'Correct the line' });
    await form.getByLabel('Figure, cm').fill('4.1');
    await expectAccessible(page);
    await form.getByRole('button', { name: 'Save the line' }).click();
    await expect(lines).toContainText('4.1 cm left');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(lines).toContainText('3.6 cm left');
    await lines.getByRole('button', { name: 'Before' }).click();
    await expect(lines.getByRole('list', { name: 'What it said before' })).toContainText('4.1 cm left');
    await filters.getByLabel('Search').fill('');
    await page.getByText('only what was not as expected').click();
    await expect(page.getByRole('listitem').filter({ hasText: 'Ruler at three places.' })).toBeVisible();
    await expect(page.getByRole('status').first()).toContainText(/^[1-9] of \d+ lines, newest first\.$/);
    await page.getByText('only what was not as expected').click();
    await filters.getByLabel('Search').fill('');
    await choose(page, 'What', 'fed and watered');
    const watered = page.getByRole('listitem').filter({ hasText: 'Watered' });
    const before = await watered.count();
    await watered.first().getByRole('button', { name: 'Delete' }).click();
    await expect(watered).toHaveCount(before - 1);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(watered).toHaveCount(before);
  });

  test('a trial is drawn by lot, measured, and says when there is too little to tell', async ({ visit }) => {
    const page = await visit(`${GARDEN}/trials`);
    await expect(region(page, 'Alder char in pots')).toContainText('10 % char: better than no char');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Begin a trial' }).click();
    await choose(page, 'Like', 'Fresh against seasoned chips');
    await page.getByLabel('plots of each').fill('2');
    await expect(page.getByText('fewer than three tell nothing')).toBeVisible();
    await page.getByRole('button', { name: 'Draw again' }).click();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Begin the trial' }).click();
    const sheet = region(page, 'Fresh against seasoned chips');
    await expect(sheet).toContainText('6 plots since 14 May 2026');
    for (const [i, cell] of (
      await sheet.getByRole('form', { name: 'Readings' }).getByRole('textbox').all()
    ).entries()) {
      if (i > 0) await cell.fill(String(10 + i));
    }
    await sheet.getByRole('button', { name: /Save height/ }).click();
    await expect(sheet).toContainText('too few plots to tell');
  });

  test('the year is closed: tested by the laboratory, the next step chosen, a path lifted', async ({
    visit,
  }) => {
    const page = await visit(`${GARDEN}/year?bed=demo-sawpit-corner`);
    const found = region(page, 'Expected and found');
    await expect(found).toContainText('Soil test of 24 February');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Send a sample today' }).click();
    await page.getByRole('button', { name: 'Read the report' }).click();
    await page.getByRole('button', { name: 'Save entry' }).click();
    await expect(found).toContainText('Soil test of 14 May');
    await page.getByLabel('What to remember').fill('No more sawdust');
    await page.getByRole('button', { name: 'Close 2026' }).click();
    await expect(region(page, 'Closed')).toContainText('No more sawdust');
    await expect(region(page, 'Closed')).toContainText('Carried forward');

    await visit(`${GARDEN}/year?bed=demo-currant-line`);
    const choices = region(page, 'Stack, pull or rest');
    await expect(choices).toContainText('organic matter in three years');
    await choices.getByRole('button', { name: 'Make it the plan' }).nth(1).click();
    await expect(choices.getByRole('button', { name: 'In the plan' })).toBeVisible();

    await visit(`${GARDEN}/year?bed=demo-boathouse-path`);
    const lift = region(page, 'Lift the bottom');
    await lift.getByLabel(/Shelterbelt chips, part spruce, 2.2 years old/).check();
    await lift.getByRole('button', { name: 'Lift into the stock' }).click();
    await expect(page.getByText('Path crumbs of 2026 lies in the stock now.')).toBeVisible();
    await goTo(page, `${GARDEN}/stock`);
    await expect(page.getByRole('row').filter({ hasText: 'Path crumbs of 2026' })).toBeVisible();

    await visit(`${GARDEN}/year?bed=demo-currant-line`);
    const move = region(page, 'Move a layer');
    await move.getByRole('checkbox').first().check();
    await move.getByLabel('How much of it').fill('50');
    await choose(page, 'Where to', 'Hazel Ring');
    await expectAccessible(page);
    await move.getByRole('button', { name: 'Move to Hazel Ring' }).click();
    await expect(page.getByText('It lies on Hazel Ring now.')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('It lies on Hazel Ring now.')).toHaveCount(0);
  });

  /** What is left of the pile by its page, L. */
  async function litresOfHazel(page: Page): Promise<number> {
    await goTo(page, `${GARDEN}/stock/demo-lot-hazel`);
    const words =
      (await page
        .getByText(/[\d.]+ m³/)
        .first()
        .textContent()) ?? '';
    return Number(/([\d.]+) m³/.exec(words)?.[1]) * 1000;
  }
});

onOwn.describe('an empty garden', () => {
  const test = onOwn;

  test('says in every place what to do first', async ({ page, request }) => {
    await makeGarden(request, 'bare');
    await openBook(page, '/garden/bare');
    for (const [path, words] of [
      ['calendar', 'Make a bed and plan something for it'],
      ['laying', 'Plan a layer on a bed'],
      ['log', 'Make a bed first'],
      ['pale', 'Make a bed and record what grows on it'],
      ['trials', 'No trial yet'],
      ['year', 'Make a bed first'],
    ] as const) {
      await goTo(page, `/garden/bare/${path}`);
      await expect(page.getByText(words).first()).toBeVisible();
      await expectAccessible(page);
    }
  });
});
