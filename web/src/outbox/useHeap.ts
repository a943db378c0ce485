import { useSyncExternalStore } from 'react';

import { heapGoing, onHeap, type Going } from './heap';

/** How far a heap is on its way, kept up to date. */
export function useHeap(): Going | null {
  return useSyncExternalStore(onHeap, heapGoing);
}
