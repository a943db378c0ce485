// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { describe, expect, it, vi } from 'vitest';

import type { Schemas } from '../../api/client';
import { of, server } from '../../test/server';
import { show } from '../../test/screen';
import { runSheet } from '../../test/sheets';
import { PlaceContext, type Frame, type SpineTag } from '../../ui/place';
import { PlanSlip } from './PlanSlip';
import { PlanStrip } from './PlanStrip';

const slot = (number: number, text: string, more: Partial<Schemas['SlotRow']> = {}): Schemas['SlotRow'] => ({
  number,
  repeat: 1,
  levels: [{ name: 'height', text }],
  arm: '',
  text,
  run: null,
  outcome: null,
  lost: 0,
  ...more,
});

const plan = (more: Partial<Schemas['PlanRow']> = {}): Schemas['PlanRow'] => ({
  sentence: '2 of 3 runs tried, 1 lost in handling; 5 min to go.',
  slots: [
    slot(1, '20 cm', { run: 'r-1', outcome: 'held' }),
    slot(2, '40 cm', { run: 'r-2', outcome: 'failed', lost: 1 }),
    slot(3, '60 cm'),
  ],
  leftOut: [{ levels: [], arm: '', text: '80 cm', leftOut: 'The ceiling is lower' }],
  next: slot(3, '60 cm'),
  article: 'u-1',
  serial: 'U-1',
  sets: null,
  widen: '',
  ...more,
});

const within = (part: React.ReactNode) => {
  const place = { frame: { write: true } as Frame, tag: { revision: { id: 'build-1' } } as SpineTag };
  return (
    <MemoryRouter>
      <PlaceContext value={place}>{part}</PlaceContext>
    </MemoryRouter>
  );
};

describe('a plan as its runs in their order', () => {
  it('says of each what became of it, in words too, and begins the next in one touch', async () => {
    server();
    const begin = vi.fn();
    show(within(<PlanStrip plan={plan()} base="/d/x/A/try" busy={false} begin={begin} />));
    expect(screen.getByRole('link', { name: '1: 20 cm, held' })).toHaveProperty('pathname', '/d/x/A/try/run/r-1');
    screen.getByRole('link', { name: '2: 40 cm, failed, lost in handling before: 1' });
    screen.getByRole('img', { name: '3: 60 cm, next' });
    screen.getByText('The ceiling is lower');
    await userEvent.click(screen.getByRole('button', { name: 'Start run 3: 60 cm, U-1' }));
    expect(begin).toHaveBeenCalledWith(expect.objectContaining({ number: 3, text: '60 cm' }));
  });

  it('has no next where it is done, or where nobody may', () => {
    server();
    show(within(<PlanStrip plan={plan({ next: null })} base="/t" busy={false} begin={() => undefined} />));
    expect(screen.queryByRole('button')).toBeNull();
    show(within(<PlanStrip plan={plan()} base="/t" busy={false} begin={null} />));
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('offers a change of the design where a range is used up', async () => {
    const sent = server();
    const widen = 'Widen gap beyond 1 to 2 mm: no setting in that range was good';
    show(within(<PlanStrip plan={plan({ next: null, widen })} base="/t" busy={false} begin={() => undefined} />));
    await userEvent.click(screen.getByRole('button', { name: `Propose: ${widen}` }));
    await screen.findByText('It waits on Next.');
    expect(of(sent, 'PUT', '/api/candidates/')[0]!.body).toEqual({ revision: 'build-1', what: widen });
  });
});

describe('a plan that is being laid out', () => {
  const factor = { name: 'height', role: 'factor', kind: 'number', levels: ['20 cm', '40 cm'], harder: 'more' };
  const method = { id: 'method-1', factors: [factor], settings: [{ name: 'gap' }] } as unknown as Schemas['MethodView'];
  const revision = {
    id: 'build-1',
    arms: [
      { name: 'round', eliminated: '' },
      { name: 'keyhole', eliminated: 'wedges' },
    ],
  } as Schemas['RevisionView'];
  const preview: Schemas['PlanPreview'] = {
    sentence: '6 runs, about 45 min.',
    runs: 6,
    finds: ['blow: with 3 runs a side it finds a difference of 4 N.'],
    costs: ['Damage adds up.'],
    cells: [
      { levels: [{ name: 'height', text: '20 cm' }], arm: 'round', text: '20 cm · round', leftOut: null },
      { levels: [{ name: 'height', text: '40 cm' }], arm: 'round', text: '40 cm · round', leftOut: null },
    ],
    order: ['20 cm', '40 cm'],
  };

  it('begins with what the method varies, says what it comes to, and is kept with the trial', async () => {
    const sent = server({ 'POST /api/methods/method-1/plan': { body: preview } });
    const closed = vi.fn();
    const trial = { ...runSheet().trial, id: 'trial-a' };
    show(<PlanSlip trial={trial} method={method} revision={revision} onClose={closed} />);
    await screen.findByText('6 runs, about 45 min.');
    screen.getByText('Damage adds up.');
    expect(screen.getByLabelText('The runs go')).toHaveProperty('value', 'ladder');
    expect(screen.getByLabelText('Levels of height, one a line')).toHaveProperty('value', '20 cm\n40 cm');
    expect(screen.queryByLabelText('keyhole'), 'It was left out of the build.').toBeNull();

    await userEvent.click(screen.getByRole('button', { name: 'Leave out 40 cm · round' }));
    await userEvent.type(screen.getByLabelText('Why is 40 cm · round not tried?'), 'It cracks');
    await userEvent.click(screen.getByRole('button', { name: 'Leave it out' }));
    await userEvent.click(screen.getByRole('button', { name: 'Keep this plan' }));
    await waitFor(() => expect(closed).toHaveBeenCalled());
    expect(of(sent, 'PUT', '/api/trials/trial-a')[0]!.body).toMatchObject({
      name: trial.name,
      version: 1,
      layout: {
        kind: 'ladder',
        levels: [{ name: 'height', levels: ['20 cm', '40 cm'] }],
        arms: ['round'],
        repeats: 3,
        leftOut: [{ levels: [{ name: 'height', text: '40 cm' }], arm: 'round', reason: 'It cracks' }],
      },
    });
  });

  it('sends what is no number as it was typed, so that the server can say so', async () => {
    const sent = server({ 'POST /api/methods/method-1/plan': { body: preview } });
    show(
      <PlanSlip
        trial={{ ...runSheet().trial, id: 'trial-b' }}
        method={method}
        revision={revision}
        onClose={() => undefined}
      />,
    );
    await userEvent.clear(await screen.findByLabelText('Repeats of each'));
    await userEvent.type(screen.getByLabelText('Repeats of each'), 'some');
    await userEvent.click(screen.getByRole('button', { name: 'Keep this plan' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/trials/trial-b')).toHaveLength(1));
    expect(of(sent, 'PUT', '/api/trials/trial-b')[0]!.body['layout']).toMatchObject({ repeats: 'some' });
  });
});
