// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { describe, expect, it, vi } from 'vitest';

import type { Schemas } from '../../api/client';
import { of, refusal, server } from '../../test/server';
import { show } from '../../test/screen';
import { CandidateRow } from './CandidateRow';

let number = 0;
function candidate(changed: Partial<Schemas['CandidateView']> = {}): Schemas['CandidateView'] {
  return {
    id: `candidate-${++number}`,
    version: 3,
    revision: 'build-1',
    what: 'Wider arm',
    class: 'shape',
    source: 'outside',
    askedBy: 'a grower',
    failures: [],
    requirements: [],
    alters: [{ kind: 'parameter', name: 'arm', from: '3 mm', to: '4 mm' }],
    effects: [],
    expected: [],
    cost: '12.50',
    costText: '12.50',
    hours: 2,
    hoursText: '2',
    choice: 'open',
    reason: '',
    ...changed,
  } as Schemas['CandidateView'];
}

function row(c: Schemas['CandidateView'], write = true, failures: string[] = []) {
  const edit = vi.fn();
  show(<CandidateRow candidate={c} currency="EUR" failures={failures} write={write} edit={edit} />);
  return edit;
}

describe('a candidate', () => {
  it('leads to where what it does is worked out', () => {
    server();
    const c = candidate();
    show(
      <MemoryRouter>
        <CandidateRow
          candidate={c}
          currency="EUR"
          failures={[]}
          write
          edit={vi.fn()}
          workings="/d/d1/workings?build=F"
        />
      </MemoryRouter>,
    );
    const link = screen.getByRole('link', { name: 'Work out what Wider arm does' });
    expect(link.getAttribute('href')).toBe('/d/d1/workings?build=F');
  });

  it('says what it costs, who asked for it and what it is against', () => {
    server();
    row(candidate(), false, ['Arm broke']);
    expect(screen.getByText('arm: 3 mm → 4 mm')).toBeTruthy();
    expect(screen.getByText('12.50 EUR · 2 h')).toBeTruthy();
    expect(screen.getByText(/asked for by a grower · against “Arm broke”/)).toBeTruthy();
    expect(screen.getByText(/^No effect in numbers/)).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });

  it.each([
    ['Put into next build: Wider arm', 'Why does it go in?', 'in'],
    ['Let it wait: Wider arm', 'What does it wait for?', 'wait'],
    ['Drop: Wider arm', 'Why not, and what would bring it back?', 'drop'],
  ])('is answered with a reason: %s', async (button, asks, choice) => {
    const sent = server();
    const c = candidate();
    row(c);
    await userEvent.click(screen.getByRole('button', { name: button }));
    await userEvent.type(screen.getByLabelText(asks), 'Because');
    await userEvent.click(screen.getByRole('button', { name: 'Keep' }));
    await waitFor(() => expect(of(sent, 'PUT', `/api/candidates/${c.id}`)).toHaveLength(1));
    const body = of(sent, 'PUT', `/api/candidates/${c.id}`)[0]!.body;
    expect(body).toMatchObject({ what: 'Wider arm', choice, reason: 'Because', version: 3, cost: '12.50' });
    await waitFor(() => expect(screen.queryByLabelText(asks)).toBeNull());
  });

  it('keeps the reason that was typed while another answer is chosen', async () => {
    server();
    row(candidate());
    await userEvent.click(screen.getByRole('button', { name: 'Drop: Wider arm' }));
    await userEvent.type(screen.getByLabelText(/^Why not/), 'Too dear');
    await userEvent.click(screen.getByRole('button', { name: 'Let it wait: Wider arm' }));
    expect(screen.getByLabelText<HTMLInputElement>('What does it wait for?').value).toBe('Too dear');
  });

  it('that has an answer can take it back, and offers only the others', async () => {
    const sent = server();
    const c = candidate({ choice: 'in', reason: 'It broke twice' });
    row(c);
    expect(screen.queryByRole('button', { name: 'Put into next build: Wider arm' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Take the answer back: Wider arm' }));
    await waitFor(() => expect(of(sent, 'PUT', `/api/candidates/${c.id}`)).toHaveLength(1));
    expect(of(sent, 'PUT', `/api/candidates/${c.id}`)[0]!.body).toMatchObject({ choice: 'open', reason: '' });
  });

  it('says what is wrong with an answer, and keeps it on screen', async () => {
    server({ 'PUT /api/candidates': refusal(422, 'invalid', 'Each answer needs a reason.') });
    const edit = row(candidate());
    await userEvent.click(screen.getByRole('button', { name: 'Drop: Wider arm' }));
    await userEvent.click(screen.getByRole('button', { name: 'Keep' }));
    expect((await screen.findByRole('alert')).textContent).toBe('Each answer needs a reason.');
    expect(screen.getByLabelText(/^Why not/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Edit Wider arm' }));
    expect(edit).toHaveBeenCalledOnce();
  });
});
