// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it, vi } from 'vitest';

import type { Schemas } from '../../api/client';
import { show } from '../../test/screen';
import { of, refusal, server } from '../../test/server';
import { FailureList } from './FailureList';

const row = (standing: Schemas['Standing'], closedByHand: string | null = null): Schemas['FailureRow'] => ({
  failure: {
    id: 'f1',
    version: 1,
    revision: 'r',
    run: null,
    article: null,
    mode: 'Arm tore',
    place: '',
    consequence: 'major',
    stage: '',
    note: '',
    levels: [],
    method: null,
    question: '',
    consequenceOf: null,
    feared: false,
    guard: '',
    by: 'Ines',
    at: '2026-06-01T10:00:00Z',
  },
  serial: '',
  runLabel: null,
  causes: [],
  standing,
  sentence: 'So it stands.',
  candidates: [],
  level: '',
  outside: [],
  closedByHand,
});

it('lets somebody close what is open in words, and nothing else', async () => {
  const edit = vi.fn();
  const next = show(<FailureList rows={[row('holding')]} revision="r" write edit={edit} />);
  await userEvent.click(screen.getByRole('button', { name: 'Close Arm tore in words' }));
  expect(edit.mock.calls[0]![0]).toMatchObject({ kind: 'closing', editing: { record: { failure: 'f1' } } });
  for (const standing of ['closed', 'putRight', 'feared', 'setAside'] as const) {
    next(<FailureList rows={[row(standing)]} revision="r" write edit={edit} />);
    expect(screen.queryByRole('button', { name: /in words/ })).toBeNull();
  }
  next(<FailureList rows={[row('holding')]} revision="r" write={false} edit={edit} />);
  expect(screen.queryByRole('button')).toBeNull();
});

it('takes it back, and says where that was refused', async () => {
  const sent = server({ 'POST /api/closings/': [refusal(422, 'invalid', 'Not now.'), {}] });
  show(<FailureList rows={[row('byHand', 'c1')]} revision="r" write edit={vi.fn()} />);
  expect(screen.getByText('closed in words')).toBeTruthy();
  const back = screen.getByRole('button', { name: 'Take back that Arm tore is closed' });
  await userEvent.click(back);
  expect((await screen.findByRole('alert')).textContent).toContain('Not now.');
  await userEvent.click(back);
  await waitFor(() => expect(of(sent, 'POST', '/api/closings/c1/withdraw')).toHaveLength(2));
});
