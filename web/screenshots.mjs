// Takes the pictures of docs/screenshots anew from the running demo: node web/screenshots.mjs [ADDRESS]
import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';

const address = process.argv[2] ?? 'http://127.0.0.1:8420';
const folder = new URL('../docs/screenshots/', import.meta.url).pathname;
const password = readFileSync(new URL('../demo/password', import.meta.url), 'utf8').trim();
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox', '--disable-gpu'] });

async function visit(viewport, colorScheme, take) {
  const context = await browser.newContext({ viewport, colorScheme, reducedMotion: 'reduce' });
  const page = await context.newPage();
  await page.goto(address);
  await page.getByLabel('E-mail').fill('maren@hollowlane.example');
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  const wren = (await page.getByRole('link', { name: /Wren/ }).getAttribute('href')).split('/').slice(0, 3).join('/');
  await take(async (name, path, before) => {
    await page.goto(address + (path === '' ? '/' : `${wren}/${path}`));
    await page.waitForLoadState('networkidle');
    await before?.(page);
    await page.waitForTimeout(200);
    await page.screenshot({ path: `${folder}${name}.png` });
  });
  await context.close();
}

await visit({ width: 1280, height: 800 }, 'light', async (shot) => {
  await shot('brief', 'brief', (page) => page.getByRole('heading', { name: /^Uses/ }).scrollIntoViewIfNeeded());
  await shot('method', 'methods', async (page) => {
    await page.getByRole('link', { name: 'Handle bracket to failure' }).click();
    await page.getByRole('heading', { name: 'Rig' }).waitFor();
  });
  await shot('build', 'F/build');
  await shot('workshop', 'F/build', async (page) => {
    await page.getByRole('heading', { name: /Hours and money/ }).waitFor();
    await page.getByRole('heading', { name: /^Modules/ }).evaluate((at) => at.scrollIntoView());
    await page.waitForTimeout(500);
  });
  await shot('try', 'F/try');
  await shot('plan', 'F/try', async (page) => {
    await page.getByRole('button', { name: 'Lay out Drop ladder with the strap off' }).click();
    await page.getByRole('dialog').getByRole('status').waitFor();
  });
  await shot('find', 'C/find');
  await shot('weigh', 'F/weigh');
  await shot('weigh-compare', 'E/weigh', (page) =>
    page.getByRole('heading', { name: 'E against D' }).scrollIntoViewIfNeeded(),
  );
  await shot('opened', 'F/weigh', (page) => page.getByRole('button', { name: /^F, bracket load/ }).click());
  await shot('panel', '', async (page) => {
    const plover = (await page.getByRole('link', { name: /Plover/ }).getAttribute('href')).split('/').slice(0, 3).join('/');
    await page.goto(`${address}${plover}/A/try`);
    await page.getByRole('link', { name: 'Blind panel' }).click();
    await page.getByRole('heading', { name: /^Served/ }).waitFor();
  });
  await shot('outing', '', async (page) => {
    await page.getByRole('button', { name: /people and sign out/ }).click();
    await page.getByRole('menuitem', { name: /^Days out/ }).click();
    await page.getByRole('link', { name: 'Lower field', exact: true }).click();
    await page.getByRole('heading', { name: 'In this order' }).waitFor();
    await page.mouse.move(0, 0);
  });
  await shot('heap', '', async (page) => {
    await page.getByRole('button', { name: /people and sign out/ }).click();
    await page.getByRole('menuitem', { name: /^Heap of/ }).click();
    await page.getByRole('link', { name: /^Clip HX00042/ }).click();
    await page.getByText('Slope behind the barn, run 2', { exact: true }).waitFor();
    await page.waitForTimeout(800);
  });
  await shot('next', 'F/next');
  await shot('decision', 'E/next', (page) =>
    page
      .getByRole('link', { name: 'Read the record' })
      .click()
      .then(() => page.waitForTimeout(500)),
  );
});
await visit({ width: 390, height: 844 }, 'light', async (shot) => {
  await shot('run-phone', 'F/try', async (page) => {
    await page
      .getByRole('link', { name: /not finished/ })
      .first()
      .click();
    await page.getByText('Noticed').waitFor();
    await page.getByRole('heading', { name: /^Rig check/ }).evaluate((at) => at.scrollIntoView());
  });
  await shot('field', 'F/try', async (page) => {
    await page.getByRole('button', { name: 'Take along' }).click();
    await page.getByText('is on this device now').waitFor();
    await page.goto(`${address}/field`);
    await page.getByRole('button', { name: 'Start run of Slope behind the barn' }).click();
    await page.getByRole('group', { name: 'soil', exact: true }).getByRole('button', { name: 'moist' }).click();
    await page.getByRole('group', { name: 'ground', exact: true }).getByRole('button', { name: 'level' }).click();
    await page.waitForTimeout(300);
  });
});
await browser.close();
