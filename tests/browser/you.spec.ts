import { expect, test } from '@playwright/test';

import { fill, patiently, press, saveSlip, sentence, signIn } from './steps';

const WHO = 'tobias@hollowlane.example';
const PASSWORD = process.env['LUSTRUM_PASSWORD'] ?? 'furrow-and-kite-2026';
const NEW = 'a wheel beside the gate';

test('a lost phone is signed out from the desk, and a new password signs out everybody else', async ({
  browser,
  page,
}) => {
  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await signIn(phone, WHO, true);
  await signIn(page, WHO, true);
  await page.goto('/');
  await press(page, /people and sign out/);
  await page.getByRole('menuitem', { name: 'Password and places' }).click();
  await expect(sentence(page)).toContainText(/Tobias Lind, you are signed in at \d+ places/);
  await expect(page.getByText('A computer, this one')).toBeVisible();
  while ((await page.getByRole('button', { name: 'Sign out there' }).count()) > 0) {
    const left = await page.getByRole('button', { name: 'Sign out there' }).count();
    await page.getByRole('button', { name: 'Sign out there' }).first().click();
    await expect(page.getByRole('button', { name: 'Sign out there' })).toHaveCount(left - 1);
  }
  await expect(sentence(page)).toContainText('here and nowhere else');
  await phone.goto('/');
  await expect(phone.getByRole('button', { name: 'Sign in' })).toBeVisible();

  await signIn(phone, WHO, true);
  await press(page, 'Change your password');
  await fill(page, { 'Your present password': 'not this one', 'The new one': NEW });
  await patiently(
    page,
    page.getByRole('dialog').getByRole('button', { name: 'Change it' }),
    page.getByText('This is not your present password.').first(),
  );
  await fill(page, { 'Your present password': PASSWORD, 'The new one': NEW });
  await saveSlip(page, 'Change it');
  await expect(page.getByText('Your password is changed')).toBeVisible();
  await phone.goto('/');
  await expect(phone.getByRole('button', { name: 'Sign in' })).toBeVisible();

  // As it was, for whoever comes next.
  await press(page, 'Change your password');
  await expect(page.getByRole('dialog').getByLabel('Your present password')).toHaveValue('');
  await fill(page, { 'Your present password': NEW, 'The new one': PASSWORD });
  await saveSlip(page, 'Change it');
});
