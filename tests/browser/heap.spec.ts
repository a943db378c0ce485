import { execFileSync } from 'node:child_process';
import { copyFileSync, mkdtempSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { expect, test } from '@playwright/test';

import { device, isAccessible, press, put, sentence, signIn } from './steps';

const folder = mkdtempSync(join(tmpdir(), 'lustrum-heap-'));

/** A file that was taken at a moment, by the date that it bears. */
function at(name: string, moment: string, ...how: string[]): string {
  const file = join(folder, name);
  if (how.length > 0) execFileSync('ffmpeg', ['-v', 'error', '-y', ...how, file]);
  utimesSync(file, new Date(moment), new Date(moment));
  return file;
}

test('a heap is laid against runs, gone through beside the form, and the rest put aside', async ({ page }) => {
  const still = ['-f', 'lavfi', '-i', 'testsrc=size=320x240:rate=1:duration=1', '-frames:v', '1'];
  const other = ['-f', 'lavfi', '-i', 'smptebars=size=320x240:rate=1:duration=1', '-frames:v', '1'];
  const clip = at(
    'KX0001.mp4',
    '2026-03-09T10:00:00Z',
    ...['-f', 'lavfi', '-i', 'testsrc=size=320x240:rate=10:duration=4', '-pix_fmt', 'yuv420p'],
    ...['-metadata', 'creation_time=2026-03-02T14:02:00Z'],
  );
  const photo = at('KX0002.jpg', '2026-03-02T14:12:00Z', ...still);
  const far = at('KX0003.jpg', '2026-03-02T20:00:00Z', ...other);
  copyFileSync(photo, join(folder, 'copy of KX0002.jpg'));
  writeFileSync(join(folder, 'letter.mp4'), 'Dear all, this is none.');

  await signIn(page);
  const { id, a } = await device(page, 'Heron');
  const method = await put(page, 'methods', {
    device: id,
    name: 'Pull',
    minutes: 10,
    safety: { abort: 'When it slips.' },
    channels: [{ key: 'pull', metric: 'pull', unit: 'N' }],
  });
  const trial = await put(page, 'trials', { revision: a, method, name: 'First pulls' });
  await put(page, 'runs', { trial, startedAt: '2026-03-02T14:00:00Z' });

  await page.goto('/');
  await press(page, /people and sign out/);
  await page.getByRole('menuitem', { name: /^Heap of/ }).click();
  await expect(sentence(page)).toContainText('not gone through yet');
  await page
    .getByLabel('Files of the heap')
    .setInputFiles([clip, photo, far, join(folder, 'copy of KX0002.jpg'), join(folder, 'letter.mp4')]);
  const going = page.getByRole('region', { name: 'On its way' });
  await expect(going.getByText('3 of 5 sent.')).toBeVisible({ timeout: 30_000 });
  await expect(going.getByText(/copy of KX0002.jpg: dropped twice|KX0002.jpg: dropped twice/)).toBeVisible();
  await expect(going.getByText(/letter.mp4.*is called like a clip and is none/)).toBeVisible();
  await press(page, 'I have read this');

  // The clip is prepared in line; then it lies where it was filmed, whatever the date of its file says.
  const own = page.getByRole('heading', { name: /Heron A, First pulls, run 1/ });
  await expect(own).toBeVisible();
  await expect(page.getByRole('link', { name: 'Clip KX0001.mp4, 2 min into it' })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('link', { name: 'Photo KX0002.jpg, 2 min after its end' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Photo KX0003.jpg, no run near' })).toBeVisible();

  await page.getByRole('link', { name: /^Clip KX0001/ }).click();
  await expect(sentence(page)).toHaveText('It begins 2 min into Heron A, First pulls, run 1.');
  await page.locator('video').evaluate((v) => {
    (v as HTMLVideoElement).currentTime = 1.5;
  });
  await page.keyboard.press('m');
  await page.getByRole('textbox', { name: 'Mark at 00:01' }).fill('the hook turns');
  await press(page, 'Keep the marks');
  await expect(page.getByRole('button', { name: 'Keep the marks' })).toBeHidden();
  await press(page, 'Keep the mark as seen on this run');
  await expect(page.getByText('Kept as seen.')).toBeVisible();
  await press(page, 'Keep this picture of the clip');
  await expect(page.getByText('The picture at 00:01 is kept with the run.')).toBeVisible();
  await page.getByLabel(/^pull/).fill('41');
  await press(page, 'Keep pull');
  await expect(page.getByText('41 N')).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await isAccessible(page, 'a clip of the heap at 390', 'shapes');
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByLabel('What it shows').fill('The whole pull');
  await press(page, 'Keep with this run');

  await expect(sentence(page)).toHaveText('It was taken 2 min after the end of Heron A, First pulls, run 1.');
  await page.getByRole('link', { name: 'All of the heap' }).click();
  await isAccessible(page, 'the heap');
  await press(page, 'Put all the rest aside');
  await expect(sentence(page)).toContainText('Nothing waits to be gone through.');

  await page.goto(`/d/${id}/A/try`);
  await page.getByRole('link', { name: /^Run 1/ }).click();
  await expect(page.getByText('the hook turns')).toBeVisible();
  // Two minutes into the run, and a second and a half into the clip.
  await expect(page.getByText('02:01')).toBeVisible();
  await expect(page.getByText('The whole pull')).toBeVisible();
  await expect(page.getByText('KX0001.mp4, at 00:01')).toBeVisible();
});
