import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it, vi } from 'vitest';

import { answerBy, HANGS, of, OFF, refusal, server, type Sent } from '../test/server';
import { keepFor } from './drafts';
import { enqueue, mended, remove, waiting } from './queue';
import { flush } from './sender';

const INES = 'ines@hollowlane.example';
const signedIn = (email: string | null) => ({
  body: { name: email, email, workspaces: [], token: 'fresh', empty: false },
});
const put = (group: string, id: string, text: string) =>
  enqueue({ group, method: 'PUT', url: `/api/readings/${id}`, body: { text }, what: text });
const urls = (sent: Sent[]) => sent.filter((s) => s.method !== 'GET').map((s) => s.url.split('/').at(-1));

beforeEach(async () => {
  vi.unstubAllGlobals();
  keepFor(INES);
  for (const write of await waiting()) await remove(write.seq!);
});

describe('what waits to be sent', () => {
  it('goes in the order in which it was written, and is gone once it was taken', async () => {
    await put('run-1', 'a', '41');
    await put('run-2', 'b', '42');
    await put('run-1', 'c', '43');
    const sent = server({ 'GET /api/session': signedIn(INES) });
    expect(await flush()).toBe('done');
    expect(urls(sent)).toEqual(['a', 'b', 'c']);
    expect(await waiting()).toEqual([]);
  });

  it('waits where there is no network, and loses nothing when it breaks in the middle', async () => {
    await put('run-1', 'a', '41');
    await put('run-1', 'b', '42');
    server({ 'GET /api/session': signedIn(INES), 'PUT /api/readings/b': OFF });
    expect(await flush()).toBe('offline');
    expect((await waiting()).map((w) => w.what)).toEqual(['42']);
    server({ 'GET /api/session': OFF });
    expect(await flush()).toBe('offline');
    const sent = server({ 'GET /api/session': signedIn(INES) });
    expect(await flush()).toBe('done');
    expect(of(sent, 'PUT', '/api/readings/b')[0]!.body).toEqual({ text: '42' });
  });

  it.each([
    ['an answer of a server that is down', 502],
    ['one that says too often', 429],
  ])('is not refused by %s', async (_, status) => {
    await put('run-1', 'a', '41');
    server({ 'GET /api/session': signedIn(INES), 'PUT /api/readings/a': refusal(status, 'away', 'Away.') });
    expect(await flush()).toBe('offline');
    expect((await waiting())[0]).toMatchObject({ state: 'waiting', problem: '' });
  });

  it('goes on where one send hangs: only what belongs to it waits', async () => {
    await put('run-1', 'a', '41');
    await put('run-1', 'b', '42');
    await put('run-2', 'c', '43');
    await put('run-3', 'd', '44');
    const sent = server({ 'GET /api/session': signedIn(INES), 'PUT /api/readings/a': HANGS });
    const timeout = vi.spyOn(AbortSignal, 'timeout').mockImplementation(() => {
      const end = new AbortController();
      setTimeout(() => end.abort(new DOMException('late', 'TimeoutError')), 4_000);
      return end.signal;
    });
    expect(await flush(), 'Of that one nobody knows anything yet.').toBe('offline');
    timeout.mockRestore();
    expect(urls(sent)).toEqual(['a', 'c', 'd']);
    expect((await waiting()).map((w) => w.what)).toEqual(['41', '42']);
  });

  it('puts right what was written down before anybody had measured the clock', async () => {
    await enqueue({
      group: 'run-9',
      method: 'PUT',
      url: '/api/runs/9',
      body: { startedAt: new Date(Date.now()).toISOString(), clockAhead: null },
      what: 'begun',
    });
    const behind = new Date(Date.now() - 7_200_000);
    const sent: Record<string, unknown>[] = [];
    answerBy(async (input, init) => {
      const request = typeof input === 'string' ? new Request(new URL(input, 'http://lustrum.test'), init) : input;
      if (request.method === 'PUT') sent.push((await request.json()) as Record<string, unknown>);
      return new Response(JSON.stringify(signedIn(INES).body), { headers: { Date: behind.toUTCString() } });
    });
    expect(await flush()).toBe('done');
    expect(sent[0]?.['clockAhead']).toBeGreaterThan(7_195);
    expect(Math.abs(Date.parse(String(sent[0]?.['startedAt'])) - behind.getTime())).toBeLessThan(5_000);
  });

  it('is never sent under another name, nor while nobody is signed in', async () => {
    await put('run-1', 'a', '41');
    let sent = server({ 'GET /api/session': signedIn('tobias@hollowlane.example') });
    expect(await flush()).toBe('other');
    expect(urls(sent)).toEqual([]);
    sent = server({ 'GET /api/session': signedIn(null) });
    expect(await flush()).toBe('signedOut');
    expect(urls(sent)).toEqual([]);
    keepFor('tobias@hollowlane.example');
    expect(await waiting(), 'Nor is it shown to anybody else.').toEqual([]);
    keepFor(INES);
    expect(await waiting()).toHaveLength(1);
  });

  it('waits as it is when the session ends in the middle', async () => {
    await put('run-1', 'a', '41');
    server({
      'GET /api/session': signedIn(INES),
      'PUT /api/readings/a': refusal(401, 'signed-out', 'You are signed out.'),
    });
    expect(await flush()).toBe('signedOut');
    expect((await waiting())[0]).toMatchObject({ state: 'waiting' });
  });

  it('stays with its sentence where it is refused; the rest of its run waits, and all else goes on', async () => {
    await put('run-1', 'a', '41 s');
    await put('run-1', 'b', '42');
    await put('run-2', 'c', '43');
    let sent = server({
      'GET /api/session': signedIn(INES),
      'PUT /api/readings/a': refusal(422, 'invalid', 'This is read in N.', {
        violations: [{ path: 'text', message: 'This is read in N.' }],
      }),
    });
    expect(await flush()).toBe('done');
    expect(urls(sent)).toEqual(['a', 'c']);
    const [refused] = await waiting();
    expect(refused).toMatchObject({
      state: 'refused',
      problem: 'This is read in N.',
      violations: { text: 'This is read in N.' },
    });

    sent = server({ 'GET /api/session': signedIn(INES) });
    await flush();
    expect(urls(sent), 'Nobody has mended it yet.').toEqual([]);
    await mended(refused!, { text: '41 N' });
    await flush();
    expect(urls(sent), 'Its place in the order is kept.').toEqual(['a', 'b']);
    expect(of(sent, 'PUT', '/api/readings/a')[0]!.body).toEqual({ text: '41 N' });
  });

  it('keeps both versions of what somebody changed meanwhile', async () => {
    await put('run-1', 'a', 'mine');
    server({
      'GET /api/session': signedIn(INES),
      'PUT /api/readings/a': refusal(409, 'changed', 'Changed meanwhile.', { theirs: { text: 'theirs', version: 4 } }),
    });
    await flush();
    expect((await waiting())[0]).toMatchObject({
      state: 'conflict',
      body: { text: 'mine' },
      theirs: { text: 'theirs', version: 4 },
    });
  });

  it('sends a file as a form', async () => {
    await enqueue({
      group: 'run-1',
      method: 'POST',
      url: '/api/photos/p',
      body: { revision: 'r', run: 'run-1' },
      file: { blob: new Blob(['picture'], { type: 'image/jpeg' }), name: 'crack.jpg' },
      what: 'crack.jpg',
    });
    const sent = server({ 'GET /api/session': signedIn(INES) });
    expect(await flush()).toBe('done');
    expect(of(sent, 'POST', '/api/photos/p')).toHaveLength(1);
  });

  it('says so where the device keeps nothing more', async () => {
    const full = enqueue({ group: 'g', method: 'PUT', url: '/', body: { odd: () => 1 }, what: 'x' } as Parameters<
      typeof enqueue
    >[0]);
    await expect(full).rejects.toThrow('This device has no room left');
  });
});
