import { expect, test } from '@playwright/test';

import { open, signIn } from './steps';

test('twenty runs out of a notebook, key by key', async ({ page }) => {
  test.setTimeout(360_000);
  await signIn(page);
  await open(page, 'Wren', 'F', 'try');
  await page.getByRole('button', { name: 'Type runs of Slope behind the barn' }).click();
  const slip = page.getByRole('dialog');
  await slip.getByLabel('Article, line 1').selectOption('W-11');
  await slip.getByLabel('soil, line 1').selectOption('moist');
  await slip.getByLabel('ground, line 1').selectOption('slope');
  await slip.getByLabel('push force, line 1').focus();
  for (let i = 0; i < 20; i += 1) {
    await page.keyboard.type(`${41 + (i % 5)}.${i % 10}`, { delay: 10 });
    await expect(slip.getByLabel(`push force, line ${i + 1}`)).toBeFocused();
    if (i < 19) {
      await page.keyboard.press('Enter');
      await expect(slip.getByLabel(`push force, line ${i + 2}`)).toBeFocused();
    }
  }
  await slip.getByLabel('Ended, line 7').selectOption('failed');
  await slip.getByLabel('Why, or a note, line 7').fill('Wheel dug in');
  await slip.getByRole('button', { name: 'Keep 20 runs' }).click();
  await expect(slip.getByRole('status')).toHaveText('20 of 20 runs kept.', { timeout: 240_000 });
  await page.keyboard.press('Escape');
  const part = page.locator('section').filter({ has: page.getByRole('heading', { name: /Slope behind the barn/ }) });
  await part
    .getByRole('link', { name: /failed/ })
    .last()
    .click();
  await expect(page.getByText('42.6 N')).toBeVisible();
  await expect(page.getByText('Wheel dug in').first()).toBeVisible();
});
