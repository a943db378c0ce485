/** After each write the server says which sheets became stale; whoever holds them listens here. */
type Listener = (names: string[] | null) => Promise<void>;

let listener: Listener = () => Promise.resolve();
let last: Promise<void> = Promise.resolve();

export function onStale(next: Listener): void {
  listener = next;
}

/** @param names of sheets; null: it is not known which, so all of them */
export function markStale(names: string[] | null): void {
  last = listener(names);
}

/** Resolves when what became stale is fetched anew, as far as it is on screen. */
export function refreshed(): Promise<void> {
  return last;
}
