import { expect, test, type Page } from '@playwright/test';

import { isAccessible, press, sentence, signIn, step } from './steps';

const PICTURE = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

/** Counts what a finger does, from here on. */
async function touches(page: Page): Promise<() => Promise<number>> {
  await page.evaluate(() => {
    const counted = window as Window & { touches?: number };
    counted.touches = 0;
    document.addEventListener('click', (e) => (counted.touches! += e.isTrusted && e.detail > 0 ? 1 : 0), true);
  });
  return () => page.evaluate(() => (window as Window & { touches?: number }).touches ?? -1);
}

/** No form that is opened on the way asks for more than five things. */
async function fields(page: Page): Promise<void> {
  const asked = await page.getByRole('dialog').locator('input:not([type=radio]), select, textarea, fieldset').count();
  expect(asked).toBeLessThanOrEqual(5);
}

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('from nothing to the first picture and the first number in six touches, and on to build B', async ({ page }) => {
    await signIn(page, 'nora@barebench.example');
    // There is nothing yet, and the first thing said is how to begin.
    await expect(page.getByText(/Nothing here yet. Begin with the thing in your hand/)).toBeVisible();
    const name = `Cart handle ${Date.now()}`;
    const count = await touches(page);

    await press(page, 'Try something');
    await fields(page);
    await isAccessible(page, 'try something at 390');
    await page.getByLabel('What do you try, in a line?').fill(`${name}, pulled 412 N at 60 cm`);
    await page
      .getByLabel('Picture', { exact: true })
      .setInputFiles({ name: 'rim.png', mimeType: 'image/png', buffer: PICTURE });
    await page.getByLabel('No', { exact: true }).check();
    await press(page, 'Begin');
    await expect(sentence(page)).toContainText(/Run 1 of .*, on build A with A-1/);
    await expect(page.getByRole('button', { name: 'Seen 1' })).toBeVisible();

    // What was typed to begin it is not typed again.
    await expect(page.getByLabel('In a line')).toHaveValue(`${name}, pulled 412 N at 60 cm`);
    await press(page, 'Keep line');
    const read = page.getByRole('region', { name: 'Read as' });
    await read.getByRole('listitem').filter({ hasText: '60 cm' }).getByLabel('called').fill('height');
    await read.getByRole('listitem').filter({ hasText: '412 N' }).getByLabel('called').fill('pull');
    await read.getByLabel('and should be').selectOption('at least');
    await read.getByLabel('in N').fill('400');
    await isAccessible(page, 'read as at 390');
    await press(page, 'Take up');
    await expect(page.getByText('412 N', { exact: true })).toBeVisible();
    await expect(read).toBeHidden();
    expect(await count(), 'touches').toBeLessThanOrEqual(6);
    await step(page, 'Seen');
    await expect(page.getByRole('img', { name: new RegExp(name) })).toBeVisible();
    await step(page, 'Read');
    await press(page, 'Held');
    await expect(sentence(page)).toContainText('held');

    // Once more: a touch to begin, one number, a touch to end.
    const before = await count();
    await press(page, 'Again, all as before');
    await expect(sentence(page)).toContainText('Run 2 of');
    await page.getByLabel(/^pull/).fill('431');
    await press(page, 'Held');
    await expect(sentence(page)).toContainText('held');
    await expect(page.getByText('431 N', { exact: true })).toBeVisible();
    expect((await count()) - before).toBeLessThanOrEqual(3);

    // Something is changed on the spot, tried, and becomes build B.
    await press(page, 'I changed something');
    await page.getByLabel('What did you change on A-1, in a line?').fill('rim is now 3 mm');
    await press(page, 'Keep change');
    await expect(page.getByRole('list', { name: 'A-1 is otherwise' })).toContainText('rim 3 mm');
    await press(page, 'Again, all as before');
    await expect(sentence(page)).toContainText('Run 3 of');
    await page.getByLabel(/^pull/).fill('530');
    await press(page, 'Held');
    await expect(sentence(page)).toContainText('held');
    await page.getByRole('link', { name: /^Next/i }).click();
    await press(page, 'Gather A-1 into a build of its own');
    await expect(page).toHaveURL(/\/B\/build/);
    await expect(sentence(page)).toContainText('Build B differs from A by one change');
    await page.getByRole('link', { name: /^Weigh/i }).click();
    await expect(sentence(page)).toContainText(/Build B/);
    await expect(page.getByRole('row', { name: /at least 400 N/i }).first()).toBeVisible();
  });
});

test('what can hurt somebody is minded, and no line is lost without a connection', async ({ page, context }) => {
  await signIn(page);
  await press(page, 'Try something');
  const what = `Spun up ${Date.now()}`;
  await page.getByLabel('What do you try, in a line?').fill(what);
  await page.getByLabel('It can', { exact: true }).check();
  await expect(page.getByRole('button', { name: 'Begin' })).toBeDisabled();
  await page.getByLabel('What can?').fill('Flying parts');
  await press(page, 'Begin');
  await expect(page.getByRole('alert')).toContainText('say when to stop');
  await page.getByLabel('When do we stop?').fill('At 600 rpm.');
  await context.setOffline(true);
  await press(page, 'Begin');
  await expect(page.getByRole('alert')).toContainText('no connection');
  await context.setOffline(false);
  await press(page, 'Begin');
  await expect(page.getByText(/Flying parts\. At 600 rpm\..*Local rules/)).toBeVisible();
  await page.getByLabel('In a line').fill('hummed at 80 Hz');
  await context.setOffline(true);
  await press(page, 'Keep line');
  await expect(page.getByRole('alert')).toContainText('no connection');
  await page.reload().catch(() => undefined);
  await context.setOffline(false);
  await page.reload();
  await expect(page.getByLabel('In a line')).toHaveValue('hummed at 80 Hz');
  await press(page, 'Keep line');
  await expect(page.getByRole('region', { name: 'Read as' })).toContainText('80 Hz');
  await press(page, 'Leave it as words');
  await expect(page.getByText('hummed at 80 Hz')).toBeVisible();
});
