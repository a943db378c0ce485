import { announce } from './queue';
import { own, store, whose, type Sealed, type Waiting } from './store';

/*
 * What is on this device when somebody signs out. What the server has is removed; what it has not is kept, sealed with a
 * key that the server tells to that person alone, until they are here again. (A browser seals only at an address that
 * begins with https, or on this machine; elsewhere what waits stays as it is, kept apart by person.)
 */

/** What is in a sealed entry. */
type Entry =
  | { draft: { key: string; value: unknown } }
  | { write: Omit<Waiting, 'file'>; file: { name: string; type: string } | null };

const IV_BYTES = 12;
const canSeal = (): boolean => typeof crypto.subtle !== 'undefined';

async function keyOf(hex: string): Promise<CryptoKey> {
  const bytes = Uint8Array.from(hex.match(/../g) ?? [], (pair) => parseInt(pair, 16));
  return crypto.subtle.importKey('raw', bytes, 'AES-GCM', false, ['encrypt', 'decrypt']);
}

const fresh = () => crypto.getRandomValues(new Uint8Array(IV_BYTES));

const all = () => IDBKeyRange.bound(own(''), own('\uffff'));

/** Leaves this device to whoever comes next: held builds go, what waits is sealed. */
export async function leave(seal: string | null): Promise<void> {
  const db = await store;
  await db.delete('held', all());
  await db.delete('last', 'person');
  if (seal === null || !canSeal()) return;
  const key = await keyOf(seal);
  for (const name of await db.getAllKeys('drafts', all())) {
    const value: unknown = await db.get('drafts', name);
    await keep(key, { draft: { key: name.slice(own('').length), value } }, null);
    await db.delete('drafts', name);
  }
  for (const write of (await db.getAll('queue')).filter((w) => w.person === whose())) {
    const { file, ...rest } = write;
    const about = file === null ? null : { name: file.name, type: file.blob.type };
    await keep(key, { write: rest, file: about }, file?.blob ?? null);
    await db.delete('queue', write.seq!);
  }
  announce();
}

async function keep(key: CryptoKey, entry: Entry, file: Blob | null): Promise<void> {
  const [iv, fileIv] = [fresh(), fresh()];
  const plain = new TextEncoder().encode(JSON.stringify(entry));
  const content = await crypto.subtle.encrypt({ name: 'AES-GCM', iv }, key, plain);
  const sealedFile =
    file === null ? null : await crypto.subtle.encrypt({ name: 'AES-GCM', iv: fileIv }, key, await file.arrayBuffer());
  await (await store).add('sealed', { person: whose(), iv, content, file: sealedFile, fileIv });
}

/** Whoever signed in here again finds what they left. What cannot be opened stays sealed. */
export async function comeBack(seal: string | null): Promise<void> {
  if (seal === null || !canSeal()) return;
  const db = await store;
  const keys = (await db.getAllKeys('sealed')).sort((a, b) => a - b);
  if (keys.length === 0) return;
  const key = await keyOf(seal);
  for (const at of keys) {
    const sealed = await db.get('sealed', at);
    if (sealed?.person !== whose()) continue;
    try {
      const plain = await crypto.subtle.decrypt({ name: 'AES-GCM', iv: sealed.iv }, key, sealed.content);
      await putBack(JSON.parse(new TextDecoder().decode(plain)) as Entry, key, sealed);
      await db.delete('sealed', at);
    } catch {
      // Sealed with another key: nobody here can say whose it is.
    }
  }
  announce();
}

async function putBack(entry: Entry, key: CryptoKey, sealed: Sealed): Promise<void> {
  const db = await store;
  if ('draft' in entry) {
    // What was begun anew meanwhile is not written over.
    if ((await db.get('drafts', own(entry.draft.key))) === undefined)
      await db.put('drafts', entry.draft.value, own(entry.draft.key));
    return;
  }
  const { write, file } = entry;
  const blob =
    file === null || sealed.file === null
      ? null
      : new Blob([await crypto.subtle.decrypt({ name: 'AES-GCM', iv: sealed.fileIv }, key, sealed.file)], {
          type: file.type,
        });
  const rest = { ...write };
  // It goes behind what was written since.
  delete rest.seq;
  await db.add('queue', { ...rest, file: blob === null || file === null ? null : { blob, name: file.name } });
}
