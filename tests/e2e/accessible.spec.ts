import { test, type Page } from '@playwright/test';
import { expect } from './expect.ts';
import { expectAccessible } from './accessible.ts';

const body = (inside: string) =>
  `<!doctype html><html lang="en"><title>A page</title><body style="color: #222; background: #fff"><main>${inside}</main></body></html>`;

const faultsOf = (page: Page) =>
  expectAccessible(page).then(
    () => '',
    (error: unknown) => String(error),
  );

test('the check of accessibility finds pale letters wherever they stand, and a field without a name', async ({
  page,
}) => {
  await page.setContent(body('<p>Dark on white</p><label>Name <input></label>'));
  expect(await faultsOf(page)).toBe('');
  await page.setContent(
    body('<p>Dark on white</p><div style="background: #555"><p id="dark-on-grey">Dark on grey</p></div>'),
  );
  expect(await faultsOf(page)).toContain('color-contrast: <p id=\\"dark-on-grey\\"');
  await page.setContent(
    body(
      '<p style="position: absolute; top: 0">Dark on white</p><div style="margin-top: 8em; background: #555; height: 8em"></div><p id="moved" style="position: absolute; top: 10em">Dark on grey</p>',
    ),
  );
  expect(await faultsOf(page)).toContain('color-contrast: <p id=\\"moved\\"');
  await page.setContent(body('<p style="color: #bbb">One</p><p style="color: #bbb">Two</p>'));
  expect((await faultsOf(page)).match(/color-contrast/g)).toHaveLength(1);
  await page.setContent(body('<input>'));
  expect(await faultsOf(page)).toContain('label:');
});
