import { documentOf, offline, ProblemError, tokenHeader } from './client';
import { isSlow, reachLong } from './reach';
import { markStale } from './stale';

/** One JSON text a line. */
const LINES = 'application/x-ndjson';

/** What an answer says on its way, each on a line of its own: how far it is, and how it went. */
export interface HowFar {
  taken: number;
  of: number;
  sentence: string;
}
type Line<T> = HowFar | { done: T } | { problem: unknown };

/** Cuts a stream of text into what its lines say; a line may come in pieces. */
export async function* linesOf<T>(body: ReadableStream<Uint8Array>): AsyncGenerator<Line<T>> {
  const reader = body.getReader();
  const decoder = new TextDecoder();
  let rest = '';
  for (;;) {
    const { value, done } = await reader.read();
    rest += decoder.decode(value, { stream: !done });
    const lines = rest.split('\n');
    rest = done ? '' : (lines.pop() ?? '');
    for (const line of lines) if (line.trim() !== '') yield JSON.parse(line) as Line<T>;
    if (done) return;
  }
}

/** The answer broke off: whoever asked cannot know how it went. */
function cutOff(): ProblemError {
  return new ProblemError({
    type: 'urn:lustrum:problem:cut-off',
    title: 'Broken off',
    status: 0,
    detail:
      'The connection broke before the answer was there. Look whether it is in the list before you send it again.',
  });
}

/**
 * Sends a file of JSON whose taking in is long, and tells how far it is.
 *
 * Throws a ProblemError, also where the answer breaks off before it says how it went.
 */
export async function sendLong<T>(url: string, body: Blob, tell: (far: HowFar) => void): Promise<T> {
  const headers = { ...tokenHeader(), 'Content-Type': 'application/json', Accept: LINES };
  const response = await reachLong('POST', url, body, headers).catch((cause: unknown) => {
    throw cause instanceof TypeError || isSlow(cause) ? offline() : cause;
  });
  if (!response.ok || response.body === null)
    throw new ProblemError(documentOf(await response.json().catch(() => null), response.status));
  try {
    for await (const line of linesOf<T>(response.body)) {
      if ('taken' in line) tell(line);
      else if ('problem' in line) throw new ProblemError(documentOf(line.problem, 422));
      else {
        markStale(null);
        return line.done;
      }
    }
  } catch (cause) {
    if (cause instanceof ProblemError) throw cause;
    // The connection is gone, or a line came in half.
  }
  markStale(null);
  throw cutOff();
}
