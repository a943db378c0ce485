import { afterEach, describe, expect, it, vi } from 'vitest';

import { answerBy } from '../test/server';
import { ProblemError, setToken } from './client';
import { linesOf, sendLong, type HowFar } from './lines';
import { onStale } from './stale';

/** A body that comes in these pieces. */
function body(...pieces: (string | Uint8Array)[]): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  return new ReadableStream({
    start(controller) {
      for (const piece of pieces) controller.enqueue(typeof piece === 'string' ? encoder.encode(piece) : piece);
      controller.close();
    },
  });
}

async function read(...pieces: (string | Uint8Array)[]): Promise<unknown[]> {
  const out: unknown[] = [];
  for await (const line of linesOf(body(...pieces))) out.push(line);
  return out;
}

function answered(status: number, ...pieces: string[]) {
  const fetched = vi.fn(() => Promise.resolve(new Response(body(...pieces), { status })));
  answerBy(fetched);
  return fetched;
}

const far = (taken: number): string =>
  JSON.stringify({ taken, of: 3, sentence: `${String(taken)} of 3 records` }) + '\n';
const caught = (cause: unknown): ProblemError => {
  expect(cause).toBeInstanceOf(ProblemError);
  return cause as ProblemError;
};

afterEach(() => {
  vi.unstubAllGlobals();
});

describe('lines of an answer', () => {
  it('are read however they are cut', async () => {
    expect(await read('{"done":1}\n{"done":2}\n')).toEqual([{ done: 1 }, { done: 2 }]);
    expect(await read('{"do', 'ne":1}', '\n{"done"', ':2}\n')).toEqual([{ done: 1 }, { done: 2 }]);
    expect(await read('{"done":1}\n\n\n{"done":2}')).toEqual([{ done: 1 }, { done: 2 }]);
    expect(await read()).toEqual([]);
  });

  it('are put together again within a letter', async () => {
    const bytes = new TextEncoder().encode('{"done":"Märgel"}\n');
    for (let at = 1; at < bytes.length; at++)
      expect(await read(bytes.slice(0, at), bytes.slice(at))).toEqual([{ done: 'Märgel' }]);
  });
});

describe('a file whose taking in is long', () => {
  it('tells how far it is, and then how it went', async () => {
    setToken('t0ken');
    const fetched = answered(200, far(1), far(2), '{"done":{"name":"Wren"}}\n');
    const stale = vi.fn(() => Promise.resolve());
    onStale(stale);
    const told: HowFar[] = [];
    const done = await sendLong<{ name: string }>('/api/x', new Blob(['{}']), (one) => told.push(one));
    expect(done).toEqual({ name: 'Wren' });
    expect(told.map((one) => one.sentence)).toEqual(['1 of 3 records', '2 of 3 records']);
    expect(stale).toHaveBeenCalledWith(null);
    const [url, sent] = fetched.mock.calls[0] as unknown as [string, { headers: Record<string, string> }];
    expect(url).toBe('/api/x');
    expect(sent.headers).toMatchObject({ Accept: 'application/x-ndjson', 'X-Csrf-Token': 't0ken' });
  });

  it('is refused before anything is read', async () => {
    answered(403, '{"type":"urn:lustrum:problem:forbidden","title":"No","status":403,"detail":"Ask a lead."}');
    const error = caught(await sendLong('/api/x', new Blob(), () => undefined).catch((e: unknown) => e));
    expect([error.status, error.message]).toEqual([403, 'Ask a lead.']);
  });

  it('is refused on the way, with the place', async () => {
    const problem = {
      type: 'urn:lustrum:problem:invalid',
      title: 'No',
      status: 422,
      detail: 'No such outcome.',
      violations: [{ path: 'runs/3/outcome', message: 'No such outcome.' }],
    };
    answered(200, far(1), JSON.stringify({ problem }) + '\n');
    const error = caught(await sendLong('/api/x', new Blob(), () => undefined).catch((e: unknown) => e));
    expect(error.violations).toEqual({ 'runs/3/outcome': 'No such outcome.' });
  });

  it('is neither done nor refused where the answer breaks off', async () => {
    const stale = vi.fn(() => Promise.resolve());
    onStale(stale);
    for (const pieces of [[far(1)], [far(1), '{"do'], []]) {
      answered(200, ...pieces);
      const error = caught(await sendLong('/api/x', new Blob(), () => undefined).catch((e: unknown) => e));
      expect(error.kind).toBe('cut-off');
    }
    expect(stale).toHaveBeenCalledTimes(3);
  });

  it('is so as well where the connection goes on the way', async () => {
    const broken = new ReadableStream<Uint8Array>({
      pull(controller) {
        controller.error(new TypeError('network error'));
      },
    });
    answerBy(() => Promise.resolve(new Response(broken, { status: 200 })));
    const error = caught(await sendLong('/api/x', new Blob(), () => undefined).catch((e: unknown) => e));
    expect(error.kind).toBe('cut-off');
  });

  it('says so where there is no connection', async () => {
    answerBy(() => Promise.reject(new TypeError('Failed to fetch')));
    const error = caught(await sendLong('/api/x', new Blob(), () => undefined).catch((e: unknown) => e));
    expect(error.kind).toBe('offline');
  });
});
