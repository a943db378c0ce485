import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { expect, test } from '@playwright/test';

import { isAccessible, open, press, signIn } from './steps';

const folder = mkdtempSync(join(tmpdir(), 'lustrum-'));

function made(name: string, ...how: string[]): string {
  const file = join(folder, name);
  execFileSync('ffmpeg', ['-v', 'error', '-y', ...how, file]);
  return file;
}

test('a clip, a sound and a drawing beside the photos; what is damaged says so at its place', async ({ page }) => {
  const clip = made(
    'passing.mp4',
    '-f',
    'lavfi',
    '-i',
    'testsrc=size=320x240:rate=10:duration=3',
    '-pix_fmt',
    'yuv420p',
  );
  const sound = made('rattle.mp3', '-f', 'lavfi', '-i', 'sine=frequency=300:duration=65');
  const notes = join(folder, 'notes.txt');
  writeFileSync(notes, 'As the grower said it.');
  const broken = join(folder, 'broken.mp4');
  writeFileSync(broken, readFileSync(clip).subarray(0, 2000));
  const page404 = join(folder, 'page.html');
  writeFileSync(page404, '<!doctype html><html><script>alert(1)</script></html>');

  await signIn(page, 'ines@hollowlane.example');
  await open(page, 'Rook', 'C', 'find');
  const input = page.getByLabel('File', { exact: true }).first();
  await input.setInputFiles(clip);
  await expect(page.getByText('passing.mp4 is kept.')).toBeVisible();
  await input.setInputFiles([sound, notes]);
  await expect(page.getByText('notes.txt is kept.')).toBeVisible();
  await input.setInputFiles(broken);
  await expect(page.getByText('broken.mp4 is kept.')).toBeVisible();

  // They wait their turn, and come without anybody's doing.
  await expect(page.getByText('Clip 0:03')).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText('1:05')).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/This recording is damaged/)).toBeVisible({ timeout: 60_000 });
  await isAccessible(page, 'files on Find');

  await page
    .getByRole('button', { name: /^Clip \d/ })
    .first()
    .click();
  const video = page.getByRole('dialog').locator('video');
  await expect(video).toBeVisible();
  await expect.poll(() => video.evaluate((v) => Math.round((v as HTMLVideoElement).duration))).toBe(3);
  await isAccessible(page, 'a clip');
  await press(page, 'Close');

  await page
    .getByRole('button', { name: /^Document/ })
    .first()
    .click();
  const saved = page.waitForEvent('download');
  await page.getByRole('dialog').getByRole('link', { name: 'Save it on this device' }).click();
  expect(readFileSync(await (await saved).path(), 'utf8')).toBe('As the grower said it.');
  await press(page, 'Close');

  await input.setInputFiles(page404);
  await expect(page.getByRole('alert')).toContainText('This is not a file that Lustrum can take');
});
