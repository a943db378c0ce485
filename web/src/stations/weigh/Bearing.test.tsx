// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';

import { show } from '../../test/screen';
import { of, refusal, server } from '../../test/server';
import { Bearing } from './Bearing';

const BELT = { revision: 'b', what: 'part:belt', name: 'belt', touch: 'Belt bears on nothing of force' };
const SAID = { id: 'u1', sentence: 'The firmware of B bears on nothing of force, says Ines.' };

it('says in one touch that a difference bears on nothing; pressed again it is the same', async () => {
  const sent = server({ 'PUT /api/unrelated/': [refusal(422, 'invalid', 'Not now.'), {}] });
  show(<Bearing bearing={{ bear: [BELT], said: [] }} metric="force" write />);
  const touch = screen.getByRole('button', { name: 'Belt bears on nothing of force', hidden: true });
  await userEvent.click(screen.getByText('One difference bears on it until somebody says otherwise'));
  await userEvent.click(touch);
  expect((await screen.findByRole('alert')).textContent).toContain('Not now.');
  await userEvent.click(touch);
  await waitFor(() => expect(of(sent, 'PUT', '/api/unrelated/')).toHaveLength(2));
  const [first, second] = of(sent, 'PUT', '/api/unrelated/');
  expect(second!.url).toBe(first!.url);
  expect(second!.body).toEqual({ revision: 'b', metric: 'force', difference: 'part:belt' });
});

it('keeps what was said in sight, and takes it back', async () => {
  const sent = server();
  const next = show(<Bearing bearing={{ bear: [BELT], said: [SAID] }} metric="force" write={false} />);
  expect(screen.getByText(/says Ines/)).toBeTruthy();
  expect(screen.queryByRole('button', { hidden: true })).toBeNull();
  next(<Bearing bearing={{ bear: [], said: [SAID] }} metric="force" write />);
  await userEvent.click(screen.getByRole('button', { name: 'Take that back' }));
  await waitFor(() => expect(of(sent, 'POST', '/api/unrelated/u1/withdraw')).toHaveLength(1));
});
