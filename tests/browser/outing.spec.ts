import { expect, test } from '@playwright/test';

import { device, isAccessible, press, put, sentence, signIn } from './steps';

test('a day out: trials of two devices in one order, with the list of what to take', async ({ page }) => {
  await signIn(page);
  // A trial of its own: those of the demo are tried to their end by others.
  const { id, a } = await device(page, 'Sled');
  const method = await put(page, 'methods', {
    device: id,
    name: 'Down the slope',
    safety: { abort: 'When it tips.' },
    minutesRun: 10,
    channels: [{ key: 'pull', metric: 'pull on the rope', unit: 'N', instrument: 'Load cell with unit button' }],
  });
  await put(page, 'trials', { revision: a, method, name: 'Slope with the sled', planned: 6 });
  await press(page, /people and sign out/);
  await page.getByRole('menuitem', { name: /Days out of Hollow Lane/ }).click();
  await press(page, 'Plan a day out');
  const slip = page.getByRole('dialog');
  await slip.getByLabel('Place').fill('The lane behind the barn');
  await slip.getByLabel('Hours there').fill('6');
  await slip.getByLabel('Permits').fill('Letter of the neighbour');
  await slip.getByLabel(/^Slope with the sled/).check();
  await slip.getByLabel(/^Drop ladder with the strap off/).check();
  await slip.getByRole('button', { name: 'Save' }).click();
  await expect(slip).toBeHidden();
  await page.getByRole('link', { name: 'The lane behind the barn' }).click();
  await expect(sentence(page).first()).toContainText('2 trials');
  const order = page.getByRole('listitem').filter({ hasText: /^\d\. / });
  await expect(order).toHaveText([/Slope with the sled/, /Drop ladder with the strap off/]);
  await expect(page.getByRole('region', { name: 'Instruments' })).toContainText('Load cell with unit button');
  await expect(page.getByRole('region', { name: 'Agreed and permitted' })).toContainText('Letter of the neighbour');
  await isAccessible(page, 'day out');
  await page.getByLabel(/^Foot protection/).check();

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
  await slip.getByLabel(/^Slope with the sled/).check();
  await slip.getByRole('button', { name: 'Save' }).click();
  await page.getByRole('link', { name: 'Upper field' }).click();
  await expect(page.getByRole('region', { name: 'Missed before' })).toContainText('Spirit level');
  await page.goBack();
  await expect(page.getByLabel(/^Foot protection/), 'What is in the box stays ticked.').toBeChecked();
});
