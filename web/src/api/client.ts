import createClient, { type Middleware } from 'openapi-fetch';

import { isSlow, reach, reachLong } from './reach';
import type { components, paths } from './schema';
import { markStale } from './stale';

type Full = components['schemas'];
type Short<K> = K extends `${string}.${infer Rest}` ? Short<Rest> : K;

/** What travels, by the name of its class; the description names each by its full one. */
export type Schemas = { [K in keyof Full as Short<K>]: Full[K] };
type Required = 'type' | 'title' | 'status' | 'detail';
type ProblemDocument = Pick<Schemas['ProblemDocument'], Required> & Partial<Omit<Schemas['ProblemDocument'], Required>>;

/** An answer that is not the one hoped for; `detail` is a sentence for people. */
export class ProblemError extends Error {
  readonly status: number;
  readonly document: ProblemDocument;

  constructor(document: ProblemDocument) {
    super(document.detail);
    this.status = document.status;
    this.document = document;
  }

  get kind(): string {
    return this.document.type.replace('urn:lustrum:problem:', '');
  }

  /** What is wrong at which field, by path. */
  get violations(): Record<string, string> {
    return Object.fromEntries((this.document.violations ?? []).map((v) => [v.path, v.message]));
  }
}

export const OFFLINE = 'There is no connection just now. What you typed is kept on this device; try again in a moment.';

export function offline(): ProblemError {
  return new ProblemError({ type: 'urn:lustrum:problem:offline', title: 'No connection', status: 0, detail: OFFLINE });
}

const SLOW =
  'Nobody answered within ten seconds. What you typed is kept on this device; try again in a moment: sent twice, it is kept once.';

/** The time was up. */
function tooSlow(): ProblemError {
  return new ProblemError({ type: 'urn:lustrum:problem:slow', title: 'No answer', status: 0, detail: SLOW });
}

let token = '';
export function setToken(next: string): void {
  token = next;
}

export function tokenHeader(): Record<string, string> {
  return { 'X-Csrf-Token': token };
}

const carryToken: Middleware = {
  onRequest({ request }) {
    if (request.method !== 'GET') request.headers.set('X-Csrf-Token', token);
    return request;
  },
  onResponse({ request, response }) {
    if (request.method !== 'GET') noteStale(response, response.url);
  },
};

function noteStale(response: Response, url: string): void {
  if (!response.ok || url.endsWith('/preview') || url.endsWith('/api/session')) return;
  const names = response.headers.get('X-Stale');
  markStale(names === null ? null : names.split(' ').filter(Boolean));
}

export const api = createClient<paths>({ baseUrl: '/', fetch: (request) => reach(request) });
api.use(carryToken);

export type Answer<T> = { data?: T; error?: unknown; response: Response };

/** The data of an answer, or a thrown ProblemError. */
export async function must<T>(answer: Promise<Answer<T>>): Promise<T> {
  let got: Answer<T>;
  try {
    got = await answer;
  } catch (cause) {
    if (cause instanceof TypeError) throw offline();
    throw isSlow(cause) ? tooSlow() : cause;
  }
  if (got.response.ok) return got.data as T;
  throw new ProblemError(documentOf(got.error, got.response.status));
}

/** Sends a body that was put together while the application runs: a form, a file, what a screen let people type. */
export async function send<T>(
  method: 'PUT' | 'POST',
  url: string,
  body: FormData | string | Record<string, unknown>,
): Promise<Answer<T>> {
  const response =
    body instanceof FormData
      ? await reachLong(method, url, body, tokenHeader())
      : await reach(url, {
          method,
          body: typeof body === 'string' ? body : JSON.stringify(body),
          headers: { ...tokenHeader(), 'Content-Type': 'application/json' },
        });
  noteStale(response, url);
  const answer: unknown = await response.json().catch(() => null);
  return response.ok ? { data: answer as T, response } : { error: answer, response };
}

/** A problem document as it came, or one that says that nothing readable did. */
export function documentOf(body: unknown, status: number): ProblemDocument {
  if (typeof body === 'object' && body !== null && 'detail' in body && 'type' in body) return body as ProblemDocument;
  return {
    type: 'urn:lustrum:problem:broken',
    title: 'Something broke here',
    status,
    detail: 'Something broke on our side. What you typed is kept; nothing was stored by halves.',
  };
}
