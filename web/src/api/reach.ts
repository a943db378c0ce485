import { measure } from './clock';

/*
 * The one place from which the server is reached. Nothing waits for ever: an answer has ten seconds, and what is sent or
 * fetched in large pieces goes on while it moves at all.
 */

/** ms until an answer is there, all of it. */
export const PATIENCE = 10_000;
/** ms without any of it moving, for what is large. */
export const STALL = 20_000;
/** ms for the answer to what was sent whole: a clip is looked through before it is acknowledged. */
const AFTERWARDS = 60_000;

/** The time was up; nobody knows whether it arrived, and sent again it is one record. */
export const slow = (): DOMException => new DOMException('Nobody answered in time.', 'TimeoutError');

/** Was it the time that was up? */
export const isSlow = (cause: unknown): boolean =>
  cause instanceof DOMException && (cause.name === 'TimeoutError' || cause.name === 'AbortError');

/** As fetch, with an end. */
export async function reach(input: Request | string, init?: RequestInit): Promise<Response> {
  const asked = Date.now();
  const response = await fetch(input, { ...init, signal: AbortSignal.timeout(PATIENCE) });
  measure(response.headers.get('Date'), asked, Date.now());
  return response;
}

/** Sends what is large; it may take as long as it moves. The answer can be read while it comes. */
export function reachLong(
  method: string,
  url: string,
  body: XMLHttpRequestBodyInit | null,
  headers: Record<string, string> = {},
): Promise<Response> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    const encoder = new TextEncoder();
    let read = 0;
    let stream: ReadableStreamDefaultController<Uint8Array> | null = null;
    let timer = setTimeout(end, STALL);
    const asked = Date.now();

    function end() {
      request.abort();
      give(slow());
    }
    function moves(patience = STALL) {
      clearTimeout(timer);
      timer = setTimeout(end, patience);
    }
    function give(cause: unknown) {
      clearTimeout(timer);
      if (stream === null) reject(cause instanceof Error ? cause : new TypeError('It broke off.'));
      else stream.error(cause);
    }
    function begin() {
      if (stream !== null || request.readyState < 2) return;
      const answered = new Headers();
      for (const line of request.getAllResponseHeaders().split('\r\n')) {
        const at = line.indexOf(':');
        if (at > 0) answered.append(line.slice(0, at), line.slice(at + 1).trim());
      }
      const isEmpty = request.status === 204 || request.status === 304;
      measure(answered.get('Date'), asked, Date.now());
      const content = new ReadableStream<Uint8Array>({ start: (controller) => void (stream = controller) });
      resolve(new Response(isEmpty ? null : content, { status: request.status, headers: answered }));
    }
    function hand() {
      const text = request.responseText.slice(read);
      read += text.length;
      if (text !== '') stream?.enqueue(encoder.encode(text));
    }

    request.open(method, url);
    for (const [name, value] of Object.entries(headers)) request.setRequestHeader(name, value);
    request.onreadystatechange = begin;
    request.upload.onprogress = () => moves();
    request.upload.onload = () => moves(AFTERWARDS);
    request.onprogress = () => {
      moves(AFTERWARDS);
      begin();
      hand();
    };
    request.onerror = () => give(new TypeError('Failed to fetch'));
    request.onload = () => {
      clearTimeout(timer);
      begin();
      hand();
      stream?.close();
    };
    request.send(body);
  });
}

/**
 * Fetches what is large, for as long as it moves at all.
 *
 * Throws where it is not given out, or nothing moves any more.
 */
export async function fetchFile(url: string): Promise<ArrayBuffer> {
  const control = new AbortController();
  let timer = setTimeout(() => control.abort(slow()), PATIENCE);
  try {
    const response = await fetch(url, { signal: control.signal });
    if (!response.ok || response.body === null) throw new Error('The file could not be fetched.');
    const pieces: Uint8Array<ArrayBuffer>[] = [];
    const reader = response.body.getReader();
    for (;;) {
      const { value, done } = await reader.read();
      if (done) return await new Blob(pieces).arrayBuffer();
      clearTimeout(timer);
      timer = setTimeout(() => control.abort(slow()), STALL);
      pieces.push(value);
    }
  } finally {
    clearTimeout(timer);
  }
}
