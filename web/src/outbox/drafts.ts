import { openDB, type DBSchema } from 'idb';

interface DraftStore extends DBSchema {
  drafts: { key: string; value: unknown };
}

/** What is typed and not yet kept by the server, on this device; it outlives the page. */
const store = openDB<DraftStore>('lustrum', 1, {
  upgrade(db) {
    db.createObjectStore('drafts');
  },
});

export async function readDraft<T>(key: string): Promise<T | undefined> {
  try {
    return (await (await store).get('drafts', key)) as T | undefined;
  } catch {
    return undefined;
  }
}

export async function keepDraft(key: string, value: unknown): Promise<void> {
  try {
    await (await store).put('drafts', value, key);
  } catch {
    // A private window without storage: typing still works, only a reload would lose it.
  }
}

export async function dropDraft(key: string): Promise<void> {
  try {
    await (await store).delete('drafts', key);
  } catch {
    // As above.
  }
}

export async function dropAllDrafts(): Promise<void> {
  try {
    await (await store).clear('drafts');
  } catch {
    // As above.
  }
}
