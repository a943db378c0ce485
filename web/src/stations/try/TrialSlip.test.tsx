// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';

import type { Schemas } from '../../api/client';
import { of, server } from '../../test/server';
import { show } from '../../test/screen';
import { runSheet } from '../../test/sheets';
import { TrialSlip } from './TrialSlip';

const channel = (key: string, formula = '') => ({ key, formula }) as Schemas['MethodView']['channels'][number];
const sheet = {
  revision: { id: 'build-1' },
  methods: [
    {
      id: 'method-1',
      name: 'Drop',
      channels: [channel('force'), channel('time'), channel('work', 'force*time')],
      safety: { agreedBy: ['the landowner', 'the safety officer'] },
    },
    { id: 'method-2', name: 'Push', channels: [channel('push')], safety: { agreedBy: [] as string[] } },
  ],
} as Schemas['TrySheet'];

it('a new trial can go on until a mean is known', async () => {
  const sent = server();
  show(<TrialSlip id="trial-new" trial={null} sheet={sheet} onClose={() => undefined} />);
  await userEvent.type(screen.getByLabelText('Name'), 'Pulled');
  await userEvent.type(screen.getByLabelText('Or until a mean is known to ±'), '2 N');
  const offered = within(screen.getByLabelText('The mean of')).getAllByRole('option');
  expect(offered.map((o) => o.textContent)).toEqual(['the only channel', 'force', 'time', 'push']);
  await userEvent.selectOptions(screen.getByLabelText('The mean of'), 'force');
  await userEvent.click(screen.getByRole('button', { name: 'Make trial' }));
  await waitFor(() => expect(of(sent, 'PUT', '/api/trials/trial-new')).toHaveLength(1));
  expect(of(sent, 'PUT', '/api/trials/trial-new')[0]!.body).toMatchObject({
    method: 'method-1',
    name: 'Pulled',
    plannedRuns: 3,
    untilWidth: '2 N',
    untilChannel: 'force',
  });
});

it('one that is there offers what its own method reads, and sends nothing where nothing is asked', async () => {
  const sent = server();
  const trial = { ...runSheet({}).trial, untilWidth: '', untilChannel: '' };
  show(<TrialSlip id={trial.id} trial={trial} sheet={sheet} onClose={() => undefined} />);
  expect(within(screen.getByLabelText('The mean of')).getAllByRole('option')).toHaveLength(3);
  await userEvent.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(of(sent, 'PUT', '/api/trials/trial-1')).toHaveLength(1));
  expect(of(sent, 'PUT', '/api/trials/trial-1')[0]!.body).toMatchObject({
    untilWidth: '',
    untilChannel: '',
    version: 1,
  });
});

it('each who must agree signs for themselves, and what stands is sent as it stands', async () => {
  const sent = server();
  const signOffs = [{ by: 'Odile', note: 'The far field', at: '2026-03-01T10:00:00Z', as: 'the landowner' }];
  const trial = { ...runSheet({}).trial, signOffs };
  show(<TrialSlip id={trial.id} trial={trial} sheet={sheet} onClose={() => undefined} />);
  expect(screen.getByLabelText('Signed off: the landowner')).toHaveProperty('value', 'Odile');
  await userEvent.type(screen.getByLabelText('Signed off: the safety officer'), 'Bram');
  await userEvent.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(of(sent, 'PUT', '/api/trials/trial-1')).toHaveLength(1));
  expect(of(sent, 'PUT', '/api/trials/trial-1')[0]!.body).toMatchObject({
    signOffs: [signOffs[0], { by: 'Bram', note: '', at: '', as: 'the safety officer' }],
  });
});

it('leaves the plan as it is laid out', async () => {
  const sent = server();
  const layout = { kind: 'ladder', levels: [{ name: 'height', levels: ['20 cm', '40 cm'] }] } as Schemas['LayoutView'];
  const trial = { ...runSheet({}).trial, layout };
  show(<TrialSlip id={trial.id} trial={trial} sheet={sheet} onClose={() => undefined} />);
  expect(screen.queryByLabelText('Planned runs'), 'The plan says how many.').toBeNull();
  await userEvent.type(screen.getByLabelText('Name'), ' again');
  await userEvent.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(of(sent, 'PUT', '/api/trials/trial-1')).toHaveLength(1));
  expect(of(sent, 'PUT', '/api/trials/trial-1')[0]!.body).toMatchObject({ name: 'Drop onto gravel again', layout });
});
