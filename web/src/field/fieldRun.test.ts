import 'fake-indexeddb/auto';
import { beforeEach, expect, it } from 'vitest';

import { keepFor } from '../outbox/drafts';
import { remove, waiting } from '../outbox/queue';
import { runSheet } from '../test/sheets';
import {
  beginRun,
  forgetSent,
  keepRun,
  nextSlot,
  runsHere,
  sendBegin,
  sendEnd,
  sendReading,
  whatDiffers,
  type Trial,
} from './fieldRun';
import { atPath, withAtPath } from './paths';

const slot = (number: number, text: string, run: string | null = null) => ({
  number,
  text,
  levels: [{ name: 'height', text }],
  arm: '',
  run,
  outcome: null,
  lost: 0,
});

function trial(): Trial {
  const sheet = runSheet();
  return {
    trial: sheet.trial,
    asked: { ...sheet.asked, questions: [{ key: 'q', metric: 'opens', text: 'The latch opens' }] },
    mind: '',
    blocked: '',
    plan: {
      sentence: '',
      slots: [slot(1, '20 cm', 'made'), slot(2, '20 cm'), slot(3, '40 cm')],
      leftOut: [],
      next: null,
      article: null,
      serial: '',
      sets: null,
      widen: '',
    },
    runs: 1,
    good: {
      number: 7,
      letter: 'E',
      found: [
        { name: 'build', text: 'E', same: ['e'] },
        { name: 'article', text: 'W-09', same: ['w-09'] },
        { name: 'ground', text: 'Dry', same: ['dry'] },
        { name: 'gap', text: '1.5 mm', same: ['1.5 mm', '1.5', '1.5mm', '1,5 mm', '1,5'] },
        { name: 'height', text: '20 cm' },
      ],
    },
  } as unknown as Trial;
}

beforeEach(async () => {
  keepFor('ines@hollowlane.example');
  for (const write of await waiting()) await remove(write.seq!);
});

it('is begun with what the plan says, and the next one is neither made nor begun here', () => {
  const t = trial();
  const first = nextSlot(t, []);
  expect(first?.number, 'The first was made before.').toBe(2);
  const run = beginRun('build-1', t, first, null);
  expect(run.levels).toEqual({ height: '20 cm' });
  expect(nextSlot(t, [run])?.number).toBe(3);
  expect(nextSlot(t, [run, { ...run, slot: 3 }])).toBeNull();
});

it('is three writes in their order: begun, read, ended with all that was found', async () => {
  const t = trial();
  const run = {
    ...beginRun('build-1', t, nextSlot(t, []), null),
    found: { ground: 'wet', gap: '1.6' },
    foundAt: '2026-11-26T10:00:00Z',
  };
  await sendBegin({ ...run, found: {} }, t, 'Ines');
  await sendReading(run, t.asked.channels[0]!, 'reading-1', { text: '41.2', how: 'about' });
  await sendEnd({ ...run, outcome: 'failed', reason: 'It cracked', mode: 'Crack' }, t, 'Ines', 'failed');
  const all = await waiting();
  expect(all.map((w) => w.url.split('/')[2])).toEqual(['runs', 'readings', 'runs']);
  expect(new Set(all.map((w) => w.group))).toEqual(new Set([run.id]));
  expect(all[0]!.body).not.toHaveProperty('version');
  expect(all[1]!.body).toEqual({ run: run.id, channel: 'force', text: 'about 41.2', unit: 'N', undecided: false });
  expect(all[2]!.body).toMatchObject({
    failures: [{ id: run.failure, mode: 'Crack', question: 'q' }],
    outcome: 'failed',
    outcomeReason: 'It cracked',
    version: 1,
    operator: 'Ines',
    levels: [{ name: 'height', text: '20 cm' }],
    conditions: [{ name: 'ground', text: 'wet' }],
    settings: [{ name: 'gap', text: '1.6' }],
  });
});

it('says what differs from the last run that held, and what nobody has said', () => {
  const t = trial();
  const run = { ...beginRun('build-1', t, nextSlot(t, []), null), serial: 'W-11', found: { gap: '1.5' } };
  expect(whatDiffers(run, t, 'F')).toEqual({
    differs: ['build F, was E', 'article W-11, was W-09'],
    unsaid: ['ground'],
  });
  expect(
    whatDiffers({ ...run, serial: 'W-09', found: { gap: '1,5 mm', ground: 'dry' } }, t, 'E'),
    'However it is written.',
  ).toEqual({
    differs: [],
    unsaid: [],
  });
});

it('says in what the article is made otherwise, and what is none by its state', () => {
  const t = trial();
  t.good = {
    ...t.good!,
    found: [],
    made: [
      { article: 'a-11', state: '', whys: ['W-11 with rim filed round', 'the variant (–, then wave)'] },
      { article: '', state: '', whys: ['the article (W-09, then –)'] },
      { article: '', state: 'mockup', whys: ['the article (W-09, then –)', 'the state (finished, then mock-up)'] },
    ],
  };
  const run = beginRun('build-1', t, null, null);
  expect(whatDiffers({ ...run, article: 'a-11', serial: 'W-11' }, t, 'E').differs).toEqual([
    'W-11 with rim filed round',
    'the variant (–, then wave)',
  ]);
  expect(whatDiffers(run, t, 'E').differs).toHaveLength(1);
  expect(whatDiffers({ ...run, state: 'mockup' }, t, 'E').differs).toHaveLength(2);
  expect(whatDiffers({ ...run, article: 'a-09', serial: 'W-09' }, t, 'E').differs).toEqual([]);
});

it('takes another unit for a difference, and a number without one for the unit beside the field', () => {
  const t = trial();
  const run = { ...beginRun('build-1', t, nextSlot(t, []), null), serial: 'W-09', found: { ground: 'dry' } };
  expect(whatDiffers({ ...run, found: { ...run.found, gap: '1.5 cm' } }, t, 'E').differs).toEqual([
    'gap 1.5 cm, was 1.5 mm',
  ]);
  expect(whatDiffers({ ...run, found: { ...run.found, gap: '1.5' } }, t, 'E').differs).toEqual([]);
});

it('is forgotten here once it has ended and nothing of it waits', async () => {
  const t = trial();
  const [open, ended, waits] = [0, 1, 2].map(() => beginRun('build-1', t, null, null));
  await keepRun(open!);
  await keepRun({ ...ended!, outcome: 'held' });
  await keepRun({ ...waits!, outcome: 'held' });
  await sendBegin(waits!, t, 'Ines');
  await forgetSent();
  expect(new Set((await runsHere()).map((r) => r.id))).toEqual(new Set([open!.id, waits!.id]));
});

it('finds and mends the field that a refusal names', () => {
  const body = {
    text: '41 s',
    settings: [
      { name: 'gap', text: '5' },
      { name: 'lever', text: 'in' },
    ],
  };
  expect(atPath(body, 'settings[1].text')).toBe('in');
  expect(atPath(body, 'nothing[3].here')).toBeUndefined();
  expect(withAtPath(body, 'settings[0].text', '5 mm')).toEqual({
    text: '41 s',
    settings: [
      { name: 'gap', text: '5 mm' },
      { name: 'lever', text: 'in' },
    ],
  });
  expect(withAtPath(body, 'ahead.by', 'Greta')).toMatchObject({ ahead: { by: 'Greta' }, text: '41 s' });
});
