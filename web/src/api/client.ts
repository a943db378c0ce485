import createClient, { type Middleware } from 'openapi-fetch';

import type { components, paths } from './schema';

export type Schemas = components['schemas'];
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

function offline(): ProblemError {
  return new ProblemError({ type: 'urn:lustrum:problem:offline', title: 'No connection', status: 0, detail: OFFLINE });
}

let token = '';
export function setToken(next: string): void {
  token = next;
}

const carryToken: Middleware = {
  onRequest({ request }) {
    if (request.method !== 'GET') request.headers.set('X-Csrf-Token', token);
    return request;
  },
};

export const api = createClient<paths>({ baseUrl: '/', fetch: (request) => fetch(request) });
api.use(carryToken);

type Answer<T> = { data?: T; error?: unknown; response: Response };

/** The data of an answer, or a thrown ProblemError. */
export async function must<T>(answer: Promise<Answer<T>>): Promise<T> {
  let got: Answer<T>;
  try {
    got = await answer;
  } catch (cause) {
    if (cause instanceof TypeError) throw offline();
    throw cause;
  }
  if (got.response.ok) return got.data as T;
  throw new ProblemError(documentOf(got.error, got.response.status));
}

/** Sends a form with a file, which the typed client does not do. */
export async function upload<T>(url: string, form: FormData): Promise<T> {
  let response: Response;
  try {
    response = await fetch(url, { method: 'POST', body: form, headers: { 'X-Csrf-Token': token } });
  } catch {
    throw offline();
  }
  const body: unknown = await response.json().catch(() => null);
  if (!response.ok) throw new ProblemError(documentOf(body, response.status));
  return body as T;
}

/** Sends a file as it is. */
export async function sendJson<T>(url: string, text: string): Promise<T> {
  let response: Response;
  try {
    response = await fetch(url, {
      method: 'POST',
      body: text,
      headers: { 'X-Csrf-Token': token, 'Content-Type': 'application/json' },
    });
  } catch {
    throw offline();
  }
  const body: unknown = await response.json().catch(() => null);
  if (!response.ok) throw new ProblemError(documentOf(body, response.status));
  return body as T;
}

function documentOf(body: unknown, status: number): ProblemDocument {
  if (typeof body === 'object' && body !== null && 'detail' in body && 'type' in body) return body as ProblemDocument;
  return {
    type: 'urn:lustrum:problem:broken',
    title: 'Something broke here',
    status,
    detail: 'Something broke on our side. What you typed is kept; nothing was stored by halves.',
  };
}
