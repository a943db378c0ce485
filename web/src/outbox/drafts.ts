import { openDB, type DBSchema } from 'idb';

interface DraftStore extends DBSchema {
  drafts: { key: string; value: unknown };
}

/**
 * What is typed and not yet kept by the server, on this device; it outlives the page. Each person's waits for that
 * person: signing out drops nothing that was not sent, and shows it to nobody else.
 */
const store = openDB<DraftStore>('lustrum', 1, {
  upgrade(db) {
    db.createObjectStore('drafts');
  },
});

let person = '';

/** Whose drafts are read and kept from here on. */
export function keepFor(email: string): void {
  person = email;
}

const own = (key: string) => `${person} ${key}`;

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
