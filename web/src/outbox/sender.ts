import { api, must, ProblemError, send, setToken } from '../api/client';
import { remove, replace, waiting } from './queue';
import { whose, type Waiting } from './store';

/** How the last try to send ended. */
export type Sent = 'done' | 'offline' | 'signedOut' | 'other';

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
  const stuck = new Set(all.filter((w) => w.state !== 'waiting').map((w) => w.group));
  for (const write of all) {
    if (write.state !== 'waiting' || stuck.has(write.group)) continue;
    const problem = await sendOne(write);
    if (problem === null) {
      await remove(write.seq!);
      continue;
    }
    // Nobody was reached, or nobody may just now: it waits as it is.
    if (problem.status === 401) return 'signedOut';
    if (problem.status === 0 || problem.status === 429 || problem.status >= 500) return 'offline';
    stuck.add(write.group);
    await replace(refused(write, problem));
  }
  return 'done';
}

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
    await must(send(write.method, write.url, write.file === null ? (write.body ?? {}) : form(write, write.file)));
    return null;
  } catch (error) {
    if (error instanceof ProblemError) return error;
    throw error;
  }
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
