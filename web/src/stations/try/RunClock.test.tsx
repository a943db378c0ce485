// @vitest-environment jsdom
import 'fake-indexeddb/auto';

import { act, fireEvent, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';

import type { Schemas } from '../../api/client';
import { keepFor } from '../../outbox/drafts';
import { remove, waiting } from '../../outbox/queue';
import { show } from '../../test/screen';
import { of, OFF, server } from '../../test/server';
import { runSheet } from '../../test/sheets';
import { RunClock } from './RunClock';

const STARTED = '2026-03-02T10:00:00Z';

beforeEach(() => {
  vi.useFakeTimers({
    now: Date.parse(STARTED) + 10_000,
    toFake: ['Date', 'performance', 'setInterval', 'clearInterval'],
  });
});
afterEach(() => {
  vi.useRealTimers();
});

function clockOf(run: Partial<Schemas['RunView']>, more: Partial<Schemas['Console']> = {}) {
  const sheet = runSheet(run);
  show(<RunClock sheet={{ ...sheet, console: { ...sheet.console, ...more } }} />);
}
const pass = (ms: number) => act(() => vi.advanceTimersByTime(ms));

it('counts on from the start, and a mark keeps the moment of its touch', async () => {
  const sent = server();
  clockOf({ clockAt: STARTED });
  expect(screen.getByRole('timer').textContent).toBe('00:10');
  pass(65_400);
  expect(screen.getByRole('timer').textContent).toBe('01:15');
  fireEvent.click(screen.getByRole('button', { name: 'Mark' }));
  await vi.waitFor(() => expect(of(sent, 'PUT', '/api/observations/')).toHaveLength(1));
  expect(of(sent, 'PUT', '/api/observations/')[0]!.body).toMatchObject({ text: 'Mark 1', after: 75.4, run: 'run-3' });
});

it('is not stretched by a clock that is set meanwhile, and says so', () => {
  server();
  clockOf({ clockAt: STARTED });
  const count = performance.now();
  vi.setSystemTime(Date.parse(STARTED) + 3_600_000);
  vi.spyOn(performance, 'now').mockImplementation(() => count + 2000);
  pass(1000);
  expect(screen.getByRole('timer').textContent, 'Two seconds by its own count.').toBe('00:12');
  expect(screen.getByRole('alert').textContent).toContain('The clock of this device was set meanwhile');
  vi.restoreAllMocks();
});

it('calls out a look when it is due, and tells the next', () => {
  server();
  const looks = [{ what: 'fumes', sentence: 'Fumes: every 5 min.', due: [300, 600] }];
  clockOf({ clockAt: STARTED }, { looks });
  expect(screen.getByText('Fumes: every 5 min. · next at 05:00')).toBeTruthy();
  pass(280_000);
  expect(screen.getByRole('alert').textContent).toBe('Now: fumes');
  pass(40_000);
  expect(screen.getByText('Fumes: every 5 min. · next at 10:00')).toBeTruthy();
});

it('waits for what has to be over, and says when it is', () => {
  server();
  const waits = [
    { sentence: 'Motor cold: 10 min after the run before.', until: '2026-03-02T10:01:00Z' },
    { sentence: 'Glue dry.', until: null },
  ];
  clockOf({}, { waits });
  expect(screen.getByText('Motor cold: 10 min after the run before. Ready in 00:50.')).toBeTruthy();
  expect(screen.getByText('Glue dry.')).toBeTruthy();
  pass(51_000);
  expect(screen.getByText('Motor cold: 10 min after the run before. That is over.')).toBeTruthy();
});

it('offers what it stopped at to a channel that is read in a time', async () => {
  const sent = server();
  clockOf({ clockAt: STARTED, lasted: 62.4 });
  expect(screen.queryByRole('button', { name: /as force/ }), 'A force is no time.').toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Take 62.4 s as time' }));
  await vi.waitFor(() => expect(of(sent, 'PUT', '/api/readings/')).toHaveLength(1));
  expect(of(sent, 'PUT', '/api/readings/')[0]!.body).toEqual({
    run: 'run-3',
    channel: 'time',
    text: '62.4 s',
    unit: '',
  });
});

it('pins what is odd with the moment at which it was noticed, not at which it was written', async () => {
  const sent = server();
  clockOf({ clockAt: STARTED });
  fireEvent.click(screen.getByRole('button', { name: 'Odd' }));
  pass(20_000);
  fireEvent.change(screen.getByPlaceholderText('What is odd?'), { target: { value: 'It squeaked' } });
  fireEvent.click(screen.getByRole('button', { name: 'Pin it' }));
  await vi.waitFor(() => expect(of(sent, 'PUT', '/api/observations/')).toHaveLength(1));
  expect(of(sent, 'PUT', '/api/observations/')[0]!.body).toMatchObject({ text: 'It squeaked', after: 10, odd: true });
});

it('counts what is touched, and keeps how long it was held', async () => {
  const sent = server();
  clockOf({ clockAt: STARTED });
  fireEvent.change(screen.getByPlaceholderText('What happens again'), { target: { value: 'Slip' } });
  fireEvent.click(screen.getByRole('button', { name: 'Add a marker' }));
  const marker = screen.getByRole('button', { name: 'Slip: mark it' });
  fireEvent.pointerDown(marker);
  fireEvent.pointerUp(marker);
  pass(10_000);
  fireEvent.pointerDown(marker);
  pass(3000);
  fireEvent.pointerUp(marker);
  // By key, where nothing is held.
  fireEvent.click(marker, { detail: 0 });
  fireEvent.click(screen.getByRole('button', { name: 'Slip begins' }));
  pass(2000);
  fireEvent.click(screen.getByRole('button', { name: /^Slip ends/ }));
  await vi.waitFor(() => expect(of(sent, 'PUT', '/api/observations/')).toHaveLength(4));
  expect(of(sent, 'PUT', '/api/observations/').map((s) => [s.body['after'], s.body['until']])).toEqual([
    [10, null],
    [20, 23],
    [23, null],
    [23, 25],
  ]);
});

it('offers each number of what was marked to a channel that takes it', async () => {
  const sent = server();
  const sheet = runSheet({ clockAt: STARTED, lasted: 100 });
  const tally: Schemas['TallyRow'] = {
    name: 'Slip',
    sentence: 'Slip: 3 times, 30.0 s apart on average.',
    marks: ['o-1', 'o-2', 'o-3'],
    results: [
      { what: 'count', reading: '3', units: ['1'] },
      { what: 'every', reading: '30.0 s', units: ['s', 'min', 'h'] },
    ],
    origin: 'Counted from the marks of “Slip”',
  };
  show(<RunClock sheet={{ ...sheet, tallies: [tally] }} />);
  expect(screen.getByText(/Slip: 3 times/)).toBeTruthy();
  expect(screen.queryByRole('button', { name: /how often as/ }), 'No channel counts.').toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Keep how far apart as time' }));
  await vi.waitFor(() => expect(of(sent, 'PUT', '/api/readings/')).toHaveLength(1));
  expect(of(sent, 'PUT', '/api/readings/')[0]!.body).toMatchObject({
    text: '30.0 s',
    unit: '',
    confirmed: tally.origin,
  });
});

it('keeps what is read again and again with the moment of each touch, as a course', async () => {
  const sent = server();
  clockOf({ clockAt: STARTED });
  const field = () => screen.getByLabelText(/ now$/);
  const read = (text: string) => {
    fireEvent.change(field(), { target: { value: text } });
    fireEvent.click(screen.getByRole('button', { name: 'Read now' }));
  };
  read('21.5');
  await vi.waitFor(() => expect(screen.getByText(/^1 read, the last at 00:10/)).toBeTruthy());
  expect(of(sent, 'PUT', '/api/courses/'), 'One value is no course yet.').toHaveLength(0);
  pass(20_000);
  read('24');
  await vi.waitFor(() => expect(screen.getByText(/^2 read, the last at 00:30/)).toBeTruthy());
  pass(20_000);
  read('26');
  await vi.waitFor(() => expect(of(sent, 'PUT', '/api/courses/')).toHaveLength(2));
  const [first, second] = of(sent, 'PUT', '/api/courses/');
  expect(second!.url, 'It is one course.').toBe(first!.url);
  expect(second!.body).toMatchObject({ timeUnit: 's', run: 'run-3' });
  expect(second!.body['text']).toMatch(/^10(\.\d)?; 21\.5\n30(\.\d)?; 24\n50(\.\d)?; 26$/);
});

it('loses no touch without a connection: it waits, and is sent by itself', async () => {
  keepFor('ines@hollowlane.example');
  server({ 'PUT /api/observations/': OFF });
  clockOf({ clockAt: STARTED });
  fireEvent.change(screen.getByPlaceholderText('What happens again'), { target: { value: 'Slip' } });
  fireEvent.click(screen.getByRole('button', { name: 'Add a marker' }));
  fireEvent.click(screen.getByRole('button', { name: 'Slip: mark it' }), { detail: 0 });
  await vi.waitFor(async () => expect(await waiting()).toHaveLength(1));
  const [write] = await waiting();
  expect(write).toMatchObject({ method: 'PUT', group: 'run-3', what: 'Slip, 00:10', state: 'waiting' });
  expect(write!.body).toMatchObject({ text: 'Slip', after: 10, run: 'run-3' });
  await remove(write!.seq!);
});

it('takes a value away that was typed wrongly', async () => {
  const sent = server();
  clockOf({ clockAt: STARTED });
  fireEvent.change(screen.getByLabelText(/ now$/), { target: { value: 'warm' } });
  fireEvent.click(screen.getByRole('button', { name: 'Read now' }));
  await vi.waitFor(() => expect(screen.getByText(/^1 read/)).toBeTruthy());
  fireEvent.click(screen.getByRole('button', { name: 'Take the last one away' }));
  await vi.waitFor(() => expect(screen.getByText(/Each value is kept with the moment/)).toBeTruthy());
  expect(of(sent, 'PUT', '/api/courses/')).toEqual([]);
});
