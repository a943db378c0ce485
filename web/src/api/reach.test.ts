import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

import { answerBy, HANGS, server } from '../test/server';
import { clockAhead, measure, putRight, rightNow, stamp } from './clock';
import { api, must, ProblemError, send } from './client';
import { PATIENCE, reachLong, STALL } from './reach';

afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const kindOf = async (what: Promise<unknown>): Promise<string> =>
  what.then(
    () => 'answered',
    (error: unknown) => (error instanceof ProblemError ? error.kind : String(error)),
  );

describe('a network that hangs', () => {
  beforeEach(() => {
    // The time limit of a request is the system's own clock: it is let run out at once.
    vi.spyOn(AbortSignal, 'timeout').mockImplementation((ms) => {
      expect(ms).toBe(PATIENCE);
      return AbortSignal.abort(new DOMException('late', 'TimeoutError'));
    });
  });
  afterEach(() => vi.restoreAllMocks());

  it('is said, and nothing waits for ever: what is read, and what is written', async () => {
    server({ 'GET /api/session': HANGS, 'PUT /api/parts/1': HANGS });
    expect(await kindOf(must(api.GET('/api/session')))).toBe('slow');
    const written = must(send('PUT', '/api/parts/1', { name: 'Bracket' }));
    await expect(written).rejects.toThrow('Nobody answered within ten seconds. What you typed is kept');
  });
});

describe('what is large', () => {
  /** An upload of which so many pieces move, one every 15 s, and then no more. */
  function uploads(pieces: number): { aborted: () => boolean } {
    let gone = false;
    vi.stubGlobal(
      'XMLHttpRequest',
      class {
        upload: { onprogress: (() => void) | null } = { onprogress: null };
        readyState = 0;
        open() {
          gone = false;
        }
        setRequestHeader() {
          // None is looked at.
        }
        abort() {
          gone = true;
        }
        send() {
          for (let i = 1; i <= pieces; i += 1) setTimeout(() => this.upload.onprogress?.(), i * 15_000);
        }
      },
    );
    return { aborted: () => gone };
  }

  it('goes on as long as it moves, and is given up where it does not', async () => {
    vi.useFakeTimers();
    const upload = uploads(10);
    const sent = kindOf(must(send('POST', '/api/photos/1', new FormData())));
    await vi.advanceTimersByTimeAsync(150_000);
    expect(upload.aborted(), 'Two and a half minutes, and it moves.').toBe(false);
    await vi.advanceTimersByTimeAsync(STALL);
    expect(upload.aborted()).toBe(true);
    expect(await sent).toBe('slow');
  });

  it('can be read while it comes', async () => {
    const pieces = ['{"a":', '1}'];
    answerBy(() =>
      Promise.resolve(
        new Response(
          new ReadableStream({
            start(controller) {
              for (const piece of pieces) controller.enqueue(new TextEncoder().encode(piece));
              controller.close();
            },
          }),
          { status: 201, headers: { 'X-Stale': 'find' } },
        ),
      ),
    );
    const response = await reachLong('POST', '/api/x', 'y');
    expect([response.status, response.headers.get('X-Stale'), await response.json()]).toEqual([201, 'find', { a: 1 }]);
  });
});

describe('the clock of this device', () => {
  it('is measured by the answers, and stamps are put right by it', () => {
    vi.useFakeTimers({ now: Date.parse('2026-03-02T16:03:00Z') });
    measure('Mon, 02 Mar 2026 14:00:00 GMT', Date.now(), Date.now());
    expect(clockAhead(), 'Two hours and three minutes, less the half second that the server cut off.').toBe(7380);
    expect(stamp().slice(0, 19)).toBe('2026-03-02T14:00:00');
    expect(rightNow()).toBe(Date.parse('2026-03-02T14:00:00.500Z'));
    const was = { startedAt: '2026-03-02T16:01:00.500Z', note: '2026-03-02T16:01:00.500Z' };
    expect(putRight(was, ['startedAt']), 'What was typed is no stamp.').toEqual({
      ...was,
      startedAt: '2026-03-02T13:58:01.000Z',
    });
  });

  it('is left alone where it is right, and by an answer that says too little', () => {
    vi.useFakeTimers({ now: Date.parse('2026-03-02T14:00:12Z') });
    const now = Date.now();
    measure('Mon, 02 Mar 2026 14:00:00 GMT', now, now);
    expect(stamp()).toBe('2026-03-02T14:00:12.000Z');
    measure('Mon, 02 Mar 2026 11:00:00 GMT', now - 9_000, now);
    measure('no date at all', now, now);
    measure(null, now, now);
    expect(clockAhead()).toBe(12);
  });

  it('is as well behind as ahead, to the nearest second', () => {
    vi.useFakeTimers({ now: Date.parse('2026-03-02T12:00:00.700Z') });
    measure('Mon, 02 Mar 2026 14:00:00 GMT', Date.now(), Date.now());
    expect(clockAhead()).toBe(-7200);
  });
});
