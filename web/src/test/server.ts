import { vi } from 'vitest';

/** What a screen sent. */
export type Sent = { method: string; url: string; body: Record<string, unknown> };

type Reply = { status?: number; body?: unknown; stale?: string; offline?: boolean };

export const refusal = (status: number, kind: string, detail: string, more: object = {}): Reply => ({
  status,
  body: { type: `urn:lustrum:problem:${kind}`, title: 'No', status, detail, ...more },
});

export const OFF: Reply = { offline: true };

/**
 * Stands for the server at the one place where the web reaches it. Replies are given in their order, by the beginning of
 * "METHOD /address"; the last one stays. What nobody foresaw is answered with an empty object.
 */
export function server(replies: Record<string, Reply | Reply[]> = {}): Sent[] {
  const sent: Sent[] = [];
  const left = new Map(Object.entries(replies).map(([key, of]) => [key, Array.isArray(of) ? [...of] : [of]]));
  vi.stubGlobal('fetch', async (input: Request | string, init?: RequestInit) => {
    const request = typeof input === 'string' ? new Request(new URL(input, 'http://lustrum.test'), init) : input;
    const { pathname, search } = new URL(request.url);
    const text = await request.clone().text();
    // A form with files is not looked into.
    const body = text.startsWith('{') ? (JSON.parse(text) as Record<string, unknown>) : {};
    sent.push({ method: request.method, url: pathname + search, body });
    const key = [...left.keys()].find((k) => `${request.method} ${pathname}`.startsWith(k));
    const queue = key === undefined ? [] : (left.get(key) ?? []);
    const reply = (queue.length > 1 ? queue.shift() : queue[0]) ?? {};
    if (reply.offline === true) throw new TypeError('Failed to fetch');
    return new Response(JSON.stringify(reply.body ?? {}), {
      status: reply.status ?? 200,
      headers: { 'Content-Type': 'application/json', 'X-Stale': reply.stale ?? '' },
    });
  });
  return sent;
}

/** Those that were sent by one method to addresses that begin so. */
export const of = (sent: Sent[], method: string, url: string): Sent[] =>
  sent.filter((s) => s.method === method && s.url.startsWith(url));
