import { expect, test, type Page } from '@playwright/test';

import { device, fill, made, press, put, saveSlip, sentence, signIn } from './steps';

const SAFE = { hazards: [], cautions: [], abort: 'When it hurts.', needsSignOff: false };

async function go(page: Page, id: string, letter: string, station: string): Promise<void> {
  await page.goto(`/d/${id}/${encodeURIComponent(letter)}/${station}`);
  await expect(sentence(page)).toBeVisible();
}

/** Starts a run of the one trial on screen at a level, and ends it. */
async function tryAt(page: Page, trial: string, level: string, held: boolean): Promise<void> {
  await page.getByLabel('height').first().fill(level);
  await press(page, `Start run of ${trial}`);
  await expect(sentence(page)).toContainText(`of ${trial}`);
  if (held) {
    await press(page, 'Held');
    await expect(sentence(page)).toContainText('held');
  } else {
    await press(page, 'Failed');
    await page.getByLabel('What failed, in a few words?').fill('The arm bent');
    await page.getByLabel('Mode').fill('Arm bent');
    await press(page, /Keep: failed/);
    await expect(sentence(page)).toContainText('failed');
  }
}

test('a paired trial of two materials: a mean of all would have told nothing, the raters tell', async ({ page }) => {
  await signIn(page);
  const d = await device(page, 'Paired');
  const method = await put(page, 'methods', {
    device: d.id,
    name: 'Panel',
    safety: SAFE,
    channels: [{ key: 'grip', metric: 'grip', unit: '%' }],
    factors: [{ name: 'rater', role: 'block', kind: 'words' }],
  });
  const b = await put(page, 'revisions', { device: d.id, letter: 'B', parent: d.a, state: 'built' });
  await put(page, 'changes', {
    revision: b,
    what: 'Cork in place of foam',
    class: 'material',
    effects: [{ metric: 'grip', unit: '%', low: 3, likely: 5, high: 7 }],
  });
  const raters: Record<string, number> = { Ada: 21, Bo: 84, Cy: 47, Di: 66, Eve: 33 };
  for (const [build, more] of [
    [d.a, 0],
    [b, 5],
  ] as const) {
    const article = await put(page, 'articles', { revision: build, serial: more === 0 ? 'U-1' : 'U-2' });
    const trial = await put(page, 'trials', { revision: build, method, name: 'Panel' });
    for (const [i, [rater, base]] of Object.entries(raters).entries()) {
      if (more > 0 && rater === 'Eve') continue;
      await made(page, trial, article, { rater }, { grip: `${base + more + (more > 0 ? (i % 3) * 0.5 : 0)} %` });
    }
  }
  // The last one on screen.
  await go(page, d.id, 'B', 'try');
  await page.getByLabel('rater').fill('Eve');
  await press(page, 'Start run of Panel');
  await page.getByLabel(/^grip/).fill('38.5');
  await press(page, 'Keep grip');
  await expect(page.getByText('38.5 %').first()).toBeVisible();
  await press(page, 'Held');
  await expect(sentence(page)).toContainText('held');

  await go(page, d.id, 'B', 'build');
  await expect(page.getByRole('row', { name: /Cork in place of foam/ })).toContainText('fixed');
  await go(page, d.id, 'B', 'weigh');
  await expect(page.getByRole('region', { name: 'grip', exact: true })).toContainText('pair by pair');
  // What pairs the runs is no contestant.
  await expect(page.getByRole('region', { name: 'grip by rater' })).toHaveCount(0);
});

test('a failure is not closed by something milder, and is by the same height', async ({ page }) => {
  await signIn(page);
  const d = await device(page, 'Ladder');
  const method = await put(page, 'methods', {
    device: d.id,
    name: 'Drop',
    safety: SAFE,
    factors: [{ name: 'height', kind: 'number', unit: 'cm', harder: 'more' }],
    questions: [{ key: 'whole', metric: 'stays whole', text: 'Stayed whole' }],
    wears: false,
  });
  const first = await put(page, 'articles', { revision: d.a, serial: 'U-1' });
  await put(page, 'trials', { revision: d.a, method, name: 'Drops of A' });
  await go(page, d.id, 'A', 'try');
  await page.getByLabel('Article').selectOption({ label: 'U-1' });
  await tryAt(page, 'Drops of A', '60 cm', false);
  await go(page, d.id, 'A', 'find');
  await expect(page.getByText('Open: no later build carries a fix.')).toBeVisible();
  expect(first).not.toBe('');

  const b = await put(page, 'revisions', { device: d.id, letter: 'B', parent: d.a, state: 'built' });
  await put(page, 'articles', { revision: b, serial: 'U-2' });
  await put(page, 'trials', { revision: b, method, name: 'Drops of B' });
  await go(page, d.id, 'B', 'build');
  await press(page, 'Add change');
  await fill(page, { 'What changes?': 'Thicker arm' });
  await page
    .getByRole('dialog')
    .getByLabel(/Arm bent/)
    .check();
  await saveSlip(page);

  await go(page, d.id, 'B', 'try');
  await page.getByLabel('Article').selectOption({ label: 'U-2' });
  await tryAt(page, 'Drops of B', '40 cm', true);
  for (let i = 0; i < 3; i++) {
    await go(page, d.id, 'B', 'try');
    await tryAt(page, 'Drops of B', '40 cm', true);
  }
  await go(page, d.id, 'A', 'find');
  await expect(page.getByText(/Held only at something milder \(40 cm, not 60 cm\)/)).toBeVisible();

  for (let i = 0; i < 5; i++) {
    await go(page, d.id, 'B', 'try');
    await tryAt(page, 'Drops of B', '60 cm', true);
  }
  await go(page, d.id, 'A', 'find');
  await expect(page.getByText(/Closed by B, with “Thicker arm”: held 5 times at 60 cm/)).toBeVisible();
});

test('arms with a loss: the chosen one goes into the next build', async ({ page }) => {
  await signIn(page);
  const d = await device(page, 'Armed');
  await put(page, 'parameters', { revision: d.a, name: 'edge', text: 'plain' });
  await go(page, d.id, 'A', 'build');
  await press(page, 'Edit build');
  await fill(page, {
    'Variants inside this build': 'wave: edge = wave\nplain: edge = plain\nsaw: edge = saw | Cuts the glove',
  });
  await saveSlip(page);
  await expect(sentence(page)).toContainText(
    'It has 3 variants: 0 made, 0 tried, 1 taken out before; none is chosen yet.',
  );

  const method = await put(page, 'methods', {
    device: d.id,
    name: 'Pull',
    safety: SAFE,
    channels: [{ key: 'pull', metric: 'pull', unit: 'N' }],
    factors: [{ name: 'bed', role: 'block', kind: 'words' }],
  });
  await put(page, 'requirements', {
    device: d.id,
    statement: 'Easy',
    metric: 'pull',
    unit: 'N',
    limit: 50,
    direction: 'atMost',
  });
  const trial = await put(page, 'trials', { revision: d.a, method, name: 'Beds' });
  for (const [arm, less] of [
    ['wave', 6],
    ['plain', 0],
  ] as const) {
    const article = await put(page, 'articles', { revision: d.a, serial: `U-${arm}`, arm });
    for (const [bed, base] of [
      ['one', 30],
      ['two', 44],
      ['three', 37],
      ['four', 60],
    ] as const) {
      const isLost = arm === 'plain' && bed === 'four';
      await made(
        page,
        trial,
        article,
        { bed },
        isLost ? {} : { pull: `${base - less + (bed === 'two' && arm === 'wave' ? 0.4 : 0)} N` },
        isLost ? 'lost' : 'held',
      );
    }
  }
  await go(page, d.id, 'A', 'weigh');
  await expect(sentence(page)).toContainText('No variant of A is chosen yet');
  await expect(page.getByRole('region', { name: 'pull by variant' })).toContainText('wave leads');

  await go(page, d.id, 'A', 'build');
  await expect(page.getByRole('row', { name: /^plain/ })).toContainText('1 lost in handling');
  await press(page, 'Edit build');
  await fill(page, { 'The variant that was chosen': 'wave' });
  await saveSlip(page);
  await expect(sentence(page)).toContainText('“wave” was chosen');
  await go(page, d.id, 'A', 'weigh');
  await expect(sentence(page)).toContainText('Build A, as “wave”,');

  await put(page, 'revisions', { device: d.id, letter: 'B', parent: d.a });
  await go(page, d.id, 'B', 'build');
  await expect(page.getByRole('row', { name: /^Edit edge/ })).toContainText('wave');
});

test('a set-up fault is set aside, and back when it was none', async ({ page }) => {
  await signIn(page);
  const d = await device(page, 'Aside');
  const method = await put(page, 'methods', {
    device: d.id,
    name: 'Hold',
    safety: SAFE,
    questions: [{ key: 'holds', metric: 'holds', text: 'Held a minute' }],
  });
  const article = await put(page, 'articles', { revision: d.a, serial: 'U-1' });
  const trial = await put(page, 'trials', { revision: d.a, method, name: 'Holds' });
  const run = await made(page, trial, article, {}, {}, 'failed');
  await put(page, 'failures', { revision: d.a, run, mode: 'Slipped', consequence: 'minor', question: 'holds' });

  await go(page, d.id, 'A', 'find');
  await press(page, 'Suspect a cause of Slipped');
  await fill(page, {
    'What is suspected?': 'Clamp not closed',
    'Where does it lie?': 'set-up',
    'How does it stand?': 'confirmed',
    'Findings for and against': 'The clamp stood open on the film.',
  });
  await saveSlip(page);
  await expect(page.getByText('Set aside: its cause lies in how it was made', { exact: false })).toBeVisible();
  await page.goto(`/d/${d.id}/A/try/run/${run}`);
  await expect(page.getByText('Set aside: Clamp not closed', { exact: false })).toBeVisible();

  await press(page, 'Take it back in');
  await expect(page.getByText(/It counts for the design/)).toBeVisible();
  await go(page, d.id, 'A', 'find');
  await expect(page.getByText('Open: no later build carries a fix', { exact: false })).toBeVisible();
});

test('an article is reworked into the next build, and its past goes along', async ({ page }) => {
  await signIn(page);
  const d = await device(page, 'Reworked');
  const method = await put(page, 'methods', {
    device: d.id,
    name: 'Push',
    safety: SAFE,
    channels: [{ key: 'push', metric: 'push', unit: 'N' }],
  });
  const article = await put(page, 'articles', { revision: d.a, serial: 'U-1' });
  const trial = await put(page, 'trials', { revision: d.a, method, name: 'Pushes' });
  for (const text of ['40 N', '41 N', '42 N']) await made(page, trial, article, {}, { push: text });
  await put(page, 'revisions', { device: d.id, letter: 'B', parent: d.a, state: 'built' });

  await go(page, d.id, 'A', 'build');
  await press(page, /^Edit U-1/);
  await fill(page, { 'Of build': 'B' });
  await saveSlip(page);
  await expect(page.getByRole('row', { name: /U-1/ })).toContainText('reworked, now of B');
  await go(page, d.id, 'B', 'build');
  await expect(page.getByRole('row', { name: /U-1/ })).toContainText('3 runs');
  await go(page, d.id, 'A', 'weigh');
  await page.goto(`/d/${d.id}/A/try`);
  await expect(page.getByText('push 41 N', { exact: false })).toBeVisible();

  // Something is changed on it between two runs, and taken back again.
  const later = await put(page, 'trials', {
    revision: await page.evaluate(async (id) => {
      const frame = (await (await fetch(`/api/devices/${id}/frame`)).json()) as {
        spine: { revision: { id: string; letter: string } }[];
      };
      return frame.spine.find((t) => t.revision.letter === 'B')!.revision.id;
    }, d.id),
    method,
    name: 'Again',
  });
  expect(later).not.toBe('');
  await go(page, d.id, 'B', 'try');
  await page.getByLabel('Article').selectOption({ label: 'U-1' });
  await press(page, 'I changed something');
  await press(page, 'Field by field');
  await fill(page, { 'What did you change?': 'gap', 'What is it now?': '1.2 mm' });
  await saveSlip(page, 'Keep: later runs are made with it');
  await expect(page.getByRole('list', { name: 'U-1 is otherwise' })).toContainText('gap 1.2 mm');
  await press(page, 'Take back gap');
  await expect(page.getByRole('list', { name: 'U-1 is otherwise' })).toBeHidden();
});
