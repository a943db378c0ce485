import type { QueryClient } from '@tanstack/react-query';

import { frameQuery } from '../api/queries';
import { viewAt, type Registered, type View } from '../ui/place';

/** Every folder of a station that registers itself; another one appears without a line here. */
export const STATION_VIEWS: View[] = Object.values(
  import.meta.glob<{ station: Registered }>('../stations/*/station.ts', { eager: true }),
).flatMap(({ station }) => station.views);

/** What the address will need is asked for before anything is drawn, all at once. */
export function fetchAhead(client: QueryClient, pathname: string): void {
  const [, d, device, , ...at] = pathname.split('/');
  if (pathname === '/') void import('./Devices');
  if (d !== 'd' || device === undefined || device === '') return;
  void client.prefetchQuery(frameQuery(device));
  void viewAt(STATION_VIEWS, at.join('/'))?.load();
}

/** The sheet of a station beside its code. */
export function fetchSheet(client: QueryClient, pathname: string, revision: string): void {
  void viewAt(STATION_VIEWS, pathname.split('/').slice(4).join('/'))?.fetch?.(client, revision);
}
