import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

import type { Schemas } from '../api/client';

/** One write that waits until it can be sent; sent twice, it is one record. */
export type Waiting = {
  /** In the order in which they were made. */
  seq?: number;
  person: string;
  /** What belongs together: where one is refused, the rest of it waits, and all else goes on. */
  group: string;
  method: 'PUT' | 'POST';
  url: string;
  body: Record<string, unknown> | null;
  /** A picture, a sound or a clip; its fields are the body. */
  file: { blob: Blob; name: string } | null;
  /** What it is, in words. */
  what: string;
  state: 'waiting' | 'refused' | 'conflict';
  /** Why it was not taken, in a sentence. */
  problem: string;
  /** Where, by path. */
  violations: Record<string, string>;
  /** What Lustrum asks back. */
  questions: Schemas['AskedBack'][];
  /** For a conflict: the record as it is now. */
  theirs: Record<string, unknown> | null;
};

/** A build that a phone holds, and when it was fetched. */
export type Held = { person: string; at: string; sheet: Schemas['FieldSheet'] };

/** Who used this device last, so that it opens without network. */
export type LastPerson = { email: string; name: string };

/** What somebody who signed out left here, for them alone: a draft, or a write with its file. */
export type Sealed = {
  person: string;
  iv: Uint8Array<ArrayBuffer>;
  content: ArrayBuffer;
  file: ArrayBuffer | null;
  fileIv: Uint8Array<ArrayBuffer>;
};

interface Store extends DBSchema {
  drafts: { key: string; value: unknown };
  queue: { key: number; value: Waiting };
  held: { key: string; value: Held };
  last: { key: string; value: LastPerson };
  sealed: { key: number; value: Sealed };
}

/** What this device keeps; it outlives the page. */
export const store: Promise<IDBPDatabase<Store>> = openDB<Store>('lustrum', 3, {
  upgrade(db, from) {
    if (from < 1) db.createObjectStore('drafts');
    if (from < 2) {
      db.createObjectStore('queue', { keyPath: 'seq', autoIncrement: true });
      db.createObjectStore('held');
      db.createObjectStore('last');
    }
    db.createObjectStore('sealed', { autoIncrement: true });
  },
});

let person = '';

/** Whose drafts, held builds and waiting writes are read and kept from here on. */
export function keepFor(email: string): void {
  person = email;
}

export function whose(): string {
  return person;
}

export const own = (key: string) => `${person} ${key}`;
