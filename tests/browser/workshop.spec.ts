import { expect, test } from '@playwright/test';

import { fill, isAccessible, press, saveSlip, sentence, signIn } from './steps';

const DRAWING = Buffer.from(
  '<svg xmlns="http://www.w3.org/2000/svg" width="90" height="60"><script>document.title="x"</script><rect width="40" height="20"/></svg>',
);

const MODEL = Buffer.from(
  'solid a\nfacet normal 0 0 1\nouter loop\nvertex 0 0 0\nvertex 10 0 0\nvertex 0 10 4\nendloop\nendfacet\nendsolid a\n',
);

test('a device that begins with another’s build: parts, files, making, use and what is believed', async ({ page }) => {
  await signIn(page);
  const name = `Pipit ${Date.now()}`;
  await press(page, 'Take over a design');
  await fill(page, {
    'Name of the new device': name,
    'It begins as this build is': 'Rook D',
    'Whose is it?': 'Yusuf Brandt',
    'On which terms?': 'Say whose it was',
    'What is altered from it?': 'Half the size',
  });
  await page.getByRole('dialog').getByRole('button', { name: 'Make device' }).click();
  await expect(page.getByText('Began with Rook D by Yusuf Brandt, on these terms: Say whose it was.')).toBeVisible();

  // Who is around, how it is used, and what is believed.
  await press(page, 'Add a step');
  await fill(page, { 'What is done?': 'Pack it into the bag', 'What for?': 'carry' });
  await saveSlip(page);
  await expect(page.getByText(/One step of use was never tried: Pack it into the bag/)).toBeVisible();
  await press(page, 'Add somebody');
  await fill(page, { Name: 'Odile Ferrant', 'What are they to the device?': 'tester' });
  await saveSlip(page);
  await press(page, 'Add an assumption');
  await fill(page, { 'What is believed?': 'A bag of 40 cm is enough', 'Who believes it?': 'Odile Ferrant' });
  await saveSlip(page);
  await expect(page.getByText('One assumption, 1 not settled.')).toBeVisible();
  await expect(page.getByRole('row', { name: /^Edit Odile Ferrant/ })).toContainText('believes 1 thing');
  await press(page, /^Edit A bag of 40 cm/);
  await press(page, 'Add a finding');
  await fill(page, { 'It speaks': 'against it', 'What was found': 'The vane is 43 cm long' });
  await saveSlip(page);
  await expect(page.getByText('overturned: The vane is 43 cm long')).toBeVisible();
  await isAccessible(page, 'brief with what stands around it');

  // Parts out of a spreadsheet; the parameters came along.
  await page.getByRole('link', { name: 'To build A' }).click();
  await expect(page.getByRole('row', { name: /arm length/ })).toContainText('240 mm');
  await press(page, 'Paste a table');
  await page
    .getByLabel('Cells out of a spreadsheet')
    .fill(
      'Part\tMaterial\tQty\tPrice\tWeight\nTube\tcarbon\t2\t€ 3,50\t40 g\n\tcarbon\t1\t2\nTape\tcloth\t1\t0.10\t2 g',
    );
  await press(page, 'See what it would do');
  await expect(page.getByText('2 parts would be added, 0 would be changed; 1 row is left out.')).toBeVisible();
  await expect(page.getByText(/Row 3 has no name/)).toBeVisible();
  await press(page, 'Take it over');
  await expect(page.getByRole('dialog')).toBeHidden();
  await expect(page.getByText('82 g', { exact: true })).toBeVisible();

  // One of them is there for now; no sum counts it.
  await press(page, /^Edit Tape/);
  await fill(page, { 'Does it stay?': 'for now' });
  await saveSlip(page);
  await expect(page.getByText('Whatever was tried on A rests on Tape, which is there for now only.')).toBeVisible();
  await expect(page.getByText('80 g; one part is there for now and counts in neither')).toBeVisible();

  // A parameter that follows another.
  await press(page, 'Add parameter');
  await fill(page, { Name: 'span', 'Value with unit': 'mm', 'Or worked out as': '2 * arm length' });
  await saveSlip(page);
  await expect(page.getByRole('row', { name: /span/ })).toContainText('480.00 ± 0.58 mm');

  // Files: a drawing that carries a script, and a model that turns.
  await page.getByLabel('Files of the build').setInputFiles([
    { name: 'arm.svg', mimeType: 'image/svg+xml', buffer: DRAWING },
    { name: 'arm.stl', mimeType: 'model/stl', buffer: MODEL },
  ]);
  await expect(page.getByText('2 files are kept.')).toBeVisible();
  await expect(page.getByText(/carries a script. It is shown as a picture, where nothing runs/)).toBeVisible();
  await expect(page.getByRole('img', { name: 'Picture of arm.svg' })).toHaveJSProperty('complete', true);
  await press(page, 'Turn arm.stl');
  await expect(page.getByRole('img', { name: /Model arm.stl/ })).toBeVisible();
  await expect(page.getByText('10 × 10 × 4 in the units of the file (usually mm)')).toBeVisible();
  await page.keyboard.press('Escape');

  // Making, a touch a step; what is made is a run.
  await press(page, 'Add article');
  await fill(page, { Serial: 'P-1' });
  await saveSlip(page);
  await press(page, 'Begin making P-1');
  await page.getByLabel('Another step of P-1').fill('Cut the tubes');
  await press(page, 'Done');
  await expect(page.getByText(/2 steps, \d+ min, right first time so far/)).toBeVisible();
  await press(page, 'P-1 is made');
  await expect(page.getByText(/2 steps, \d+ min, right first time so far; made/)).toBeVisible();

  await press(page, 'Start a clock');
  await expect(page.getByText(/A clock runs since/)).toBeVisible();
  await press(page, 'Stop the clock');
  await expect(page.getByText(/A clock runs since/)).toBeHidden();
  await isAccessible(page, 'build with what stands behind it');

  // Next lists what is there for now, and what nobody knows.
  await page.getByRole('link', { name: /^next/ }).click();
  await expect(sentence(page)).toBeVisible();
  await expect(page.getByText(/One step of use was never tried: Pack it into the bag/)).toBeVisible();
  await press(page, 'Propose to take out Tape');
  await expect(page.getByRole('dialog').getByLabel('What would change?')).toHaveValue('Take out Tape');
  await saveSlip(page);
  await expect(page.getByText('Take out Tape')).toBeVisible();
  await isAccessible(page, 'next with what is there for now');
});
