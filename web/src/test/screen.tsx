import 'fake-indexeddb/auto';

import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, vi } from 'vitest';

import { onStale } from '../api/stale';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  onStale(() => Promise.resolve());
});

/** Draws a part of a screen as the application would; what it gives draws something else in its place. */
export function show(part: ReactNode): (next: ReactNode) => void {
  const client = new QueryClient({
    defaultOptions: { queries: { retry: false, networkMode: 'always' }, mutations: { networkMode: 'always' } },
  });
  const within = (of: ReactNode) => <QueryClientProvider client={client}>{of}</QueryClientProvider>;
  const drawn = render(within(part));
  return (next) => drawn.rerender(within(next));
}
