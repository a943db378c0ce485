import { expect, test, type Page } from '@playwright/test';

import { isAccessible as hasNoViolation, open, press, sentence, signIn } from './steps';

test.describe.configure({ mode: 'parallel' });

for (const [width, scheme, where] of [
  [1280, 'light', 'on a desk'],
  [390, 'light', 'on a phone'],
  [1280, 'dark', 'in a dark shed'],
] as const) {
  test(`every main view passes axe ${where}`, async ({ browser }) => {
    test.setTimeout(480_000);
    // In the dark nothing but the colours is otherwise; on a phone everything but them.
    const isAccessible = (at: Page, what: string) =>
      hasNoViolation(at, what, scheme === 'dark' ? 'colours' : width < 1000 ? 'shapes' : 'all');
    const page = await (
      await browser.newContext({
        viewport: { width, height: 844 },
        colorScheme: scheme,
        reducedMotion: 'reduce',
      })
    ).newPage();
    const messages: string[] = [];
    page.on('console', (m) => m.type() === 'error' && messages.push(m.text()));
    page.on('pageerror', (e) => messages.push(e.message));
    await signIn(page);
    await isAccessible(page, `devices ${width} ${scheme}`);
    for (const [device, letter, station] of [
      ['Wren', 'F', 'build'],
      ['Wren', 'E', 'try'],
      ['Wren', 'C', 'find'],
      ['Wren', 'F', 'weigh'],
      ['Wren', 'F', 'next'],
      ['Wren', 'A', 'weigh'],
      ['Rook', 'D', 'try'],
    ] as const) {
      await open(page, device, letter, station);
      // What stands behind a build comes after its sheet.
      if (station === 'build') await expect(page.getByRole('heading', { name: /Hours and money/ })).toBeVisible();
      await isAccessible(page, `${station} of ${letter} ${width} ${scheme}`);
    }
    // The colours are the same tokens everywhere: the stations have all of them.
    if (scheme === 'dark') {
      expect(messages).toEqual([]);
      await page.context().close();
      return;
    }
    const device = page.url().split('/').slice(0, 5).join('/');
    for (const sheet of ['brief', 'methods', 'sharing', 'Z/build']) {
      await page.goto(`${device}/${sheet}`);
      await expect(sentence(page)).toBeVisible();
      await isAccessible(page, `${sheet} ${width} ${scheme}`);
    }
    await open(page, 'Wren', 'E', 'next');
    await page.getByRole('link', { name: 'Read the record' }).click();
    await expect(sentence(page)).toContainText('decided build F after E');
    await isAccessible(page, `decision ${width} ${scheme}`);
    await open(page, 'Wren', 'E', 'try');
    await page
      .getByRole('link', { name: /^Run 14 .*failed/ })
      .first()
      .click();
    await expect(page.getByText(/Brush gap was found at 1.4 mm; it should be 0.8 mm/)).toBeVisible();
    await isAccessible(page, `run ${width} ${scheme}`);
    await press(page, /people and sign out/);
    await page.getByRole('menuitem', { name: /People of/ }).click();
    await expect(sentence(page)).toContainText('5 people, 4 of whom can write');
    await isAccessible(page, `people ${width} ${scheme}`);
    await page.goto('/you');
    await expect(sentence(page)).toContainText('you are signed in');
    await isAccessible(page, `you ${width} ${scheme}`);
    expect(messages).toEqual([]);
    await page.context().close();
  });
}
