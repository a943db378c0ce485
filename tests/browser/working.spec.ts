import { expect, test } from '@playwright/test';

import { device, isAccessible, press, put, sentence, signIn } from './steps';

test('a sum is found by the words of the job, solved for a thickness, kept as a forecast, and scored by a run', async ({
  page,
}) => {
  await signIn(page);
  const d = await device(page, 'Strip');
  const thick = await put(page, 'parameters', { revision: d.a, name: 'strip', text: '5 mm' });
  await put(page, 'articles', { revision: d.a, serial: 'U-1' });
  const method = await put(page, 'methods', {
    device: d.id,
    name: 'Bend it',
    safety: { abort: 'When it creeps.' },
    channels: [{ key: 'ratio', metric: 'stiffness', unit: '1' }],
  });
  const trial = await put(page, 'trials', { revision: d.a, method, name: 'Bending' });
  const run = await put(page, 'runs', { trial, article: null });
  await put(page, 'candidates', { revision: d.a, what: 'Thicker strip' });
  await put(page, 'requirements', {
    device: d.id,
    statement: 'Twice as stiff',
    metric: 'stiffness',
    unit: '1',
    limit: 2,
    direction: 'atLeast',
    kind: 'mean',
    place: 1,
  });

  await page.goto(`/d/${d.id}/A/next`);
  await page.getByRole('link', { name: 'Work out what Thicker strip does' }).click();
  await expect(sentence(page)).toHaveText('28 sums of the bench. None is kept on this device.');
  // What it is worked out for is known, and the words of the candidate are looked for first.
  await expect(page.getByText('For the candidate Thicker strip:')).toBeVisible();
  await expect(page.getByRole('searchbox')).toHaveValue('Thicker strip');
  await page.getByRole('searchbox').fill('how thick');
  await press(page, 'Section of a strip');
  await page.getByLabel(/^Width/).fill('40');
  await expect(
    page.getByLabel('Take Thickness from').getByRole('option'),
    'What is no length is not offered.',
  ).toHaveText(['typed', 'strip: 5 mm']);
  await page.getByLabel('Take Thickness from').selectOption({ label: 'strip: 5 mm' });
  await page.getByLabel(/^Other thickness/).fill('5 N');
  await expect(page.getByText('N measures force, but length is wanted here (as in mm).')).toBeVisible();
  await page.getByLabel(/^Other thickness/).fill('5 ± 0.1');
  await page.getByRole('radio', { name: /Stiffness/ }).check();
  await expect(sentence(page)).toHaveText(
    'Stiffness, of what it was: 1.000 ± 0.060. Its uncertainty comes from other thickness (100 %).',
  );

  // What thickness makes it twice as stiff? The limit is the requirement’s.
  await page.getByRole('combobox', { name: 'Over' }).selectOption('Other thickness');
  await page.getByRole('combobox', { name: 'or as required' }).selectOption({ label: '2: Twice as stiff' });
  await expect(sentence(page)).toContainText('With other thickness 6.300 mm it comes to 2.000.');
  await expect(page.getByRole('img', { name: /over Other thickness, mm/ })).toBeVisible();
  await isAccessible(page, 'a sum');
  await press(page, 'Put 6.000 mm in');
  await expect(page.getByLabel(/^Other thickness/)).toHaveValue('6.000 mm');
  await page.getByLabel(/^Other thickness/).fill('6 mm ± 0.1');
  await expect(page.getByLabel('What is it for?')).toHaveValue('Thicker strip');
  await page.getByLabel('What is it for?').fill('How much a 6 mm strip brings');
  await page.getByLabel('As a forecast of').selectOption({ label: 'Bending, run 1: stiffness' });
  await press(page, 'Keep 1.728 ± 0.086');

  // Kept, it can be put to what the candidate is expected to do, and follows the parameter.
  await expect(page.getByText('Forecast of Bending, run 1: not read yet.')).toBeVisible();
  await press(page, 'Put 1.728 ± 0.086 to Thicker strip: stiffness');
  await expect(page.getByText('Thicker strip: stiffness: it is there now.')).toBeVisible();
  await page.getByRole('link', { name: 'Back to Next' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Thicker strip' }).first()).toContainText('stiffness');

  await page.goto(`/d/${d.id}/A/try/run/${run}`);
  await expect(page.getByText(/Worked out for stiffness: 1.728 ± 0.086/)).toBeVisible();
  await page.getByLabel(/^stiffness/).fill('1.6');
  await press(page, 'Keep stiffness');
  await expect(
    page.getByText(
      /It read 1\.600; 1\.728 ± 0\.086 was worked out before\. Inside its interval \[1\.559, 1\.897\], 0.76 half-widths below the middle\./,
    ),
  ).toBeVisible();

  await put(page, 'parameters', { revision: d.a, name: 'strip', text: '4 mm', version: 1 }, thick);
  await page.goto(`/d/${d.id}/workings`);
  await expect(sentence(page)).toContainText(
    'what it rests on has changed. The forecast that was read lies inside its interval.',
  );
  await expect(page.getByText(/Since then: Thickness 4 mm, was 5 mm\. Now it comes to 3\.38 ± 0\.17\./)).toBeVisible();
  // Nothing is offered that would be refused.
  await expect(page.getByRole('button', { name: 'Keep the new answer beside the old' })).toHaveCount(0);
  await expect(page.getByText('Its run was read: the forecast stays as it was said before.')).toBeVisible();

  // Lines rather than fields: what runs out first stands first.
  await page.getByRole('searchbox').fill('enough current');
  await press(page, 'Resource budget');
  await page.getByLabel('There is').fill('pins 20\ncurrent 500 mA');
  await page.getByLabel('It is taken by').fill('2 × driver: pins 3; current 0.3 A\ngate: heat 3 W');
  await expect(page.getByText('gate: Nothing is said of how much “heat” there is.')).toBeVisible();
  await page.getByLabel('It is taken by').fill('2 × driver: pins 3; current 0.3 A\ngate: pins 1');
  await expect(sentence(page)).toHaveText('Current: more is taken than there is, 600 mA of 500 mA; left: −100 mA.');
  await expect(page.getByText('left = 500 mA − 2 × 0.3 A (driver)')).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  await isAccessible(page, 'workings at 390', 'shapes');
});
