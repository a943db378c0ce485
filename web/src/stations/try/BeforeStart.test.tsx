// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';

import type { Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { of, refusal, server } from '../../test/server';
import { show } from '../../test/screen';
import { runSheet } from '../../test/sheets';
import { BeforeStart } from './BeforeStart';

const trial: Schemas['TrialView'] = runSheet().trial;

/** Starts a run as the sheet does: what has to be written first goes first. */
function Starting({ role = null }: { role?: string | null }) {
  const write = useWrite();
  const start = async (ahead: Schemas['SignOff'] | null, first?: () => Promise<unknown>) => {
    await write.run(async () => {
      await first?.();
      await putRecord('runs', 'run-9', { trial: trial.id, ahead });
    });
  };
  return (
    <>
      <button onClick={() => void start(null)}>Start run</button>
      <BeforeStart key={write.problem} write={write} trial={trial} role={role} start={start} />
    </>
  );
}

const blocked = (path: string, detail: string) =>
  refusal(422, 'invalid', detail, { violations: [{ path, message: detail }] });

describe('what keeps a run from starting is put right where it stands', () => {
  it('somebody agrees, and the run begins', async () => {
    const sent = server({ 'PUT /api/runs/run-9': [blocked('signOffs', 'The landowner must agree.'), { status: 201 }] });
    show(<Starting role="the landowner" />);
    await userEvent.click(screen.getByRole('button', { name: 'Start run' }));
    await screen.findByText('The landowner must agree.');
    expect(screen.getByRole('button', { name: 'Record it and start' })).toHaveProperty('disabled', true);
    await userEvent.type(screen.getByLabelText('Who agreed? (the landowner)'), 'Odile');
    await userEvent.click(screen.getByRole('button', { name: 'Record it and start' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/runs/')).toHaveLength(2));
    expect(of(sent, 'PUT', '/api/trials/trial-1')[0]!.body).toMatchObject({
      name: trial.name,
      version: 1,
      signOffs: [{ by: 'Odile', note: '', at: '', as: 'the landowner' }],
    });
    await waitFor(() => expect(screen.queryByText('The landowner must agree.')).toBeNull());
  });

  it('a named person goes ahead, with a reason that goes along', async () => {
    const sent = server({ 'PUT /api/runs/run-9': [blocked('ahead', 'Drop must have held.'), { status: 201 }] });
    show(<Starting />);
    await userEvent.click(screen.getByRole('button', { name: 'Start run' }));
    await userEvent.type(await screen.findByLabelText('Who goes ahead?'), 'Maren');
    expect(screen.getByRole('button', { name: 'Go ahead' })).toHaveProperty('disabled', true);
    await userEvent.type(screen.getByLabelText('Why, although that has not held?'), 'Only the rig is new');
    await userEvent.click(screen.getByRole('button', { name: 'Go ahead' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/runs/')).toHaveLength(2));
    expect(of(sent, 'PUT', '/api/runs/')[1]!.body['ahead']).toMatchObject({ by: 'Maren', note: 'Only the rig is new' });
    expect(of(sent, 'PUT', '/api/trials/')).toHaveLength(0);
  });

  it('limits that are blank are gone without only by name', async () => {
    const sent = server({
      'PUT /api/runs/run-9': [blocked('override', 'It does not say when to stop.'), { status: 201 }],
    });
    show(<Starting />);
    await userEvent.click(screen.getByRole('button', { name: 'Start run' }));
    await userEvent.type(await screen.findByLabelText('Who starts it without?'), 'Maren');
    await userEvent.type(screen.getByLabelText('Why?'), 'Only paper');
    await userEvent.click(screen.getByRole('button', { name: 'Start without limits' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/trials/')).toHaveLength(1));
    expect(of(sent, 'PUT', '/api/trials/')[0]!.body['override']).toMatchObject({ by: 'Maren', note: 'Only paper' });
  });

  it('anything else is only said', async () => {
    server({ 'PUT /api/runs/run-9': refusal(422, 'invalid', 'This article was scrapped.') });
    show(<Starting />);
    await userEvent.click(screen.getByRole('button', { name: 'Start run' }));
    expect((await screen.findByRole('alert')).textContent).toBe('This article was scrapped.');
    expect(screen.queryByRole('textbox')).toBeNull();
  });
});
