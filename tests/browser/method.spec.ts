import { expect, test } from '@playwright/test';

import { fill, isAccessible, open, press, saveSlip, sentence, signIn } from './steps';

test('a derived channel: refused where its units do not fit, then worked out in a run', async ({ page }) => {
  await signIn(page, 'ines@hollowlane.example');
  await open(page, 'Rook', 'D', 'try');
  await press(page, /sheets of the device/);
  await page.getByRole('menuitem', { name: 'Methods and instruments' }).click();
  await press(page, 'New method');
  await fill(page, { Name: 'Pull on the line', 'When to stop at once': 'When the line frays.' });
  await saveSlip(page, 'Write it');
  const slip = page.getByRole('dialog');
  for (const { metric, key, unit, high, formula } of [
    { metric: 'line pull', key: 'pull', unit: 'N', high: '30 lbf', formula: '' },
    { metric: 'arm', key: 'arm', unit: 'mm', high: '', formula: '' },
    { metric: 'torque at the cradle', key: 'torque', unit: 'N·m', high: '', formula: 'pull + arm' },
  ]) {
    await press(page, 'Read something');
    await fill(page, { 'What?': metric, 'Short name': key, 'Unit that the instrument shows': unit });
    await fill(page, { 'Greatest plausible': high, 'Worked out as': formula });
    if (formula !== '') {
      await slip.getByRole('button', { name: 'Save', exact: true }).click();
      await expect(slip.getByText(/force and length cannot be added or compared/).first()).toBeVisible();
      await slip.getByLabel('Worked out as').fill('pull * arm');
    }
    await saveSlip(page);
  }
  await expect(page.getByText(/torque at the cradle in N·m, worked out as pull \* arm/)).toBeVisible();
  await open(page, 'Rook', 'D', 'try');
  await press(page, 'New trial');
  await fill(page, { Method: 'Pull on the line', Name: 'Pulled' });
  await saveSlip(page, 'Make trial');
  await press(page, 'Start run of Pulled');
  await expect(page.getByText('Waits for the channels that it is worked out from.')).toBeVisible();
  for (const [metric, value] of [
    ['line pull', '20.0'],
    ['arm', '300'],
  ] as const) {
    await page.getByLabel(new RegExp(`^${metric}`)).fill(value);
    await press(page, `Keep ${metric}`);
    await expect(page.getByRole('button', { name: `Amend ${metric}` })).toBeVisible();
  }
  await expect(page.getByText('6.000 ± 0.010 N·m')).toBeVisible();
  await page.getByText('torque at the cradle').click();
  await expect(page.getByText(/Worked out as pull \* arm, with pull = 20.0 N, arm = 300 mm/)).toBeVisible();
  await isAccessible(page, 'run with a derived channel');
});

test('a number opens to how it was worked out and to its runs', async ({ page }) => {
  await signIn(page);
  await open(page, 'Wren', 'F', 'weigh');
  await page.getByRole('button', { name: /^F, survives drop/ }).click();
  const slip = page.getByRole('dialog');
  await expect(slip).toContainText('exact interval of Clopper and Pearson');
  await expect(slip.getByRole('link', { name: /run 9/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('region', { name: 'survives drop', exact: true })).toContainText(
    'both pass where both were tried (9 of 9, and 9 of 9 on E), so far this trial does not tell them apart; up to 32 points could hide',
  );
  await page
    .getByRole('region', { name: 'bracket load' })
    .getByRole('button', { name: /^E: half reach/ })
    .click();
  await expect(slip).toContainText('Kaplan and Meier');
  await slip.getByRole('link', { name: /^E · .* run 4/ }).click();
  await expect(sentence(page)).toContainText('stopped before the event came, so its value is a bound');
});
