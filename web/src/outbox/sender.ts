import { clockAhead, putRight } from '../api/clock';
import { api, must, ProblemError, send, setToken } from '../api/client';
import { remove, replace, waiting } from './queue';
import { whose, type Waiting } from './store';

/** How the last try to send ended. */
export type Sent = 'done' | 'offline' | 'signedOut' | 'other' | 'stuck';

/** Moments that a device wrote down by its own clock. */
const STAMPS = ['startedAt', 'clockAt', 'foundAt'];

/** A send that has not been answered for so many ms keeps nothing else back; it goes on beside the others. */
const KEEPS_BACK = 3_000;

/** After so many ms without news it is tried again by itself. */
const AGAIN = 20_000;

let running: Promise<Sent> | null = null;

/** Sends what waits, in order, by itself as soon as it can; never under another name than it was written under. */
export function flush(): Promise<Sent> {
  running ??= sendAll().finally(() => {
    running = null;
  });
  return running;
}

async function sendAll(): Promise<Sent> {
  const all = await waiting();
  if (all.every((w) => w.state !== 'waiting')) return 'done';
  try {
    const session = await must(api.GET('/api/session'));
    setToken(session.token);
    if (session.email === null) return 'signedOut';
    if (session.email !== whose()) return 'other';
  } catch (error) {
    return error instanceof ProblemError && error.status === 401 ? 'signedOut' : 'offline';
  }
  // What belongs together goes in its order, behind what of it is on its way; all else goes on.
  const groups = new Map<string, Promise<Sent>>();
  const hanging = new Set<string>();
  for (const write of all) {
    const { group, state } = write;
    const before = groups.get(group) ?? Promise.resolve<Sent>('done');
    const mine = state === 'waiting' ? after(before, write) : before.then(stuckBehind);
    groups.set(group, mine);
    if (hanging.has(group)) continue;
    const soFar = await Promise.race([mine, sleep(KEEPS_BACK)]);
    if (soFar === null) hanging.add(group);
    // Nobody may; or the very first reaches nobody, and the rest would wait for nothing.
    if (soFar === 'signedOut' || (soFar === 'offline' && groups.size === 1)) return soFar;
  }
  const ends = await Promise.all(groups.values());
  return ends.includes('signedOut') ? 'signedOut' : ends.includes('offline') ? 'offline' : 'done';
}

/** What was refused stays, and what belongs to it waits behind it. */
const stuckBehind = (before: Sent): Sent => (before === 'done' ? 'stuck' : before);

async function after(before: Promise<Sent>, write: Waiting): Promise<Sent> {
  const sent = await before;
  if (sent !== 'done') return sent;
  const problem = await sendOne(write);
  if (problem === null) {
    await remove(write.seq!);
    return 'done';
  }
  // Nobody was reached, or nobody may just now: it waits as it is.
  if (problem.status === 401) return 'signedOut';
  if (problem.status === 0 || problem.status === 429 || problem.status >= 500) return 'offline';
  await replace(refused(write, problem));
  return 'stuck';
}

const sleep = (ms: number): Promise<null> => new Promise((resolve) => setTimeout(() => resolve(null), ms));

function refused(write: Waiting, problem: ProblemError): Waiting {
  const theirs = problem.document.theirs ?? null;
  return {
    ...write,
    state: problem.status === 409 && theirs !== null ? 'conflict' : 'refused',
    problem: problem.message,
    violations: problem.violations,
    questions: problem.document.questions ?? [],
    theirs,
  };
}

async function sendOne(write: Waiting): Promise<ProblemError | null> {
  try {
    await must(
      send(write.method, write.url, write.file === null ? stamped(write.body ?? {}) : form(write, write.file)),
    );
    return null;
  } catch (error) {
    if (error instanceof ProblemError) return error;
    throw error;
  }
}

/** What was written down before anybody had measured this device's clock is put right by what is measured now. */
function stamped(body: Record<string, unknown>): Record<string, unknown> {
  return body['clockAhead'] === null ? { ...putRight(body, STAMPS), clockAhead: clockAhead() } : body;
}

function form(write: Waiting, file: NonNullable<Waiting['file']>): FormData {
  const out = new FormData();
  for (const [name, value] of Object.entries(write.body ?? {})) {
    if (typeof value === 'string') out.append(name, value);
  }
  out.append('file', file.blob, file.name);
  return out;
}

/** Sends whenever there is network again, and every now and then; the way to stop it. */
export function sendByItself(then: (sent: Sent) => void): () => void {
  const again = () => void flush().then(then, () => then('offline'));
  window.addEventListener('online', again);
  const timer = setInterval(again, AGAIN);
  again();
  return () => {
    window.removeEventListener('online', again);
    clearInterval(timer);
  };
}
