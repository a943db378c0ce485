// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';

import type { Schemas } from '../../api/client';
import { show } from '../../test/screen';
import { of, server } from '../../test/server';
import { runSheet } from '../../test/sheets';
import { RigCheck } from './RigCheck';

const line = (state: Schemas['RigState'], asks: boolean, offered = ''): Schemas['RigRow'] => ({
  name: 'gap',
  state,
  sentence: `The gap is ${state}.`,
  offered,
  asks,
});

function sheetWith(rig: Partial<Schemas['RigView']>, changed: Partial<Schemas['RunSheet']> = {}): Schemas['RunSheet'] {
  const sheet = runSheet();
  return { ...sheet, rig: { ...sheet.rig, ...rig }, offered: [], ...changed };
}

it('asks for what lapsed at its place, and keeps what was found with the moment of the look', async () => {
  const sent = server();
  show(<RigCheck sheet={sheetWith({ sentence: 'Look at gap.', lines: [line('lapsed', true)] })} />);
  await userEvent.type(screen.getByLabelText('The gap is lapsed.'), '1.6');
  await userEvent.click(screen.getByRole('button', { name: 'Found' }));
  await waitFor(() => expect(of(sent, 'PUT', '/api/runs/run-3')).toHaveLength(1));
  const { body } = of(sent, 'PUT', '/api/runs/run-3')[0]!;
  expect(body).toMatchObject({ settings: [{ name: 'gap', text: '1.6' }], outcome: null, version: 2 });
  expect(Date.parse(String(body['foundAt'])), 'It was looked at just now.').toBeGreaterThan(Date.now() - 60_000);
});

it('takes “cannot tell” for an answer', async () => {
  const sent = server();
  show(<RigCheck sheet={sheetWith({ lines: [line('never', true)] })} />);
  await userEvent.click(screen.getByRole('button', { name: 'Cannot tell' }));
  await waitFor(() => expect(of(sent, 'PUT', '/api/runs/')).toHaveLength(1));
  expect(of(sent, 'PUT', '/api/runs/')[0]!.body['settings']).toEqual([{ name: 'gap', text: 'unknown' }]);
});

it('confirms all that stands in one touch, and nothing beside it', async () => {
  const sent = server();
  const offered = [
    { name: 'gap', text: '1.5 mm' },
    { name: 'ground', text: 'wet' },
  ];
  show(<RigCheck sheet={sheetWith({ lines: [line('stands', false, '1.5 mm')] }, { offered, offeredFrom: 2 })} />);
  expect(screen.getByText('As on run 2: ground wet.')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'It is still so' }));
  await waitFor(() => expect(of(sent, 'PUT', '/api/runs/')).toHaveLength(1));
  const { body } = of(sent, 'PUT', '/api/runs/')[0]!;
  expect(body['settings']).toEqual([{ name: 'gap', text: '1.5 mm' }]);
  expect(body['conditions'], 'One of each name.').toEqual([{ name: 'ground', text: 'wet' }]);
});

it('records what happened to the article in one touch', async () => {
  const sent = server();
  show(<RigCheck sheet={sheetWith({ lines: [line('asMeant', false)] })} />);
  await userEvent.click(screen.getByRole('button', { name: /Something happened to/ }));
  await userEvent.click(screen.getByRole('button', { name: 'Dropped' }));
  await waitFor(() => expect(of(sent, 'PUT', '/api/happenings/')).toHaveLength(1));
  expect(of(sent, 'PUT', '/api/happenings/')[0]!.body).toMatchObject({
    article: 'article-1',
    kind: 'dropped',
    note: '',
  });
  expect((await screen.findByRole('status')).textContent).toContain('asked for again');
});
