import { expect, test } from '@playwright/test';

import { device, isAccessible, made, press, put, saveSlip, sentence, signIn, step } from './steps';

test('what the stand reads by itself is taken off, what slips is counted, and the stand’s fault stands on its method', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page);
  const d = await device(page, 'Dibber');
  const method = await put(page, 'methods', {
    device: d.id,
    name: 'Into the box',
    safety: { abort: 'When the stand lifts.' },
    channels: [
      { key: 'shown', metric: 'shown force', unit: 'N', resolution: 0.1 },
      { key: 'slips', metric: 'slips', unit: '1' },
      { key: 'push', metric: 'push', unit: 'N', formula: 'shown - shown_empty' },
    ],
  });
  await put(page, 'articles', { revision: d.a, serial: 'U-1' });
  await put(page, 'trials', { revision: d.a, method, name: 'Dry' });
  const trials = () => page.goto(`/d/${d.id}/A/try`);
  const read = async (metric: string, text: string) => {
    await page.getByLabel(new RegExp(`^${metric}(?! now)`)).fill(text);
    await press(page, `Keep ${metric}`);
  };

  await trials();
  await press(page, 'Run it empty');
  await expect(sentence(page)).toContainText('Run 1 of Dry');
  await read('shown force', '1.0');
  await press(page, 'Held');
  await expect(sentence(page)).toContainText('held');

  await trials();
  await expect(page.getByText(/Empty, the rig read shown force 1\.0 N once/)).toBeVisible();
  await press(page, 'Start run of Dry');
  await press(page, 'Start the clock');
  await page.getByPlaceholder('What happens again').fill('Slip');
  await press(page, 'Add a marker');
  for (let i = 0; i < 3; ++i) await press(page, 'Slip: mark it');
  await expect(page.getByText(/^Slip: 3 times, .* apart on average, so far\.$/)).toBeVisible();
  // On a phone the bar below lies over whatever is scrolled under it.
  await page.setViewportSize({ width: 1280, height: 800 });
  await isAccessible(page, 'markers', 'shapes');
  await page.setViewportSize({ width: 390, height: 844 });
  await press(page, 'Keep how often as slips');
  await expect(page.getByText('Counted from the marks of “Slip”')).toBeVisible();
  await page.getByLabel('How shown force was read').selectOption('still rising');
  await read('shown force', '41');
  await expect(page.getByText(/Shown force was still rising at 41 N, so at least that/)).toBeVisible();
  await press(page, 'Amend shown force');
  await page.getByLabel('The right value, in N').fill('42.0');
  await page.getByLabel('Why?').fill('It came to rest.');
  await press(page, 'Amend, keep both');
  await expect(page.getByText(/41\.0\d* ± 0\.0\d+ N/)).toBeVisible();

  await step(page, 'Seen');
  await page.getByPlaceholder('Seen, heard or felt').fill('The lever creaks');
  await page.getByLabel(/It is about the method or its rig/).check();
  await press(page, 'Keep observation');
  await expect(page.getByText('The lever creaks').first()).toBeVisible();
  await page.goto(`/d/${d.id}/methods/${method}`);
  await page.getByPlaceholder('What came of it').fill('Greased');
  await press(page, 'Settle it');
  await expect(page.getByText('Greased')).toBeVisible();
});

test('a matrix with a cell left out and a run lost keeps its true counts; its rest is the first plan of the next time', async ({
  page,
}) => {
  await signIn(page);
  const d = await device(page, 'Hinge');
  const words = (name: string, ...levels: string[]) => ({ name, kind: 'words', levels, harder: 'none' });
  const method = await put(page, 'methods', {
    device: d.id,
    name: 'Bend',
    minutes: 5,
    safety: { abort: 'At a crack.' },
    factors: [words('glue', 'hide', 'casein'), words('wood', 'ash', 'beech')],
    questions: [{ metric: 'stays', text: 'Stays together' }],
  });
  await put(page, 'articles', { revision: d.a, serial: 'U-1' });
  const trial = await put(page, 'trials', { revision: d.a, method, name: 'Every joint' });

  await page.goto(`/d/${d.id}/A/try`);
  await press(page, 'Lay out Every joint');
  const slip = page.getByRole('dialog');
  await slip.getByLabel('Repeats of each').fill('1');
  await expect(slip.getByRole('status')).toHaveText('4 runs, about 20 min.');
  await slip.getByRole('button', { name: /^Leave out .*casein.*beech/ }).click();
  await slip.getByLabel(/not tried\?$/).fill('Came apart in the hand');
  await slip.getByRole('button', { name: 'Leave it out' }).click();
  await expect(slip.getByRole('status')).toContainText('3 runs, about 15 min; 1 cell is left out before it is tried.');
  await saveSlip(page, 'Keep this plan');

  await made(page, trial, null, { glue: 'hide', wood: 'ash' }, {});
  await made(page, trial, null, { glue: 'hide', wood: 'beech' }, {}, 'lost');
  await page.reload();
  await expect(
    page.getByText(/1 of 3 runs tried, 1 lost in handling, 1 cell left out before it was tried/),
  ).toBeVisible();

  await press(page, 'Edit Every joint');
  await page.getByRole('dialog').getByLabel('State').selectOption('done');
  await saveSlip(page);
  await press(page, 'Plan the rest of it');
  await expect(page.getByRole('heading', { name: /Every joint, the rest/ })).toBeVisible();
  await expect(page.getByText(/0 of 2 runs tried/)).toBeVisible();
});
