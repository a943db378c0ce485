import { expect, it } from 'vitest';

import type { Schemas } from '../../api/client';
import { of, refusal, server } from '../../test/server';
import { columnsOf, fitting, isWritten, keepLine, laidIn, madeAt, nextLine, type Line } from './notebook';

const method = {
  factors: [
    { name: 'height', kind: 'number', unit: 'cm', role: 'factor', levels: ['20 cm'] },
    { name: 'rater', kind: 'words', unit: '', role: 'block', levels: [] },
  ],
  conditions: [{ name: 'soil', unit: '', states: ['dry', 'moist'] }],
  channels: [
    { key: 'push', metric: 'push force', unit: 'N', formula: '', whenStopped: 'equal' },
    { key: 'work', metric: 'work', unit: 'J', formula: 'push * 2', whenStopped: 'equal' },
  ],
} as unknown as Schemas['MethodView'];
const articles = [{ id: 'a1', serial: 'W-1' }] as Schemas['ArticleView'][];
const columns = columnsOf(method, articles);
const at = {
  trial: { id: 't1' } as Schemas['TrialView'],
  method,
  articles,
  operator: 'Ines',
  startedAt: '2026-11-26T10:00:00Z',
};
const line = (cells: Record<string, string>): Line => {
  const empty = nextLine(undefined, columns);
  return { ...empty, cells: { ...empty.cells, ...cells } };
};

it('has a column for all that is written down, and none for what is worked out or known', () => {
  expect(columns.map((c) => c.key)).toEqual([
    'article',
    'level:height',
    'condition:soil',
    'channel:push',
    'outcome',
    'note',
  ]);
});

it('offers what stays the same, and no number of the line before', () => {
  const next = nextLine(
    line({ article: 'W-1', 'condition:soil': 'dry', 'channel:push': '41', note: 'x', outcome: 'failed' }),
    columns,
  );
  expect(next.cells).toEqual({ outcome: 'held', article: 'W-1', 'level:height': '', 'condition:soil': 'dry' });
  expect(isWritten(next), 'What is only offered is no run.').toBe(false);
  expect(isWritten(line({ outcome: 'failed' }))).toBe(true);
});

it('lays a block of a table in from where the cursor stands, and takes words by their beginning', () => {
  const kept = { ...line({ 'channel:push': '1' }), kept: true };
  const lines = laidIn([kept, line({ article: 'W-1' })], columns, 1, 2, 'm\t41.2\tf\tslipped\tfar off\r\nDry\t43\r\n');
  expect(lines).toHaveLength(3);
  expect(lines[1]!.cells).toMatchObject({
    article: 'W-1',
    'condition:soil': 'moist',
    'channel:push': '41.2',
    outcome: 'failed',
    note: 'slipped',
  });
  expect(lines[2]!.cells).toMatchObject({
    article: 'W-1',
    'condition:soil': 'dry',
    'channel:push': '43',
    outcome: 'held',
  });
  expect(laidIn([kept], columns, 0, 3, '9\n8')[0], 'What is kept stays as it is.').toEqual(kept);
  expect(fitting(columns[2]!, 'sandy'), 'Another word stays as it was written.').toBe('sandy');
});

it('keeps a run, what was read and how it ended, and nothing twice when it is sent again', async () => {
  const written = line({
    article: 'W-1',
    'level:height': '20',
    'condition:soil': 'dry',
    'channel:push': '41.2',
    outcome: 'failed',
    note: 'Cracked',
  });
  let sent = server({ 'PUT /api/readings/': refusal(503, 'away', 'Away.') });
  const half = await keepLine(written, at);
  expect([half.kept, half.problem]).toEqual([false, 'Away.']);
  const first = sent.map((s) => s.url);
  sent = server();
  const done = await keepLine(half, at);
  expect(done.kept).toBe(true);
  expect(sent.map((s) => s.url).slice(0, 2), 'The same run and the same reading.').toEqual(first);
  expect(sent).toHaveLength(3);
  expect(of(sent, 'PUT', '/api/readings/')[0]!.body).toMatchObject({
    run: written.id,
    channel: 'push',
    text: '41.2',
    unit: 'N',
  });
  expect(sent[2]!.body).toMatchObject({
    outcome: 'failed',
    outcomeReason: 'Cracked',
    version: 1,
    article: 'a1',
    levels: [{ name: 'height', text: '20' }],
    conditions: [{ name: 'soil', text: 'dry' }],
  });
});

it('asks back at its line, and goes on with the answer', async () => {
  server({
    'PUT /api/readings/': refusal(422, 'asks-back', 'Look again.', {
      questions: [{ sentence: 'Is this kgf?', corrected: null }],
    }),
  });
  const asked = await keepLine(line({ 'channel:push': '4.1' }), at);
  expect(asked).toMatchObject({ kept: false, problem: '', asks: { channel: 'push', sentence: 'Is this kgf?' } });
  const sent = server();
  await keepLine({ ...asked, confirmed: { push: 'Is this kgf?' } }, at);
  expect(of(sent, 'PUT', '/api/readings/')[0]!.body['confirmed']).toBe('Is this kgf?');
});

it('was made on its day, in the order of the notebook, and never later than now', () => {
  expect(madeAt('2026-03-02', 2)).toEqual(['2026-03-02T12:00:00.000Z', '2026-03-02T12:00:01.000Z']);
  const today = madeAt(new Date().toISOString().slice(0, 10), 3);
  expect(today).toEqual([...today].sort());
  expect(Date.parse(today[2]!)).toBeLessThanOrEqual(Date.now());
});
