import { expect, test } from '@playwright/test';

import { device, isAccessible, press, put, sentence, signIn, step } from './steps';

const SAFE = { hazards: [], cautions: [], abort: 'When it hurts.', needsSignOff: false };

test.describe('on a phone, between two runs', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('a value without its unit, one that goes along, and a change that becomes a build', async ({ page }) => {
    await signIn(page);
    const d = await device(page, 'Between');
    await put(page, 'parameters', { revision: d.a, name: 'gap', text: '1.5 mm' });
    await put(page, 'articles', { revision: d.a, serial: 'U-1' });
    const method = await put(page, 'methods', {
      device: d.id,
      name: 'Pull',
      safety: SAFE,
      channels: [{ key: 'pull', metric: 'pull', unit: 'N' }],
      conditions: [{ name: 'ground', states: ['dry', 'wet'] }],
    });
    await put(page, 'trials', { revision: d.a, method, name: 'Pulling', plannedRuns: 2 });
    await page.goto(`/d/${d.id}/A/try`);

    // A number whose unit nobody remembers: kept, used for nothing, then decided.
    await press(page, 'Start run of Pulling');
    await step(page, 'Read');
    await page.getByLabel('How pull was read').selectOption('unit not known');
    await page.getByLabel('pull', { exact: true }).fill('4.2');
    await expect(page.getByText(/used for nothing until somebody decides: 4.2 N, /)).toBeVisible();
    await press(page, 'Keep pull');
    await press(page, 'It is 4.2 kgf');
    await expect(page.getByText('Its unit was decided.')).toBeVisible();
    await step(page, 'As found');
    await page.getByLabel('ground').selectOption('dry');
    await press(page, 'Keep as found');
    await expect(page.getByRole('button', { name: 'Held', exact: true }), 'Nothing is open there: on.').toBeVisible();
    await press(page, 'Held');
    await expect(sentence(page)).toContainText('held');

    // Between the runs something is changed on the article.
    await page.getByRole('link', { name: 'All trials' }).click();
    await expect(page.getByText('So far, before its planned number of runs:')).toBeVisible();
    await press(page, 'I changed something');
    await page.getByLabel('What did you change on U-1, in a line?').fill('gap from 1.5 mm to 1.2 mm');
    await press(page, 'Keep change');
    await expect(page.getByRole('list', { name: 'U-1 is otherwise' })).toContainText('gap 1.2 mm');
    await press(page, 'Start run of Pulling');

    // The condition of the run before is offered, and what is typed goes along with the outcome.
    await expect(page.getByText(/Offered from run 1: ground dry/)).toBeVisible();
    await isAccessible(page, 'run with an offer at 390');
    await step(page, 'Read');
    await page.getByLabel('pull', { exact: true }).fill('39');
    await expect(page.getByText(/What is typed goes along/)).toBeVisible();
    await press(page, 'Held');
    await expect(sentence(page)).toContainText('held');
    await expect(page.getByText('39 N', { exact: true })).toBeVisible();

    // The change becomes a build of its own, and its run goes along.
    await page.getByRole('link', { name: 'All trials' }).click();
    await press(page, 'Gather into a build of its own');
    await expect(sentence(page)).toContainText('Build B differs from A by one change');
    await page.goto(`/d/${d.id}/B/try`);
    await expect(sentence(page)).toContainText('Build B: 1 run in 1 trial, 1 held.');
    await page.goto(`/d/${d.id}/A/try`);
    await expect(sentence(page)).toContainText('Build A: 1 run in 1 trial, 1 held.');
  });
});

test('on a phone the evidence of one build stands beside one other, and nothing is hidden without a sign', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page);
  await page.getByRole('link', { name: /Wren/ }).first().click();
  await page.goto(page.url().replace(/\/[^/]+\/[^/]+$/, '/F/weigh'));
  const table = page.getByRole('region', { name: 'Evidence, requirements by builds' });
  await expect(table.getByRole('columnheader')).toHaveText(['Requirement', 'F', 'E']);
  await page.getByLabel(/^Beside F/).selectOption('D');
  await expect(table.getByRole('columnheader')).toHaveText(['Requirement', 'F', 'D']);
  await expect(table.getByText('at most 12 %')).toBeVisible();
  await page.goto(page.url().replace('/weigh', '/try'));
  await expect(page.getByText(/More to the right/)).toBeVisible();
});
