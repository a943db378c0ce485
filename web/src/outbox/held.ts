import type { Schemas } from '../api/client';
import { own, store, whose, type Held, type LastPerson } from './store';

/** Builds that this device holds for whoever is signed in, the one that was fetched last first. */
export async function heldBuilds(): Promise<Held[]> {
  const all = await (await store).getAll('held', IDBKeyRange.bound(own(''), own('\uffff')));
  return all.sort((a, b) => (a.at < b.at ? 1 : -1));
}

export async function hold(sheet: Schemas['FieldSheet'], at: string): Promise<void> {
  await (await store).put('held', { person: whose(), at, sheet }, own(sheet.revision.id));
}

export async function letGo(revision: string): Promise<void> {
  await (await store).delete('held', own(revision));
}

/** Whoever was signed in here last: without network nobody can be asked. */
export async function lastPerson(): Promise<LastPerson | undefined> {
  return (await store).get('last', 'person').catch(() => undefined);
}

export async function rememberPerson(person: LastPerson | null): Promise<void> {
  const db = await store;
  await (person === null ? db.delete('last', 'person') : db.put('last', person, 'person')).catch(() => undefined);
}
