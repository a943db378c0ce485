// @vitest-environment jsdom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';

import type { Schemas } from '../../api/client';
import { runSheet } from '../../test/sheets';
import { of, refusal, server } from '../../test/server';
import { show } from '../../test/screen';
import { Markers, Tallies } from './Markers';

const tally = (name: string, marks: number): Schemas['RunSheet']['tallies'][number] =>
  ({
    name,
    marks: Array.from({ length: marks }, (_, i) => ({ after: i, until: null })),
    sentence: `${name}: ${marks} times.`,
    origin: `counted by marks of ${name}`,
    results: [
      { what: 'count', reading: String(marks), units: ['1', 'count'] },
      { what: 'held', reading: '3.5 s', units: ['s', 'min'] },
    ],
  }) as unknown as Schemas['RunSheet']['tallies'][number];

const sheet = (tallies: Schemas['RunSheet']['tallies'] = []): Schemas['RunSheet'] => ({
  ...runSheet(),
  revision: { id: 'build-1' } as Schemas['RevisionView'],
  tallies,
});

function draw(tallies: Schemas['RunSheet']['tallies'] = [], replies: Parameters<typeof server>[0] = {}) {
  const sent = server(replies);
  let now = 12;
  show(<Markers sheet={sheet(tallies)} touched={() => now} />);
  return { sent, at: (s: number) => (now = s) };
}
const marks = (sent: ReturnType<typeof server>) => of(sent, 'PUT', '/api/observations/').map((s) => s.body);

describe('what happens again and again', () => {
  it('is marked with the moment of the touch, as often as it happens', async () => {
    const { sent, at } = draw([tally('Misfeed', 2)]);
    const button = screen.getByRole('button', { name: 'Misfeed: mark it' });
    expect(button.textContent).toBe('Misfeed × 2');
    fireEvent.pointerDown(button);
    at(12.2);
    fireEvent.pointerUp(button);
    at(15);
    fireEvent.pointerDown(button);
    fireEvent.pointerUp(button);
    await waitFor(() => expect(marks(sent)).toHaveLength(2));
    expect(marks(sent)).toMatchObject([
      { revision: 'build-1', run: 'run-3', text: 'Misfeed', after: 12, until: null },
      { after: 15, until: null },
    ]);
  });

  it('lasts as long as the finger lies on it, and a key has no length', async () => {
    const { sent, at } = draw([tally('Stall', 0)]);
    const button = screen.getByRole('button', { name: 'Stall: mark it' });
    fireEvent.pointerDown(button);
    at(14.5);
    fireEvent.pointerUp(button);
    at(20);
    button.focus();
    await userEvent.keyboard('{Enter}');
    await waitFor(() => expect(marks(sent)).toHaveLength(2));
    expect(marks(sent)).toMatchObject([
      { after: 12, until: 14.5 },
      { after: 20, until: null },
    ]);
  });

  it('is no mark where the finger slid away', () => {
    const { sent, at } = draw([tally('Stall', 0)]);
    const button = screen.getByRole('button', { name: 'Stall: mark it' });
    fireEvent.pointerDown(button);
    fireEvent.pointerCancel(button);
    at(16);
    fireEvent.pointerUp(button);
    expect(marks(sent)).toHaveLength(0);
  });

  it('begins and ends by two touches, with nothing held', async () => {
    const { sent, at } = draw([tally('Stall', 0)]);
    await userEvent.click(screen.getByRole('button', { name: 'Stall begins' }));
    at(75);
    await userEvent.click(screen.getByRole('button', { name: 'Stall ends, begun at 00:12' }));
    await waitFor(() => expect(marks(sent)).toMatchObject([{ after: 12, until: 75 }]));
    screen.getByRole('button', { name: 'Stall begins' });
  });

  it('has a marker of one’s own, once however it is written', async () => {
    draw([tally('Misfeed', 1)]);
    const add = async (name: string) => {
      await userEvent.type(screen.getByLabelText('What happens again'), name);
      await userEvent.click(screen.getByRole('button', { name: 'Add a marker' }));
    };
    await add('misfeed');
    await add('Squeal');
    expect(screen.getAllByRole('button', { name: /: mark it$/ }).map((b) => b.textContent)).toEqual([
      'Misfeed × 1',
      'Squeal',
    ]);
  });

  it('says where the server would not have it', async () => {
    draw([tally('Stall', 0)], { 'PUT /api/observations/': refusal(422, 'invalid', 'That run has ended.') });
    fireEvent.click(screen.getByRole('button', { name: 'Stall: mark it' }), { detail: 0 });
    await screen.findByText('That run has ended.');
  });
});

describe('what marks come to', () => {
  const asked = (channels: object[], of = tally('Misfeed', 3)) => {
    const s = sheet([of]);
    return { ...s, asked: { ...s.asked, channels }, readings: [] } as unknown as Schemas['RunSheet'];
  };
  const CHANNELS = [
    { key: 'n', metric: 'misfeeds', unit: '1', formula: '' },
    { key: 't', metric: 'time stalled', unit: 's', formula: '' },
    { key: 'd', metric: 'rate', unit: 's', formula: 'n / t' },
  ];

  it('is a reading of a channel that fits, in one touch, with where it is from', async () => {
    const sent = server();
    show(<Tallies sheet={asked(CHANNELS)} write />);
    screen.getByText('Misfeed: 3 times.');
    expect(screen.getAllByRole('button').map((b) => b.textContent)).toEqual([
      'Keep how often as misfeeds',
      'Keep how long as time stalled',
    ]);
    await userEvent.click(screen.getByRole('button', { name: 'Keep how often as misfeeds' }));
    await userEvent.click(screen.getByRole('button', { name: 'Keep how long as time stalled' }));
    await waitFor(() => expect(of(sent, 'PUT', '/api/readings/')).toHaveLength(2));
    expect(of(sent, 'PUT', '/api/readings/').map((s) => s.body)).toMatchObject([
      { run: 'run-3', channel: 'n', text: '3', unit: '1', confirmed: 'counted by marks of Misfeed' },
      { channel: 't', text: '3.5 s', unit: '' },
    ]);
  });

  it('is offered to no channel that was read, and to nobody who may not write', () => {
    server();
    const s = asked(CHANNELS);
    show(<Tallies sheet={{ ...s, readings: [{ channel: 'n' }] as Schemas['RunSheet']['readings'] }} write />);
    expect(screen.queryByRole('button', { name: /misfeeds/ })).toBeNull();
    show(<Tallies sheet={s} write={false} />);
    expect(screen.getAllByRole('button')).toHaveLength(1);
  });
});
