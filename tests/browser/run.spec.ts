import { expect, test, type Page } from '@playwright/test';

import { isAccessible, open, press, sentence, signIn, step } from './steps';

/** Starts a run of a fresh trial on build F of Wren, with the push method. */
async function startRun(page: Page, name: string): Promise<void> {
  await open(page, 'Wren', 'F', 'try');
  await press(page, 'New trial');
  await page.getByRole('dialog').getByLabel('Method').selectOption({ label: 'Push force on a raked bed' });
  await page.getByRole('dialog').getByLabel('Name').fill(name);
  await page.getByRole('dialog').getByRole('button', { name: 'Make trial' }).click();
  await press(page, `Start run of ${name}`);
  await expect(sentence(page)).toContainText(`Run 1 of ${name}`);
}

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('a run with a photo, in another unit, in gloves', async ({ page }) => {
    await signIn(page, 'yusuf@hollowlane.example');
    await startRun(page, 'Phone run');
    const tall = async (...names: string[]) => {
      for (const name of names) {
        const box = await page.getByRole('button', { name, exact: true }).first().boundingBox();
        expect(box!.height, name).toBeGreaterThanOrEqual(56);
      }
    };
    // One thing at a time: what the bed was like is asked first.
    await expect(page.getByLabel('soil', { exact: true })).toBeVisible();
    await expect(page.getByLabel(/^push force/)).toBeHidden();
    await step(page, 'Read');
    await tall('Keep push force', 'Held', 'Failed', 'Stopped early');
    await page.getByLabel(/^push force/).fill('9.0 lbf');
    await expect(page.getByText('9.0 lbf is 40.0 N')).toBeVisible();
    await press(page, 'Keep push force');
    await expect(page.getByText('9.0 lbf').first()).toBeVisible();
    await step(page, 'Seen');
    await tall('Add photo or file');
    const chooser = page.waitForEvent('filechooser');
    await press(page, 'Add photo or file');
    await (
      await chooser
    ).setFiles({
      name: 'bed.png',
      mimeType: 'image/png',
      buffer: Buffer.from(
        'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
        'base64',
      ),
    });
    await expect(page.getByRole('button', { name: /Photo 1/ })).toBeVisible();
    await step(page, 'As found');
    await page.getByLabel('soil', { exact: true }).selectOption('moist');
    await page.getByLabel('ground', { exact: true }).selectOption('unknown');
    await press(page, 'Keep as found');
    await expect(page.getByText('Kept.', { exact: true })).toBeVisible();
    await expect(page.getByText(/Nobody has recorded soil moisture yet/)).toBeVisible();
    await isAccessible(page, 'a step of a run at 390');
    await step(page, 'Read');
    await press(page, 'Held');
    await expect(sentence(page)).toContainText('held');
    await expect(page.getByText('9.0 lbf').first(), 'What has ended is read as one sheet.').toBeVisible();
    await isAccessible(page, 'run at 390');
  });

  test('what is broken is logged with three fields, and something is said about it', async ({ page }) => {
    await signIn(page, 'yusuf@hollowlane.example');
    await startRun(page, 'Broken run');
    await press(page, 'Failed');
    await page.getByLabel('What failed, in a few words?').fill('Bracket gave way');
    await page.getByLabel('Mode').fill('bracket cracked');
    await press(page, /Keep: failed/);
    await expect(
      page.getByText(/“bracket cracked” was seen before: once on A, 2 times on B, 3 times on C/),
    ).toBeVisible();
  });
});

test('a wrong dimension is refused with a sentence that helps', async ({ page }) => {
  await signIn(page);
  await startRun(page, 'Refused');
  await page.getByLabel(/^push force/).fill('4 kg');
  await press(page, 'Keep push force');
  await expect(
    page
      .getByText(
        'kg is a mass, and this is a force. A scale that shows kg is showing kgf: write kgf if that is what it was.',
      )
      .first(),
  ).toBeVisible();
  await page.getByLabel(/^push force/).fill('4 mm');
  await press(page, 'Keep push force');
  await expect(page.getByText(/mm measures length, but force is wanted here/).first()).toBeVisible();
  await page.getByLabel(/^push force/).fill('1,234');
  await press(page, 'Keep push force');
  await expect(page.getByText(/can be read in two ways/).first()).toBeVisible();
  await expect(page.getByLabel(/^push force/)).toHaveValue('1,234');
});

test('a slip is asked back, and the corrected value kept', async ({ page }) => {
  await signIn(page);
  await startRun(page, 'Slip');
  await page.getByLabel(/^push force/).fill('4.08');
  await press(page, 'Keep push force');
  await expect(page.getByRole('alert')).toContainText('would fit if it was read in kgf');
  await press(page, 'It is 40.0 N');
  await expect(page.getByText('40.0 N').first()).toBeVisible();
  await expect(page.getByText(/Asked back: Typed 4.08, corrected/)).toBeVisible();
  await press(page, 'Amend push force');
  await page.getByLabel('The right value, in N').fill('40.4');
  await page.getByLabel('Why?').fill('Read it again on the film');
  await press(page, 'Amend, keep both');
  await expect(page.getByText('40.4 N').first()).toBeVisible();
  await expect(page.getByText(/First typed as 40.0 N; amended by Maren Okafor/)).toBeVisible();
});

test('a reload in the middle of a run loses nothing', async ({ page }) => {
  await signIn(page);
  await startRun(page, 'Reloaded');
  await page.getByLabel(/^push force/).fill('41.7');
  await page.getByLabel('Note').fill('Wind from the left');
  await press(page, 'Stopped early');
  await page.getByLabel(/Why was it stopped/).fill('Rain came');
  // Nobody reloads in the same blink; the device writes what is typed beside the typing.
  await page.waitForTimeout(300);
  await page.reload();
  await expect(page.getByLabel(/^push force/)).toHaveValue('41.7');
  await expect(page.getByLabel('Note')).toHaveValue('Wind from the left');
  await expect(page.getByLabel(/Why was it stopped/)).toHaveValue('Rain came');
});

test('without a connection what is typed is kept, and said so', async ({ page, context }) => {
  await signIn(page);
  await startRun(page, 'Offline');
  await page.getByLabel(/^push force/).fill('41.2');
  await context.setOffline(true);
  await press(page, 'Keep push force');
  await expect(page.getByText(/There is no connection just now/).first()).toBeVisible();
  await context.setOffline(false);
  await press(page, 'Keep push force');
  await expect(page.getByText('41.2 N').first()).toBeVisible();
});
