import { expect, test, type Page } from '@playwright/test';

import { isAccessible, open, sentence, signIn, step as runStep } from './steps';

// The application comes from the device itself here.
test.use({ serviceWorkers: 'allow', viewport: { width: 390, height: 844 } });

const step = (page: Page, name: string) =>
  page.getByRole('group', { name: 'Steps' }).getByRole('button', { name, exact: true });
const reach = (page: Page, name: string) =>
  page.getByRole('group', { name: 'In reach' }).getByRole('button', { name, exact: true });

/** Begins a push on the slope, with what was found around it. */
async function begin(page: Page): Promise<void> {
  await page.goto('/field');
  await page.getByRole('button', { name: 'Start run of Slope behind the barn' }).click();
  await expect(sentence(page)).toContainText('not finished');
  await page.getByRole('group', { name: 'soil', exact: true }).getByRole('button', { name: 'moist' }).click();
  await page.getByRole('group', { name: 'ground', exact: true }).getByRole('button', { name: 'slope' }).click();
  await page.getByRole('button', { name: 'On to the readings' }).click();
}

async function read(page: Page, force: string): Promise<void> {
  await page.getByLabel(/^push force/).fill(force);
  await page.getByRole('button', { name: 'Keep push force' }).click();
  await expect(page.getByText(`${force} N`)).toBeVisible();
}

test('a day without network: nothing is lost, all of it is sent, and what two changed is decided', async ({
  page,
  context,
  browser,
}) => {
  await signIn(page, 'yusuf@hollowlane.example');
  await page.evaluate(async () => navigator.serviceWorker.ready);
  await open(page, 'Wren', 'F', 'try');
  await page.getByRole('button', { name: 'Take along' }).click();
  await expect(page.getByText('F is on this device now')).toBeVisible();

  // The lane has no network: the page is opened from the device, and says what differs from the last good run.
  await context.setOffline(true);
  await begin(page);
  await expect(page.getByRole('region', { name: 'Against the last good run' })).toContainText('soil moist, was dry');
  await read(page, '47.3');
  await reach(page, 'Odd').click();
  await page.getByLabel('What is odd?').fill('Left wheel slips at the ditch');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await page.getByLabel('Photo or memo').setInputFiles({
    name: 'note.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from('Ditch at 12 m'),
  });
  await expect(page.getByRole('list', { name: 'Seen' })).toContainText('note.txt');
  await step(page, 'End').click();
  await page.getByRole('button', { name: 'Failed', exact: true }).click();
  await page.getByLabel('What failed, in a few words?').fill('Wheel spun on wet clay');
  await page.getByLabel('Mode of failure').fill('Wheel slips');

  // The battery dies before it is ended: what was typed is there when the page opens again.
  await page.close();
  const again = await context.newPage();
  await again.goto('/field');
  await expect(sentence(again)).toContainText('This device holds one build.');
  await isAccessible(again, 'field at 390');
  await again.getByRole('link', { name: /1 here, not finished/ }).click();
  await step(again, 'End').click();
  await again.getByRole('button', { name: 'Failed', exact: true }).click();
  await expect(again.getByLabel('What failed, in a few words?')).toHaveValue('Wheel spun on wet clay');
  await again.getByRole('button', { name: 'End the run' }).click();
  await expect(sentence(again)).toContainText('The run ended: failed.');

  await begin(again);
  await read(again, '41.8');
  await step(again, 'End').click();
  await again.getByRole('button', { name: 'Held', exact: true }).click();
  await again.getByRole('button', { name: 'On to the next' }).click();
  await expect(sentence(again)).toContainText(/8 records wait to be sent/);

  // One more is begun, and goes up with the rest as soon as there is network.
  await begin(again);
  await context.setOffline(false);
  await again.goto('/field');
  await expect(sentence(again)).toContainText('Nothing waits to be sent.', { timeout: 30_000 });

  const desk = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await signIn(desk);
  await open(desk, 'Wren', 'F', 'try');
  const slope = desk.locator('section').filter({ has: desk.getByRole('heading', { name: /Slope behind the barn/ }) });
  await slope
    .getByRole('link', { name: /failed/ })
    .last()
    .click();
  await expect(desk.getByText('47.3 N')).toBeVisible();
  await expect(desk.getByText('Wheel spun on wet clay').first()).toBeVisible();
  await expect(desk.getByText('Left wheel slips at the ditch')).toBeVisible();
  await expect(desk.getByText('Wheel slips').first()).toBeVisible();

  // At the desk somebody says how the last one ended, while the phone is out of reach and does the same.
  await context.setOffline(true);
  await desk
    .getByRole('link', { name: /^Run \d+, not finished/ })
    .last()
    .click();
  await desk.getByLabel('Note').fill('Lost sight of it');
  await desk.getByRole('button', { name: 'Keep as found' }).click();
  await expect(desk.getByText('Kept.', { exact: true })).toBeVisible();
  await again.getByRole('link', { name: /here, not finished/ }).click();
  await step(again, 'End').click();
  await again.getByRole('button', { name: 'Held', exact: true }).click();
  await again.getByRole('button', { name: 'On to the next' }).click();
  await context.setOffline(false);
  await again.goto('/field');
  const conflict = again.getByRole('region', { name: /Changed meanwhile/ });
  await expect(conflict).toBeVisible({ timeout: 30_000 });
  await expect(conflict.getByRole('group', { name: 'How it ended' })).toContainText('held');
  await conflict.getByRole('button', { name: 'Keep what is chosen' }).click();
  await expect(sentence(again)).toContainText('Nothing waits to be sent.', { timeout: 30_000 });
  await desk.reload();
  await expect(desk.getByText('held', { exact: true })).toBeVisible();
  await desk.context().close();
});

test('signed out in the field: what waits asks for its own person, and goes on', async ({ page, context }) => {
  await signIn(page, 'yusuf@hollowlane.example');
  await page.evaluate(async () => navigator.serviceWorker.ready);
  await open(page, 'Wren', 'F', 'try');
  await page.getByRole('button', { name: 'Take along' }).click();
  await expect(page.getByText('F is on this device now')).toBeVisible();
  await context.setOffline(true);
  await begin(page);
  await read(page, '43.1');
  await context.clearCookies();
  await context.setOffline(false);
  await page.goto('/field');
  await expect(page.getByText('You are signed out. What waits is kept')).toBeVisible();
  await expect(sentence(page)).toContainText('2 records wait to be sent');

  // Somebody else signs in at the same device: nothing of it is shown or sent.
  await signIn(page, 'tobias@hollowlane.example');
  await page.goto('/field');
  await expect(sentence(page)).toContainText('Nothing waits to be sent.');
  await context.clearCookies();
  await signIn(page, 'yusuf@hollowlane.example');
  await expect(page.getByRole('link', { name: /to send/ })).toHaveCount(0, { timeout: 30_000 });
  await open(page, 'Wren', 'F', 'try');
  await page
    .getByRole('link', { name: /^Run \d+.*not finished/ })
    .last()
    .click();
  await runStep(page, 'Read');
  await expect(page.getByText('43.1 N')).toBeVisible();
});

test('a device that is full says so at once; what was kept is sent, and what was not is still in hand', async ({
  page,
  context,
}) => {
  // Room for the application and a few numbers, and none for a clip. From the start: what is left is asked for rarely.
  const storage = await context.newCDPSession(page);
  await page.goto('/');
  const { origin } = new URL(page.url());
  await storage.send('Storage.overrideQuotaForOrigin', { origin, quotaSize: 12_000_000 });
  await signIn(page, 'ines@hollowlane.example');
  await page.evaluate(async () => navigator.serviceWorker.ready);
  await open(page, 'Wren', 'F', 'try');
  await page.getByRole('button', { name: 'Take along' }).click();
  await expect(page.getByText('F is on this device now')).toBeVisible();
  await context.setOffline(true);
  await begin(page);
  await read(page, '44.6');

  const clip = { name: 'ditch.mp4', mimeType: 'video/mp4', buffer: Buffer.alloc(13_000_000, 7) };
  await page.getByLabel('Photo or memo').setInputFiles(clip, { timeout: 60_000 });
  await expect(
    page.getByText(/This device has no room left, so this was not kept\. What was kept before is safe/),
  ).toBeVisible();
  await expect(page.getByText('ditch.mp4'), 'What was not kept is not said to be.').toBeHidden();
  await reach(page, 'Note').click();
  await page.getByLabel('Seen, heard or felt').fill('Ditch at 12 m');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('list', { name: 'Seen' })).toContainText('Ditch at 12 m');
  await expect(page.getByText(/no room left/)).toBeHidden();

  await context.setOffline(false);
  await page.goto('/field');
  await expect(sentence(page)).toContainText('Nothing waits to be sent.', { timeout: 20_000 });
  await expect(page.getByRole('link', { name: /1 here, not finished/ })).toBeVisible();
});

test('a server that hangs or is broken hides nothing, and a clock two hours ahead is put right', async ({
  page,
  context,
}) => {
  // The clock of this phone is wrong from the first moment on.
  await context.addInitScript((ahead: number) => {
    const Right = Date;
    globalThis.Date = class extends Right {
      constructor(...given: [] | [number]) {
        super(...((given.length === 0 ? [Right.now() + ahead] : given) as [number]));
      }
      static override now(): number {
        return Right.now() + ahead;
      }
    } as DateConstructor;
  }, 7_200_000);
  await signIn(page, 'yusuf@hollowlane.example', true);
  await page.evaluate(async () => navigator.serviceWorker.ready);
  await open(page, 'Wren', 'F', 'try');
  await page.getByRole('button', { name: 'Take along' }).click();
  await expect(page.getByText('F is on this device now')).toBeVisible();

  // Nobody answers.
  await context.route('**/api/**', () => new Promise(() => undefined));
  await page.goto('/field');
  await expect(sentence(page)).toContainText('This device holds one build.', { timeout: 4_000 });
  await context.unroute('**/api/**');
  // Whoever answers is broken.
  await context.route('**/api/session', (route) => route.fulfill({ status: 503, body: 'down' }));
  await page.goto('/field');
  await expect(sentence(page)).toContainText('This device holds one build.', { timeout: 4_000 });
  await context.unroute('**/api/session');

  await begin(page);
  await read(page, '42.9');
  await step(page, 'End').click();
  await page.getByRole('button', { name: 'Held', exact: true }).click();
  await page.getByRole('button', { name: 'On to the next' }).click();
  await expect(sentence(page)).toContainText('Nothing waits to be sent.', { timeout: 30_000 });
  await open(page, 'Wren', 'F', 'try');
  const slope = page.locator('section').filter({ has: page.getByRole('heading', { name: /Slope behind the barn/ }) });
  await slope.getByRole('link', { name: /held/ }).last().click();
  await expect(page.getByText(/The clock of the device that this was recorded on was .* ahead/)).toBeVisible();
});
