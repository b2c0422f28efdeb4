import { test, type Browser, type Page } from '@playwright/test';
import { expect } from './expect.ts';
import { join } from 'node:path';
import { setPassphrase } from '../../src/server/access.ts';
import { newFolder, removeFolder, startServer, type RunningServer } from '../http/server.ts';
import { expectAccessible } from './accessible.ts';

const KEEPERS = 'straw and chips and char';
const ROBINS = 'rakes lean on the wall';
const INVITATION = 'Come in under your name, or without one if you keep these books yourself.';

const folder = newFolder();
let shared: RunningServer;
test.beforeAll(async () => {
  const file = join(folder, 'shared.sqlite');
  await setPassphrase(`${file}.passphrase`, KEEPERS);
  shared = await startServer(file, ['--demo', '--host', '127.0.0.2']);
});
test.afterAll(async () => {
  await shared.stop();
  removeFolder(folder);
});

const comeIn = async (page: Page, passphrase: string, name = '') => {
  if (name !== '') await page.getByLabel('Your name').fill(name);
  await page.getByLabel('Passphrase', { exact: true }).fill(passphrase);
  await page.getByRole('button', { name: 'Come in' }).click();
};
const onAnotherDevice = async (browser: Browser) => (await browser.newContext()).newPage();

test('books for other machines ask for their passphrase, lead to where one meant to go, and can be left', async ({
  page,
}) => {
  await page.goto(`${shared.address}/garden/ternhollow/calendar`);
  await expect(page.getByText(INVITATION)).toBeVisible();
  await expectAccessible(page);
  await comeIn(page, 'straw');
  await expect(page.getByRole('alert')).toHaveText('That is not the passphrase of these books.');
  await comeIn(page, KEEPERS);
  await expect(page).toHaveURL(/\/garden\/ternhollow\/calendar$/);
  await page.getByRole('link', { name: 'Your data' }).click();
  await page.getByRole('button', { name: 'Leave these books' }).click();
  await expect(page.getByText(INVITATION)).toBeVisible();
});

test('a helper is let in, writes under a name, and is let in no more; a guest reads by a link', async ({
  page,
  browser,
}) => {
  const data = `${shared.address}/garden/ternhollow/data`;
  await page.goto(data);
  await comeIn(page, KEEPERS);
  const section = page.getByRole('region', { name: 'Who comes in' });
  await section.getByRole('button', { name: 'Let somebody in' }).click();
  await section.getByRole('button', { name: 'Let them in' }).click();
  await expect(section.getByText('must be given: they come in by it')).toBeVisible();
  await section.getByLabel('Name', { exact: true }).fill('Robin');
  await section.getByLabel('Passphrase').fill(ROBINS);
  await section.getByRole('button', { name: 'Let them in' }).click();
  await expect(section.getByRole('combobox', { name: 'What Robin may do' })).toBeVisible();
  await section.getByRole('button', { name: 'Make a link to read' }).click();
  await section.getByLabel('For whom').fill('The neighbors');
  await section.getByRole('button', { name: 'Make the link' }).click();
  const link = await section.getByLabel('Address of the link').inputValue();
  await expectAccessible(page);

  const robins = await onAnotherDevice(browser);
  await robins.goto(`${shared.address}/garden/ternhollow/log`);
  await comeIn(robins, ROBINS, 'robin');
  await expect(robins.getByText('You are in this garden as Robin, its helper.')).toBeVisible();
  await robins.getByRole('button', { name: 'Worms' }).click();
  await robins.getByRole('button', { name: 'about 5' }).click();
  await robins.getByRole('link', { name: 'Whole log' }).first().click();
  await expect(robins.getByText(/\(by Robin\)/).first()).toBeVisible();
  await robins.goto(data);
  await expect(robins.getByRole('heading', { name: 'Your data' })).toBeVisible();
  await expect(robins.getByRole('heading', { name: 'Backups' })).toHaveCount(0);

  const guests = await onAnotherDevice(browser);
  await guests.goto(link);
  await expectAccessible(guests);
  await guests.getByRole('button', { name: 'Look at the garden' }).click();
  await expect(guests.getByText(/You read this garden by a link/)).toBeVisible();

  await section.getByRole('button', { name: 'Close' }).click();
  await section
    .getByRole('listitem')
    .filter({ hasText: 'Robin' })
    .getByRole('button', { name: 'Let in no more' })
    .click();
  await page.getByRole('tooltip').getByRole('button', { name: 'Let in no more' }).click();
  await expect(section.getByText('Robin')).toHaveCount(0);
  await robins.reload();
  await expect(robins.getByText(INVITATION)).toBeVisible();
  await page.goto(`${shared.address}/garden/ternhollow/log/all`);
  await expect(page.getByText(/\(by Robin\)/).first()).toBeVisible();
  for (const device of [robins, guests]) await device.context().close();
});
