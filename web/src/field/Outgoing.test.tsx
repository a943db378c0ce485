// @vitest-environment jsdom
import 'fake-indexeddb/auto';

import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, expect, it } from 'vitest';

import { keepFor } from '../outbox/drafts';
import { enqueue, remove, replace, waiting } from '../outbox/queue';
import type { Waiting } from '../outbox/store';
import { useQueue } from '../outbox/useQueue';
import { show } from '../test/screen';
import { OFF, server } from '../test/server';
import { Outgoing } from './Outgoing';

const ME = 'ines@hollowlane.example';

function Shown() {
  return <Outgoing queue={useQueue(ME)} />;
}

async function stuck(changed: Partial<Waiting>): Promise<void> {
  await enqueue({
    group: 'g',
    method: 'PUT',
    url: '/api/readings/r',
    body: { text: '400', unit: 'N' },
    what: 'push 400 N',
  });
  const [write] = await waiting();
  await replace({ ...write!, state: 'refused', ...changed });
}

beforeEach(async () => {
  keepFor(ME);
  // Nothing is sent while the screen is looked at.
  server({ 'GET /api/session': OFF });
  for (const write of await waiting()) await remove(write.seq!);
});

it('a refused write says why at its field, and is sent again as it was mended', async () => {
  await stuck({ problem: 'Too large.', violations: { text: 'Larger than can be.' } });
  show(<Shown />);
  const field = await screen.findByLabelText('Larger than can be.');
  await userEvent.clear(field);
  await userEvent.type(field, '40');
  await userEvent.click(screen.getByRole('button', { name: 'Send it again' }));
  await waitFor(async () =>
    expect((await waiting())[0]).toMatchObject({ state: 'waiting', body: { text: '40', unit: 'N' } }),
  );
});

it('what is asked back is answered in one touch', async () => {
  await stuck({ questions: [{ sentence: 'Is this in kgf?', corrected: '40 N' }] as Waiting['questions'] });
  show(<Shown />);
  expect((await screen.findByRole('alert')).textContent).toBe('Is this in kgf?');
  await userEvent.click(screen.getByRole('button', { name: 'It is as typed' }));
  await waitFor(async () =>
    expect((await waiting())[0]!.body).toEqual({ text: '400', unit: 'N', confirmed: 'Is this in kgf?' }),
  );
});

it('whoever goes ahead out of turn gives a name and a reason', async () => {
  await stuck({ problem: 'Slow must have held first.', violations: { ahead: 'Slow must have held first.' } });
  show(<Shown />);
  expect(await screen.findByRole('button', { name: 'Send it again' })).toHaveProperty('disabled', true);
  await userEvent.type(screen.getByLabelText('Who goes ahead?'), 'Greta');
  await userEvent.type(screen.getByLabelText(/Why, although/), 'Held at the bench');
  await userEvent.click(screen.getByRole('button', { name: 'Send it again' }));
  await waitFor(async () =>
    expect((await waiting())[0]!.body).toMatchObject({
      ahead: { by: 'Greta', note: 'Held at the bench', at: '', as: '' },
    }),
  );
});

it('what was changed on two phones stands side by side, and each difference is chosen', async () => {
  await stuck({
    state: 'conflict',
    body: { outcome: 'failed', note: 'here', conditions: [{ name: 'soil', text: 'wet' }], version: 1 },
    theirs: { outcome: 'held', note: 'here', conditions: [{ name: 'soil', text: 'dry' }], version: 5, number: 3 },
  });
  show(<Shown />);
  const rows = await screen.findAllByRole('group');
  expect(rows.map((r) => r.textContent)).toEqual([
    'How it endedHere: failedThere: held',
    'ConditionsHere: soil wetThere: soil dry',
  ]);
  await userEvent.click(screen.getByLabelText(/There: soil dry/));
  await userEvent.click(screen.getByRole('button', { name: 'Keep what is chosen' }));
  await waitFor(async () =>
    expect((await waiting())[0]).toMatchObject({
      state: 'waiting',
      body: { outcome: 'failed', note: 'here', conditions: [{ name: 'soil', text: 'dry' }], version: 5 },
    }),
  );
});

it('all as it is there lets the own one go', async () => {
  await stuck({ state: 'conflict', theirs: { text: '401', version: 2 } });
  show(<Shown />);
  await userEvent.click(await screen.findByRole('button', { name: 'All as it is there' }));
  await waitFor(async () => expect(await waiting()).toEqual([]));
});
