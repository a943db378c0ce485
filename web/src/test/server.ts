import { vi } from 'vitest';

/** What a screen sent. */
export type Sent = { method: string; url: string; body: Record<string, unknown> };

type Reply = { status?: number; body?: unknown; stale?: string; offline?: boolean; hangs?: boolean };

export const refusal = (status: number, kind: string, detail: string, more: object = {}): Reply => ({
  status,
  body: { type: `urn:lustrum:problem:${kind}`, title: 'No', status, detail, ...more },
});

export const OFF: Reply = { offline: true };

/** The line is there, and nobody answers: until whoever asked gives up. */
export const HANGS: Reply = { hangs: true };

/**
 * Stands for the server at the one place where the web reaches it. Replies are given in their order, by the beginning of
 * "METHOD /address"; the last one stays. What nobody foresaw is answered with an empty object.
 */
export function server(replies: Record<string, Reply | Reply[]> = {}): Sent[] {
  const sent: Sent[] = [];
  const left = new Map(Object.entries(replies).map(([key, of]) => [key, Array.isArray(of) ? [...of] : [of]]));
  const answer = async (input: Request | string, init?: RequestInit): Promise<Response> => {
    const request = typeof input === 'string' ? new Request(new URL(input, 'http://lustrum.test'), init) : input;
    const signal = init?.signal ?? request.signal;
    const { pathname, search } = new URL(request.url);
    const text = await request.clone().text();
    // A form with files is not looked into.
    const body = text.startsWith('{') ? (JSON.parse(text) as Record<string, unknown>) : {};
    sent.push({ method: request.method, url: pathname + search, body });
    const key = [...left.keys()].find((k) => `${request.method} ${pathname}`.startsWith(k));
    const queue = key === undefined ? [] : (left.get(key) ?? []);
    const reply = (queue.length > 1 ? queue.shift() : queue[0]) ?? {};
    if (reply.offline === true) throw new TypeError('Failed to fetch');
    if (reply.hangs === true)
      await new Promise((_, reject) => {
        const end = () => reject(signal.reason as Error);
        if (signal.aborted) end();
        signal.addEventListener('abort', end);
      });
    return new Response(JSON.stringify(reply.body ?? {}), {
      status: reply.status ?? 200,
      headers: { 'Content-Type': 'application/json', 'X-Stale': reply.stale ?? '' },
    });
  };
  answerBy(answer);
  return sent;
}

type Answers = (input: Request | string, init?: RequestInit) => Promise<Response>;

/** Answers whatever is asked, by either of the two ways: with a request, and with one that tells how far it is. */
export function answerBy(answers: Answers): void {
  vi.stubGlobal('fetch', answers);
  vi.stubGlobal('XMLHttpRequest', xhrOf(answers));
}

function xhrOf(answers: Answers): unknown {
  return class {
    upload: { onprogress: (() => void) | null; onload: (() => void) | null } = { onprogress: null, onload: null };
    onreadystatechange: (() => void) | null = null;
    onprogress: (() => void) | null = null;
    onload: (() => void) | null = null;
    onerror: (() => void) | null = null;
    status = 0;
    readyState = 0;
    responseText = '';
    readonly #gone = new AbortController();
    readonly #headers: Record<string, string> = {};
    #method = '';
    #url = '';
    #answered = '';

    open(method: string, url: string) {
      [this.#method, this.#url] = [method, url];
    }
    setRequestHeader(name: string, value: string) {
      this.#headers[name] = value;
    }
    getAllResponseHeaders() {
      return this.#answered;
    }
    abort() {
      this.#gone.abort();
    }
    send(body: BodyInit | null) {
      this.upload.onprogress?.();
      const init = { method: this.#method, headers: this.#headers, body, signal: this.#gone.signal };
      void this.#take(answers(this.#url, init)).catch(() => this.#gone.signal.aborted || this.onerror?.());
    }
    async #take(answer: Promise<Response>) {
      const response = await answer;
      this.upload.onload?.();
      this.status = response.status;
      this.#answered = [...response.headers].map(([name, value]) => `${name}: ${value}`).join('\r\n');
      this.readyState = 2;
      this.onreadystatechange?.();
      const reader = response.body?.getReader();
      const decoder = new TextDecoder();
      for (;;) {
        const piece = await reader?.read();
        if (piece === undefined || piece.done) break;
        this.responseText += decoder.decode(piece.value, { stream: true });
        this.onprogress?.();
      }
      this.readyState = 4;
      this.onload?.();
    }
  };
}

/** Those that were sent by one method to addresses that begin so. */
export const of = (sent: Sent[], method: string, url: string): Sent[] =>
  sent.filter((s) => s.method === method && s.url.startsWith(url));
