import { expect, test } from '@playwright/test';

import { isAccessible, press, sentence, signIn } from './steps';

test('a day out: trials of two devices in one order, with the list of what to take', async ({ page }) => {
  await signIn(page);
  await press(page, /people and sign out/);
  await page.getByRole('menuitem', { name: /Days out of Hollow Lane/ }).click();
  await press(page, 'Plan a day out');
  const slip = page.getByRole('dialog');
  await slip.getByLabel('Place').fill('The lane behind the barn');
  await slip.getByLabel('Hours there').fill('6');
  await slip.getByLabel('Permits').fill('Letter of the neighbour');
  await slip.getByLabel(/^Slope behind the barn/).check();
  await slip.getByLabel(/^Drop ladder with the strap off/).check();
  await slip.getByRole('button', { name: 'Save' }).click();
  await expect(slip).toBeHidden();
  await page.getByRole('link', { name: 'The lane behind the barn' }).click();
  await expect(sentence(page).first()).toContainText('2 trials');
  const order = page.getByRole('listitem').filter({ hasText: /^\d\. / });
  await expect(order).toHaveText([/Drop ladder with the strap off/, /Slope behind the barn/]);
  await expect(page.getByRole('region', { name: 'Instruments' })).toContainText('Load cell with unit button');
  await expect(page.getByRole('region', { name: 'Agreed and permitted' })).toContainText('Letter of the neighbour');
  await isAccessible(page, 'day out');
  const cell = page.getByLabel(/^Load cell with unit button/);
  await cell.check();

  // Half the time: what is given up is named, and something was missed for the next time.
  await page.getByLabel('What was missed, a thing a line').fill('Spirit level');
  const again = page.waitForResponse(/outings\/[^/]+\/page$/);
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await again;
  await press(page, 'Edit');
  await slip.getByLabel('Hours there').fill('2');
  await slip.getByRole('button', { name: 'Save' }).click();
  await expect(sentence(page).first()).toContainText('time is short, so leave out');
  await press(page, 'Plan a day out');
  await slip.getByLabel('Place').fill('Upper field');
  await slip.getByLabel(/^Slope behind the barn/).check();
  await slip.getByRole('button', { name: 'Save' }).click();
  await page.getByRole('link', { name: 'Upper field' }).click();
  await expect(page.getByRole('region', { name: 'Missed before' })).toContainText('Spirit level');
  await page.goBack();
  await expect(page.getByLabel(/^Load cell with unit button/), 'What is in the box stays ticked.').toBeChecked();
});
