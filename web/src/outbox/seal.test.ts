import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';

import { keepDraft, keepFor, readDraft } from './drafts';
import { heldBuilds, lastPerson, rememberPerson } from './held';
import { enqueue, remove, waiting } from './queue';
import { comeBack, leave } from './seal';
import { store } from './store';

const INES = 'ines@hollowlane.example';
const KEY = '0123456789abcdef'.repeat(4);
const OTHER = 'fedcba9876543210'.repeat(4);

const write = (id: string, blob: Blob | null = null) =>
  enqueue({
    group: 'run-1',
    method: 'PUT',
    url: `/api/readings/${id}`,
    body: { text: '41.2 N' },
    what: id,
    file: blob === null ? null : { blob, name: 'note.txt' },
  });

/** Everything that lies on this device, as somebody reads it who knows where browsers keep it. */
async function lies(): Promise<string> {
  const db = await store;
  const texts: string[] = [];
  for (const name of ['drafts', 'queue', 'held', 'last', 'sealed'] as const)
    for (const one of await db.getAll(name))
      texts.push(
        JSON.stringify(one, (_, value: unknown) =>
          value instanceof ArrayBuffer ? new TextDecoder().decode(value) : value,
        ),
      );
  return texts.join(' ');
}

beforeEach(async () => {
  keepFor(INES);
  for (const one of await waiting()) await remove(one.seq!);
  await (await store).clear('drafts');
  await (await store).clear('sealed');
});

describe('a device that somebody signs out of', () => {
  it('keeps what waits sealed for that person, in its order, and gives it back to nobody else', async () => {
    await write('a');
    await write('b', new Blob(['Ditch at 12 m'], { type: 'text/plain' }));
    await keepDraft('field-run:1', { trial: 'Slope', found: { soil: 'moist' } });
    await rememberPerson({ email: INES, name: 'Ines' });
    expect(await lies()).toContain('41.2 N');

    await leave(KEY);
    expect([await waiting(), await heldBuilds(), await lastPerson()]).toEqual([[], [], undefined]);
    const left = await lies();
    for (const secret of ['41.2 N', 'Ditch', 'Slope', 'moist', 'readings']) expect(left).not.toContain(secret);

    keepFor('tobias@hollowlane.example');
    await comeBack(KEY);
    expect(await waiting()).toEqual([]);
    keepFor(INES);
    await comeBack(OTHER);
    expect(await waiting(), 'Another key opens nothing, and loses nothing.').toEqual([]);
    await comeBack(null);

    await comeBack(KEY);
    const back = await waiting();
    expect(back.map((w) => [w.what, w.state])).toEqual([
      ['a', 'waiting'],
      ['b', 'waiting'],
    ]);
    expect(await back[1]?.file?.blob.text()).toBe('Ditch at 12 m');
    expect(back[1]?.file?.blob.type).toBe('text/plain');
    expect(await readDraft('field-run:1')).toEqual({ trial: 'Slope', found: { soil: 'moist' } });
    expect(await (await store).count('sealed')).toBe(0);
  });

  it('writes nothing over that was begun anew meanwhile', async () => {
    await keepDraft('note', 'as it was');
    await leave(KEY);
    await keepDraft('note', 'anew');
    await comeBack(KEY);
    expect(await readDraft('note')).toBe('anew');
  });
});
