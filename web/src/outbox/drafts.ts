import { own, store } from './store';

export { keepFor } from './store';

/*
 * What is typed and not yet kept by the server, on this device. Each person's waits for that person: signing out drops
 * nothing that was not sent, and shows it to nobody else.
 */

export async function readDraft<T>(key: string): Promise<T | undefined> {
  try {
    return (await (await store).get('drafts', own(key))) as T | undefined;
  } catch {
    return undefined;
  }
}

export async function keepDraft(key: string, value: unknown): Promise<void> {
  try {
    await (await store).put('drafts', value, own(key));
  } catch {
    // A private window without storage: typing still works, only a reload would lose it.
  }
}

export async function dropDraft(key: string): Promise<void> {
  try {
    await (await store).delete('drafts', own(key));
  } catch {
    // As above.
  }
}

/** Keys of all drafts of this person that begin so, without whose they are. */
export async function draftsOf(beginning: string): Promise<string[]> {
  try {
    const keys = await (await store).getAllKeys('drafts', IDBKeyRange.bound(own(beginning), own(`${beginning}\uffff`)));
    return keys.map((key) => key.slice(own('').length));
  } catch {
    return [];
  }
}
