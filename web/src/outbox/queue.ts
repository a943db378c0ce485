import { store, whose, type Waiting } from './store';

/** Browsers tell each other's tabs, so that one count stands in all of them. */
const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('lustrum-queue');
const listeners = new Set<() => void>();
channel?.addEventListener('message', () => listeners.forEach((l) => l()));

export function onQueue(listener: () => void): () => void {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
}

/** Everybody who counts what waits counts anew. */
export function announce(): void {
  listeners.forEach((l) => l());
  channel?.postMessage('changed');
}

type New = Pick<Waiting, 'group' | 'method' | 'url' | 'body' | 'what'> & { file?: Waiting['file'] };

/**
 * Keeps a write until it can be sent.
 *
 * @throws Error with a sentence where this device keeps nothing more
 */
export async function enqueue(write: New): Promise<void> {
  try {
    await (
      await store
    ).add('queue', {
      file: null,
      ...write,
      person: whose(),
      state: 'waiting',
      problem: '',
      violations: {},
      questions: [],
      theirs: null,
    });
  } catch (cause) {
    throw new Error(
      'This device has no room left, so this was not kept. What was kept before is safe: send it, or free some room, and try again.',
      { cause },
    );
  }
  announce();
}

/** All that waits for whoever is signed in, in order. */
export async function waiting(): Promise<Waiting[]> {
  return (await (await store).getAll('queue')).filter((w) => w.person === whose());
}

export async function replace(write: Waiting): Promise<void> {
  await (await store).put('queue', write);
  announce();
}

export async function remove(seq: number): Promise<void> {
  await (await store).delete('queue', seq);
  announce();
}

/** The same write once more, with something mended. */
export function mended(write: Waiting, body: Record<string, unknown>): Promise<void> {
  return replace({ ...write, body, state: 'waiting', problem: '', violations: {}, questions: [], theirs: null });
}
