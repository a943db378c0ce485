import { expect, test, type Page } from '@playwright/test';

import { isAccessible, open, press, sentence, signIn } from './steps';

const RATERS = ['Odile Ferrant', 'Bram Achterberg'];

/** Rates the code that is on the screen: each a little more than the one before. */
async function rate(page: Page, points: number, isLast: boolean, place: number): Promise<void> {
  for (const line of await page.getByRole('slider').all()) await line.fill(String(points));
  if (place > 1) await page.getByRole('button', { name: /^This one/ }).click();
  if (isLast) await page.getByRole('group', { name: 'Which one is mended?' }).getByRole('button').first().click();
  await page.getByRole('button', { name: /^Done with/ }).click();
}

test('a blind panel with two raters on one handed-over phone, to the unblinded result', async ({ page }) => {
  await signIn(page, 'yusuf@hollowlane.example');
  await open(page, 'Wren', 'F', 'try');
  await page.getByRole('button', { name: 'New trial' }).click();
  const slip = page.getByRole('dialog');
  await slip.getByLabel('Method').selectOption({ label: 'Growers rate the handling' });
  await slip.getByLabel('Name', { exact: true }).fill('Two growers, blind');
  await slip.getByRole('button', { name: /^(Save|Start|Add|Keep|Make)/ }).click();
  await expect(slip).toBeHidden();
  await press(page, 'Blind panel of Two growers, blind');
  await slip.getByLabel('Who rates, a name a line').fill(RATERS.join('\n'));
  await slip
    .getByRole('textbox', { name: /word at the low end/ })
    .first()
    .fill('tiring');
  await slip.getByLabel('Is it better than the one before?').check();
  await slip.getByLabel('A guess at the end, to see whether the blind held').fill('Which one is mended?');
  await slip.getByLabel('The right answer').selectOption({ index: 1 });
  await slip.getByRole('button', { name: 'Make codes and orders' }).click();
  await expect(slip).toBeHidden();
  await page.getByRole('link', { name: 'Blind panel' }).first().click();
  await expect(sentence(page)).toContainText('nobody sees a mean before it is unblinded');
  await expect(page.getByText('Served by Yusuf Brandt.')).toBeVisible();
  const first = page.getByRole('listitem').filter({ hasText: RATERS[0]! });
  await expect(first, 'Whoever serves is told what comes next, and not all of it.').toContainText(
    /gets .+ as \d{3} 0 of \d/,
  );
  await expect(page.getByRole('list', { name: /^Order of/ })).toHaveCount(0);
  const items = Number(/0 of (\d+)/.exec(await first.innerText())![1]);
  expect(items).toBeGreaterThan(1);
  await isAccessible(page, 'panel');
  const address = page.url();

  // The phone is handed over: from here on it shows codes, and the server lets nothing else through.
  await page.setViewportSize({ width: 390, height: 844 });
  await press(page, 'Hand over to a rater');
  await expect(sentence(page)).toHaveText('Who are you?');
  await page.goto(address);
  await expect(sentence(page), 'An address leads nowhere else.').toHaveText('Who are you?');
  expect(await page.evaluate(async () => (await fetch('/api/signed-in')).status)).toBe(403);
  for (const rater of RATERS) {
    await page.getByRole('button', { name: rater }).click();
    for (let place = 1; place <= items; place += 1) {
      await expect(sentence(page)).toContainText(`, ${place} of ${items}.`);
      await expect(page.getByText(/W-\d\d/), 'Nothing says which it is.').toHaveCount(0);
      if (place === 2 && rater === RATERS[0]) await isAccessible(page, 'rating at 390');
      await rate(page, 33 + 10 * place, place === items, place);
    }
    await expect(sentence(page)).toContainText(
      rater === RATERS[0] ? 'That was all. Who is next?' : 'Everybody has rated',
    );
  }
  await page.getByRole('button', { name: 'Take the device back' }).click();
  await page.getByLabel('Password of whoever handed it over').fill('not the word');
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByRole('alert')).toContainText('not the password');
  await page
    .getByLabel('Password of whoever handed it over')
    .fill(process.env['LUSTRUM_PASSWORD'] ?? 'furrow-and-kite-2026');
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByRole('button', { name: /people and sign out/ }).first()).toBeVisible();

  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(address);
  await press(page, 'Unblind');
  await press(page, 'Unblind now');
  await expect(page.getByText('Unblinded by Yusuf Brandt')).toBeVisible();
  await expect(sentence(page)).toContainText(`rated blind by 2 raters: ${2 * items} of ${2 * items} sheets`);
  await expect(page.getByText(/guesses were right, among/)).toBeVisible();
  await expect(page.getByRole('table').first().getByRole('row')).toHaveCount(items + 1);
});
