import { expect, test } from '@playwright/test';

import { device, fill, isAccessible, press, put, saveSlip, sentence, signIn } from './steps';

test('a method is written line by line and read like an instruction; what is missing is said', async ({ page }) => {
  await signIn(page);
  const d = await device(page, 'Written');
  await page.goto(`/d/${d.id}/methods`);
  await press(page, 'Add an instrument');
  const instrument = `Cell ${Date.now()}`;
  await fill(page, {
    'What do you call it?': instrument,
    'Unit that it shows': 'N',
    'Its smallest step': '1',
    'Its lag (time constant)': '0.5 s',
  });
  await saveSlip(page, 'Save');

  await press(page, 'New method');
  await fill(page, { Name: 'Hit it', 'What does it find out?': 'How hard it strikes' });
  await page.getByRole('dialog').getByRole('button', { name: 'Write it' }).click();
  await expect(sentence(page)).toContainText('Hit it cannot be started: it does not say when to stop.');
  await expect(sentence(page)).toContainText('what is read or asked');

  await press(page, 'Read something');
  await fill(page, {
    'What?': 'blow',
    'Short name': 'blow',
    'Unit that the instrument shows': 'N',
    Instrument: instrument,
    'The event lasts': '0.3 s',
  });
  await saveSlip(page);
  await expect(page.getByText(/does not fit. It reaches 45 % of a step within the event/).first()).toBeVisible();

  await press(page, 'Change: Mind');
  await fill(page, { Hazards: 'flying parts', 'When to stop at once': 'When anybody comes near.' });
  await saveSlip(page);
  await expect(sentence(page)).toContainText('Hit it: nobody ran it yet.');
  await isAccessible(page, 'a method');

  // A wrong line is said where it stands; what was typed is kept.
  await press(page, 'Add a quantity of the fixture');
  await fill(page, { 'Short name': 'blow', 'It is': '4' });
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('A channel or another constant has this short name.').first()).toBeVisible();
  await fill(page, { 'Short name': 'ratio' });
  await saveSlip(page);
  await expect(page.getByRole('button', { name: /ratio = 4/ })).toBeVisible();
  await page.goto(`/d/${d.id}/methods`);
  await expect(page.getByRole('link', { name: 'Hit it' })).toBeVisible();
  await isAccessible(page, 'the library');
});

test('a ladder is laid out and run to its end on a phone, each run in one touch and one more', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page);
  const d = await device(page, 'Climbed');
  const height = {
    name: 'height',
    kind: 'number',
    unit: 'cm',
    levels: ['20 cm', '40 cm', '60 cm'],
    harder: 'more',
    climbs: true,
  };
  const method = await put(page, 'methods', {
    device: d.id,
    name: 'Drop',
    minutes: 5,
    safety: { hazards: ['falling load'], cautions: [], abort: 'When anybody comes near.', needsSignOff: false },
    factors: [height],
    questions: [{ metric: 'opens', text: 'The latch opens' }],
  });
  await put(page, 'articles', { revision: d.a, serial: 'U-1' });
  const trial = await put(page, 'trials', { revision: d.a, method, name: 'Ladder' });
  const runs = () => page.goto(`/d/${d.id}/A/try`);

  await runs();
  await press(page, 'Lay out Ladder');
  const slip = page.getByRole('dialog');
  await expect(slip.getByRole('status')).toHaveText('9 runs, about 45 min.');
  await slip.getByLabel('Repeats of each').fill('1');
  await expect(slip.getByRole('status')).toHaveText('3 runs, about 15 min.');
  await expect(slip.getByText(/one run that holds on a side could still fail up to 95 % of the time/)).toBeVisible();
  await slip.getByLabel('Levels of height, one a line').fill('20 cm\n200 mm\n60 cm');
  await expect(slip.getByText('“20 cm” and “200 mm” are one level of height.')).toBeVisible();
  await slip.getByLabel('Levels of height, one a line').fill('60 cm\n20 cm\n40 cm');
  await expect(slip.getByRole('status')).toHaveText('3 runs, about 15 min.');
  await isAccessible(page, 'the plan');
  await saveSlip(page, 'Keep this plan');

  // Out of its turn it waits, and a name and a reason are asked for at that very place.
  await expect(page.getByText('0 of 3 runs tried; 15 min to go.')).toBeVisible();
  await press(page, 'Another run, beside the plan');
  await page.getByLabel('height').first().fill('60 cm');
  await press(page, 'Start run of Ladder');
  await expect(page.getByText(/Height 40 cm|at height 40 cm or harder must have held/).first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Go ahead' })).toBeDisabled();

  for (const level of ['20 cm', '40 cm', '60 cm']) {
    await runs();
    await press(page, new RegExp(`^Start run \\d: ${level}, U-1$`));
    await expect(sentence(page)).toContainText('of Ladder');
    if (level === '60 cm') {
      await press(page, 'Lost in handling');
      await page.getByLabel('How was it lost?').fill('The line slipped');
      await press(page, /Keep: lost in handling/);
    } else {
      await press(page, 'Held');
    }
    await expect(sentence(page)).toContainText(level === '60 cm' ? 'lost' : 'held');
  }
  // What was lost leaves its place open, and is counted.
  await runs();
  await expect(page.getByText('2 of 3 runs tried, 1 lost in handling; 5 min to go.')).toBeVisible();
  await press(page, 'Start run 3: 60 cm, U-1');
  await expect(sentence(page)).toContainText('Run 4 of Ladder');
  await press(page, 'Held');
  await expect(sentence(page)).toContainText('held');
  await runs();
  await expect(page.getByText('3 of 3 runs tried, 1 lost in handling: it is done.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Start run \d/ })).toHaveCount(0);
  await isAccessible(page, 'the planned trial');
  expect(trial).not.toBe('');
});

test('an unsafe start is blocked, signed off on the spot in the order that the method asks for', async ({ page }) => {
  await signIn(page);
  const d = await device(page, 'Signed');
  const method = await put(page, 'methods', {
    device: d.id,
    name: 'Fly',
    safety: {
      hazards: ['person under it'],
      cautions: [],
      abort: '',
      needsSignOff: true,
      agreedBy: ['the landowner', 'the pilot'],
    },
  });
  await put(page, 'trials', { revision: d.a, method, name: 'Flight' });
  await page.goto(`/d/${d.id}/A/try`);
  await press(page, 'Start run of Flight');
  await page.getByLabel('Who agreed? (the landowner)').fill('Odile');
  await press(page, 'Record it and start');
  await page.getByLabel('Who agreed? (the pilot)').fill('Bram');
  await press(page, 'Record it and start');
  await expect(page.getByText(/does not say when to stop/).first()).toBeVisible();
  await page.getByLabel('Who starts it without?').fill('Maren Okafor');
  await page.getByLabel('Why?').fill('Paper model, nobody near');
  await press(page, 'Start without limits');
  await expect(sentence(page)).toContainText('Run 1 of Flight');
});

test('a setting is found from its ends to the middle, each try ended in one touch', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page);
  const d = await device(page, 'Gapped');
  const gap = { name: 'gap', unit: 'mm', low: 1, high: 3, step: 1, more: 'lets two through', way: 'clockwise' };
  const method = await put(page, 'methods', {
    device: d.id,
    name: 'By eye',
    safety: { hazards: [], cautions: [], abort: 'When it jams.', needsSignOff: false },
    settings: [gap],
  });
  await put(page, 'articles', { revision: d.a, serial: 'U-1' });
  await put(page, 'trials', { revision: d.a, method, name: 'Which gap', plannedRuns: 0 });
  const runs = () => page.goto(`/d/${d.id}/A/try`);

  await runs();
  await press(page, 'Lay out Which gap');
  await fill(page, { 'The runs go': 'to find a setting: its ends, then the middle' });
  // What a plan comes to is asked for while it is typed, and moves the button: a touch that misses it is made again.
  await expect(async () => {
    await page.getByRole('dialog').getByRole('button', { name: 'Keep this plan' }).click();
    await expect(
      page.getByText(/Which setting of the method\? It has to say from where to where/).first(),
    ).toBeVisible();
  }).toPass();
  await fill(page, { 'Which setting?': 'gap' });
  await saveSlip(page, 'Keep this plan');

  await press(page, 'Set it and start run 1: gap 1 mm, U-1');
  await expect(page.getByText('More lets two through: clockwise.').first()).toBeVisible();
  await press(page, 'Too low');
  await expect(sentence(page)).toContainText('held');
  await runs();
  await press(page, 'Set it and start run 2: gap 3 mm, U-1');
  await press(page, 'Too high');
  await expect(sentence(page)).toContainText('held');
  await runs();
  await expect(page.getByText('gap: too low at 1 mm, too high at 3 mm; try 2 mm next, the middle.')).toBeVisible();
  await press(page, 'Set it and start run 3: gap 2 mm, U-1');
  await press(page, 'Too low');
  await expect(sentence(page)).toContainText('held');
  await runs();
  await expect(page.getByText(/no setting between: none of them is good/)).toBeVisible();
  await isAccessible(page, 'a setting that is being found');
  await press(page, /^Propose: Widen gap beyond 1 to 3 mm/);
  await expect(page.getByText('It waits on Next.')).toBeVisible();
});
