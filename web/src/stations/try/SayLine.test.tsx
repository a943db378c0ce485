// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';

import { of, refusal, server } from '../../test/server';
import { show } from '../../test/screen';
import { runSheet } from '../../test/sheets';
import { SayLine } from './SayLine';

const SAID = {
  kept: 'o1',
  held: true,
  words: 'held',
  parts: [
    { text: '412 N', unit: 'N', name: 'force', isLevel: false, isKnown: false },
    { text: '60 cm', unit: 'cm', name: 'height', isLevel: true, isKnown: true },
    { text: '3 s', unit: 's', name: 'time', isLevel: false, isKnown: false },
  ],
};
let run = 0;

it('a line is kept as it was said, and its numbers are taken up as they were corrected', async () => {
  const id = `run-said-${++run}`;
  const sent = server({ [`POST /api/runs/${id}/said`]: { body: SAID } });
  show(<SayLine sheet={runSheet({ id })} first="412 N at 60 cm after 3 s, held" />);
  await userEvent.click(screen.getByRole('button', { name: 'Keep line' }));
  const read = await screen.findByRole('region', { name: 'Read as' });
  expect(of(sent, 'POST', `/api/runs/${id}/said`)[0]!.body).toEqual({ text: '412 N at 60 cm after 3 s, held' });
  expect(screen.getByLabelText<HTMLInputElement>('In a line').value).toBe('');
  expect(within(read).getByText(/It says that it held/)).toBeTruthy();
  const items = within(read).getAllByRole('listitem');
  await userEvent.clear(within(items[0]!).getByLabelText('called'));
  await userEvent.type(within(items[0]!).getByLabelText('called'), 'pull');
  await userEvent.selectOptions(within(items[0]!).getByLabelText('and should be'), 'at least');
  await userEvent.type(within(items[0]!).getByLabelText('in N'), '400,5');
  await userEvent.selectOptions(within(items[2]!).getByLabelText('is'), 'nothing more');
  await userEvent.click(within(read).getByRole('button', { name: 'Take up' }));
  await waitFor(() => expect(of(sent, 'POST', `/api/runs/${id}/take-up`)).toHaveLength(1));
  expect(of(sent, 'POST', `/api/runs/${id}/take-up`)[0]!.body).toEqual({
    taken: [
      { text: '412 N', unit: 'N', name: 'pull', isLevel: false, direction: 'atLeast', limit: 400.5, confirmed: '' },
      { text: '60 cm', unit: 'cm', name: 'height', isLevel: true, direction: '', limit: null, confirmed: '' },
    ],
  });
  await waitFor(() => expect(screen.queryByRole('region', { name: 'Read as' })).toBeNull());
});

it('words alone are kept, and nothing is asked of them', async () => {
  const id = `run-said-${++run}`;
  server({ [`POST /api/runs/${id}/said`]: { body: { kept: 'o2', held: null, words: 'It hummed', parts: [] } } });
  show(<SayLine sheet={runSheet({ id })} first="" />);
  expect(screen.getByRole('button', { name: 'Keep line' })).toHaveProperty('disabled', true);
  await userEvent.type(screen.getByLabelText('In a line'), 'It hummed');
  await userEvent.click(screen.getByRole('button', { name: 'Keep line' }));
  expect(await screen.findByText('Kept as it was said')).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Take up' })).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Close' }));
  expect(screen.queryByText('Kept as it was said')).toBeNull();
});

it('asks back what is odd, and takes it up once it is said to be so', async () => {
  const id = `run-said-${++run}`;
  const sent = server({
    [`POST /api/runs/${id}/said`]: { body: { ...SAID, parts: [SAID.parts[0]] } },
    [`POST /api/runs/${id}/take-up`]: refusal(422, 'asks-back', 'Look at it again.', {
      questions: [{ kind: 'outlier', sentence: 'All before were near 4 N.' }],
    }),
  });
  show(<SayLine sheet={runSheet({ id })} first="412 N" />);
  await userEvent.click(screen.getByRole('button', { name: 'Keep line' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Take up' }));
  expect((await screen.findByRole('alert')).textContent).toBe('All before were near 4 N.');
  await userEvent.click(screen.getByRole('button', { name: 'It is so; take up' }));
  await waitFor(() => expect(of(sent, 'POST', `/api/runs/${id}/take-up`)).toHaveLength(2));
  expect(of(sent, 'POST', `/api/runs/${id}/take-up`)[1]!.body).toMatchObject({
    taken: [{ name: 'force', confirmed: 'All before were near 4 N.' }],
  });
});
