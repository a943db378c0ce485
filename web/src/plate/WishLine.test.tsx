// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it, vi } from 'vitest';

import { of, refusal, server } from '../test/server';
import { show } from '../test/screen';
import { WishLine } from './WishLine';

const WISH = {
  statement: 'Holds 400 N on every one',
  metric: 'bracket load',
  direction: 'atLeast',
  limit: 400,
  unit: 'N',
  kind: 'every',
  conditions: ['soil=dry'],
  read: 'bracket load on every article: at least 400 N, soil dry.',
  asks: [],
  takes: '29 articles without a failure show 90 %.',
};

async function type(device: string, text: string, correct = vi.fn()) {
  show(<WishLine device={device} place={3} correct={correct} />);
  await userEvent.type(screen.getByLabelText('What must it do, in a sentence?'), text);
  await userEvent.click(screen.getByRole('button', { name: 'Read it' }));
  return correct;
}

it('what was read is shown, and kept in one touch', async () => {
  const sent = server({ 'POST /api/devices/d1/wish': { body: WISH } });
  await type('d1', 'holds 400 N on every one');
  expect(await screen.findByText(/bracket load on every article/)).toBeTruthy();
  expect(screen.getByText(/29 articles/)).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Keep it so' }));
  await waitFor(() => expect(of(sent, 'PUT', '/api/requirements/')).toHaveLength(1));
  expect(of(sent, 'PUT', '/api/requirements/')[0]!.body).toMatchObject({
    device: 'd1',
    place: 3,
    metric: 'bracket load',
    kind: 'every',
    limit: 400,
    conditions: ['soil=dry'],
  });
  await waitFor(() => expect(screen.queryByRole('region', { name: 'Read as' })).toBeNull());
  expect(screen.getByLabelText<HTMLInputElement>('What must it do, in a sentence?').value).toBe('');
});

it('what is not said is asked for, and nothing is made up', async () => {
  server({
    'POST /api/devices/d2/wish': { body: { ...WISH, direction: null, asks: ['At least, or at most?'] } },
  });
  const correct = await type('d2', 'bracket load 400 N');
  expect(await screen.findByText('At least, or at most?')).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Keep it so' })).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Pick what is missing' }));
  expect(correct).toHaveBeenCalledWith(
    expect.objectContaining({ metric: 'bracket load', limit: 400, conditions: ['soil=dry'] }),
  );
});

it('a sentence that says nothing keeps its words', async () => {
  server({
    'POST /api/devices/d3/wish': {
      body: {
        ...WISH,
        statement: 'Nice',
        metric: '',
        direction: null,
        limit: null,
        read: '',
        asks: ['It names no limit.'],
        takes: '',
      },
    },
  });
  const correct = await type('d3', 'nice');
  await userEvent.click(await screen.findByRole('button', { name: 'Pick what is missing' }));
  expect(correct).toHaveBeenCalledWith(expect.objectContaining({ statement: 'Nice', metric: '', limit: null }));
});

it('without a connection the sentence stays', async () => {
  server({ 'POST /api/devices/d4/wish': refusal(503, 'offline', 'There is no connection just now.') });
  await type('d4', 'holds 400 N');
  expect((await screen.findByRole('alert')).textContent).toContain('no connection');
  expect(screen.getByLabelText<HTMLInputElement>('What must it do, in a sentence?').value).toBe('holds 400 N');
});
