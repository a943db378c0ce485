import { expect, test } from '@playwright/test';

import { fill, isAccessible, open, press, sentence, signIn } from './steps';

test('signing in, a wrong password, and out again', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('E-mail').fill('maren@hollowlane.example');
  await page.getByLabel('Password').fill('not this');
  await press(page, 'Sign in');
  await expect(page.getByRole('alert')).toContainText('do not belong together');
  await isAccessible(page, 'sign in');
  await signIn(page);
  await press(page, /people and sign out/);
  await page.getByRole('menuitem', { name: 'Sign out' }).click();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
});

test('a stranger gets in nowhere', async ({ page }) => {
  await signIn(page);
  await open(page, 'Wren', 'F', 'weigh');
  const address = page.url();
  await press(page, /people and sign out/);
  await page.getByRole('menuitem', { name: 'Sign out' }).click();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await page.goto(address);
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await page.getByLabel('E-mail').fill('odile@reedstreet.example');
  await page.getByLabel('Password').fill(process.env['LUSTRUM_PASSWORD'] ?? 'furrow-and-kite-2026');
  await press(page, 'Sign in');
  await expect(sentence(page)).toContainText('There is nothing at this address, or it is not yours to see.');
});

test('a viewer sees everything and can change nothing', async ({ page }) => {
  await signIn(page, 'petra@hollowlane.example');
  for (const station of ['build', 'try', 'find', 'weigh', 'next']) {
    await open(page, 'Wren', 'F', station);
    await expect(
      page.getByRole('button', {
        name: /^(Add|New|Start|Try something|I changed|Gather|Read it|Again|Log(?!-rank)|Edit|Propose|Decide|Put)/,
      }),
    ).toHaveCount(0);
  }
});

test('keys, addresses and the spine lead everywhere', async ({ page }) => {
  await signIn(page);
  await open(page, 'Wren', 'E', 'weigh');
  await expect(sentence(page)).toContainText('Build E shows');
  await page.keyboard.press('[');
  await expect(page).toHaveURL(/\/D%E2%80%B2\/weigh/);
  await page.keyboard.press('1');
  await expect(page).toHaveURL(/\/build/);
  const c = page.getByRole('navigation', { name: 'Builds' }).getByRole('link', { name: /^Build C/ });
  // It leads to the station that stands there; until that is drawn, to the one before.
  await expect(c).toHaveAttribute('href', /\/C\/build/);
  await c.click();
  await expect(page).toHaveURL(/\/C\/build/);
  await page.keyboard.press('/');
  await page.getByLabel('Build, station or sheet').fill('F next');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/F\/next/);
  await expect(sentence(page)).toContainText('candidates');
  await page.keyboard.press('n');
  await expect(page.getByRole('dialog')).toContainText('Candidate');
  await page.keyboard.press('Escape');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('older and newer build');
});

test('two people edit one record: neither loses what was typed', async ({ browser }) => {
  const pages = [];
  for (const who of ['maren@hollowlane.example', 'tobias@hollowlane.example']) {
    const page = await (await browser.newContext()).newPage();
    await signIn(page, who);
    await open(page, 'Rook', 'A', 'build');
    await press(page, 'Edit arm length');
    pages.push(page);
  }
  const [first, second] = pages as [(typeof pages)[0], (typeof pages)[0]];
  await fill(first!, { 'Value with unit': '255 mm' });
  await press(first!, 'Save');
  await expect(first!.getByRole('dialog')).toBeHidden();
  await fill(second!, { 'Value with unit': '250 mm' });
  await press(second!, 'Save');
  await expect(second!.getByRole('alert')).toContainText('Somebody else changed this');
  await expect(second!.getByLabel('Value with unit')).toHaveValue('250 mm');
  await press(second!, 'Save mine over theirs');
  await expect(second!.getByRole('dialog')).toBeHidden();
  await expect(second!.getByRole('row', { name: /arm length/ })).toContainText('250 mm');
});

test('an export is brought into another workspace; a broken one is refused', async ({ browser }) => {
  const page = await (await browser.newContext()).newPage();
  await signIn(page);
  await open(page, 'Rook', 'D', 'build');
  await press(page, /sheets of the device/);
  await page.getByRole('menuitem', { name: 'Reports and sharing' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export as JSON' }).click();
  const file = await (await download).path();
  const other = await (await browser.newContext()).newPage();
  await signIn(other, 'odile@reedstreet.example');
  await other.getByLabel('Device file').setInputFiles({
    name: 'half.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"lustrum-device","ver'),
  });
  await expect(other.getByText(/not valid JSON.*Nothing was/)).toBeVisible();
  await other.getByLabel('Device file').setInputFiles(file);
  await expect(other.getByText(/Rook is in: \d+ records/)).toBeVisible();
  await other.getByRole('link', { name: /Rook/ }).first().click();
  await expect(sentence(other)).toContainText('Build D differs from C by 2 changes');
});
