import { afterEach, describe, expect, it, vi } from 'vitest';

import { answerBy } from '../test/server';
import { must, OFFLINE, ProblemError, send, setToken, type Answer } from './client';
import { markStale, onStale, refreshed } from './stale';
import { uuid } from './uuid';

const answer = (status: number, body: unknown, headers: Record<string, string> = {}) =>
  new Response(body === null ? null : JSON.stringify(body), { status, headers });

const problem = (status: number, kind: string, more: object = {}) =>
  answer(status, { type: `urn:lustrum:problem:${kind}`, title: 'No', status, detail: 'A sentence.', ...more });

afterEach(() => {
  vi.unstubAllGlobals();
});

describe('an answer', () => {
  const got = <T>(response: Response, data?: T, error?: unknown): Promise<Answer<T>> =>
    Promise.resolve({ response, ...(data === undefined ? {} : { data }), error });

  it('is its data', async () => {
    await expect(must(got(answer(200, {}), { a: 1 }))).resolves.toEqual({ a: 1 });
  });

  it('is a sentence where it is refused', async () => {
    const document = {
      type: 'urn:lustrum:problem:invalid',
      title: 'No',
      status: 422,
      detail: 'At most 10.',
      violations: [{ path: 'limit', message: 'Too much.' }],
    };
    const error = await must(got(answer(422, document), undefined, document)).catch((e: unknown) => e);
    expect(error).toBeInstanceOf(ProblemError);
    expect((error as ProblemError).kind).toBe('invalid');
    expect((error as ProblemError).message).toBe('At most 10.');
    expect((error as ProblemError).violations).toEqual({ limit: 'Too much.' });
  });

  it('is a sentence where it is not one of ours', async () => {
    await expect(must(got(answer(502, null), undefined, '<html>'))).rejects.toThrow('Something broke on our side');
  });

  it('says that there is no connection', async () => {
    await expect(must(Promise.reject(new TypeError('Failed to fetch')))).rejects.toThrow(OFFLINE);
  });

  it('hides no error of ours', async () => {
    await expect(must(Promise.reject(new RangeError('ours')))).rejects.toThrow('ours');
  });
});

describe('a write', () => {
  it('carries the token, and a file no type of its own', async () => {
    const fetched = vi.fn<(url: Request | string, init?: RequestInit) => Promise<Response>>(() =>
      Promise.resolve(answer(201, { id: '1' })),
    );
    answerBy(fetched);
    setToken('abc');
    await must(send('PUT', '/api/parts/1', { name: 'Bracket' }));
    await must(send('POST', '/api/photos/1', new FormData()));
    const headers = fetched.mock.calls.map(([, init]) => init?.headers);
    expect(headers).toEqual([{ 'X-Csrf-Token': 'abc', 'Content-Type': 'application/json' }, { 'X-Csrf-Token': 'abc' }]);
    expect(fetched.mock.calls[0]![1]?.body).toBe('{"name":"Bracket"}');
  });

  it('makes stale what the server names', async () => {
    const told: (string[] | null)[] = [];
    onStale((names) => {
      told.push(names);
      return Promise.resolve();
    });
    const write = async (response: Response) => {
      answerBy(() => Promise.resolve(response));
      await send('PUT', '/api/parts/1', {});
    };
    await write(answer(200, {}, { 'X-Stale': 'find run' }));
    await write(answer(200, {}, { 'X-Stale': '' }));
    await write(answer(200, {}));
    await write(problem(422, 'invalid'));
    expect(told).toEqual([['find', 'run'], [], null]);
  });

  it('waits until what became stale is there again', async () => {
    let there = false;
    onStale(async () => {
      await Promise.resolve();
      there = true;
    });
    markStale(['find']);
    await refreshed();
    expect(there).toBe(true);
  });
});

describe('an identifier', () => {
  it('is a version 7 with the time in front, so that later ones come later', async () => {
    const first = uuid();
    await new Promise((done) => setTimeout(done, 3));
    const second = uuid();
    expect(first).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    expect(first < second).toBe(true);
    expect(Math.abs(parseInt(first.replaceAll('-', '').slice(0, 12), 16) - Date.now())).toBeLessThan(1000);
  });
});
