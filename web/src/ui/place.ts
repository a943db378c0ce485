import type { QueryClient } from '@tanstack/react-query';
import { createContext, lazy, useContext, useEffect, type ComponentType, type LazyExoticComponent } from 'react';

import type { Schemas } from '../api/client';

export const STATIONS = ['build', 'try', 'find', 'weigh', 'next'] as const;
export type Station = (typeof STATIONS)[number];

/** What a station shows at an address behind a build: its code, and how its sheet is fetched where that hangs on the build alone. */
export type View = {
  path: string;
  load: () => Promise<{ default: ComponentType }>;
  view: LazyExoticComponent<ComponentType>;
  fetch: ((client: QueryClient, revision: string) => Promise<void>) | undefined;
};

/** How a station makes itself known: its place in the order of work, and what it shows at which address. */
export type Registered = { name: Station; place: number; views: View[] };

/** Code and sheet are fetched at once rather than one after the other. */
export function view(path: string, load: View['load'], fetch?: View['fetch']): View {
  return { path, load, view: lazy(load), fetch };
}

/** The view at an address such as 'build' or 'try/run/…'. */
export function viewAt(views: View[], at: string): View | undefined {
  const parts = at.split('/');
  return views.find(({ path }) => {
    const wanted = path.split('/');
    return wanted.length === parts.length && wanted.every((part, i) => part.startsWith(':') || part === parts[i]);
  });
}

export type Frame = Schemas['FrameView'];
export type SpineTag = Schemas['SpineTag'];

/** Where one is: the device's frame and the build that is looked at. */
export type Place = { frame: Frame; tag: SpineTag; write: boolean };

export const PlaceContext = createContext<{ frame: Frame; tag: SpineTag | undefined } | null>(null);

/** The frame, on the device's own sheets, where there may be no build yet. */
export function useFrame(): Frame {
  const place = useContext(PlaceContext);
  if (place === null) throw new Error('This sheet is only shown inside the frame.');
  return place.frame;
}

/** The frame and the build, at a station. */
export function usePlace(): Place {
  const place = useContext(PlaceContext);
  if (place?.tag === undefined) throw new Error('A station is only shown for a build.');
  return { frame: place.frame, tag: place.tag, write: place.frame.write };
}

export function stationPath(device: string, letter: string, station: string): string {
  return `/d/${device}/${encodeURIComponent(letter)}/${station}`;
}

/** What `n` does on the sheet that is shown. */
let begin: (() => void) | null = null;
/** It was pressed before the sheet was there: it is done as soon as the sheet is. */
let wanted = false;

export function useBegin(action: (() => void) | null): void {
  useEffect(() => {
    begin = action;
    if (wanted && action !== null) {
      wanted = false;
      action();
    }
    return () => {
      if (begin === action) begin = null;
    };
  }, [action]);
}

export function beginHere(): void {
  if (begin === null) wanted = true;
  else begin();
}

/** Another place was gone to: what was wanted here is wanted no longer. */
export function forgetBegin(): void {
  wanted = false;
}
