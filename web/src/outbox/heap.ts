import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';

import { api, must, ProblemError, send } from '../api/client';
import { mostBytes } from '../api/sendPhoto';
import { uuid } from '../api/uuid';

/** A file of a heap that was not taken, and why. */
export type NotTaken = { name: string; why: string };

/** A file with its SHA-256. */
export type Dropped = { file: File; hash: string };

/** How far a heap is on its way. */
export type Going = {
  workspace: string;
  all: number;
  /** Looked at, and sent or not taken. */
  done: number;
  sent: number;
  /** That were here already. */
  doubles: NotTaken[];
  refused: NotTaken[];
  /** Too large to be sent: they can stay where they lie. */
  large: Dropped[];
  /** Nobody is reached just now: it goes on by itself. */
  waits: boolean;
};

/** So many are sent at once; more would only share the same line. */
const AT_ONCE = 2;
/** Bytes that are read at once: a clip of four gigabytes is never in memory. */
const PIECE = 1 << 20;
const AGAIN_MS = 5000;
/** As the server has it. */
const MOST_NAME = 120;

let going: Going | null = null;
const listeners = new Set<() => void>();
/** What was dropped on this page, so that what stays where it lies can be played from there. */
const here = new Map<string, File>();

export function onHeap(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export function heapGoing(): Going | null {
  return going;
}

/** The file that was dropped on this page, by its SHA-256. */
export function droppedFile(hash: string): File | undefined {
  return here.get(hash);
}

function set(next: Going | null): void {
  going = next;
  listeners.forEach((l) => l());
}

/** Of the heap that is on its way, by SHA-256. */
let seen = new Set<string>();

const change = (part: (now: Going) => Partial<Going>) => going !== null && set({ ...going, ...part(going) });

/** Which camera took it, as far as its name tells: 'HX00012.MP4' and 'HX00013.MP4' are of one. */
export function cameraOf(name: string): string {
  const letters = /^[^0-9]+/.exec(name)?.[0].replace(/[-_ .]+$/, '') ?? '';
  return letters === '' ? 'unnamed camera' : `camera ${letters.slice(0, 20)}`;
}

/** The SHA-256 of a file, read piece by piece. */
export async function hashOf(file: Blob): Promise<string> {
  const hash = sha256.create();
  for (let at = 0; at < file.size; at += PIECE) {
    hash.update(new Uint8Array(await file.slice(at, at + PIECE).arrayBuffer()));
  }
  return bytesToHex(hash.digest());
}

/** What is said of a file beside its content. */
function about(workspace: string, file: File): Record<string, string> {
  return {
    workspace,
    name: file.name.slice(-MOST_NAME),
    camera: cameraOf(file.name),
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    ...(file.lastModified > 0 ? { modified: new Date(file.lastModified).toISOString() } : {}),
  };
}

const leaving = (event: BeforeUnloadEvent) => event.preventDefault();

/**
 * Sends what was dropped, two at a time, while one does something else; what is here already is not sent again, and what
 * is no file of a known kind says so, and keeps nothing else back.
 */
export async function dropHeap(workspace: string, files: File[]): Promise<void> {
  if (files.length === 0) return;
  if (going !== null && going.done < going.all && going.workspace === workspace) {
    change((now) => ({ all: now.all + files.length }));
  } else {
    seen = new Set();
    set({ workspace, all: files.length, done: 0, sent: 0, doubles: [], refused: [], large: [], waits: false });
  }
  window.addEventListener('beforeunload', leaving);
  const left = [...files];
  const one = async () => {
    for (let file = left.shift(); file !== undefined; file = left.shift()) await take(workspace, file);
  };
  await Promise.all(Array.from({ length: AT_ONCE }, one));
  if (going === null || going.done >= going.all) window.removeEventListener('beforeunload', leaving);
}

async function take(workspace: string, file: File): Promise<void> {
  const not = (why: string) =>
    change((now) => ({ done: now.done + 1, refused: [...now.refused, { name: file.name, why }] }));
  if (file.size === 0) return void not('It is empty.');
  try {
    const hash = await hashOf(file);
    here.set(hash, file);
    if (seen.has(hash)) {
      change((now) => ({
        done: now.done + 1,
        doubles: [...now.doubles, { name: file.name, why: 'dropped twice' }],
      }));
      return;
    }
    seen.add(hash);
    const id = uuid();
    await reach(async () => {
      const known = await must(
        api.POST('/api/workspaces/{id}/heap/known', { params: { path: { id: workspace } }, body: { sha256: [hash] } }),
      );
      const place = known.files[0]?.where;
      if (place !== undefined) {
        change((now) => ({ done: now.done + 1, doubles: [...now.doubles, { name: file.name, why: place }] }));
        return;
      }
      if (file.size > mostBytes(file.type)) {
        change((now) => ({ done: now.done + 1, large: [...now.large, { file, hash }] }));
        return;
      }
      const form = new FormData();
      for (const [name, value] of Object.entries(about(workspace, file))) form.append(name, value);
      form.append('file', file);
      await must(send('POST', `/api/heapfiles/${id}`, form));
      change((now) => ({ done: now.done + 1, sent: now.sent + 1 }));
    });
  } catch (error) {
    // What a browser says of a file that is gone helps nobody.
    not(error instanceof ProblemError ? error.message : 'It could not be read: is it still where it lay?');
  }
}

/** Tries until somebody is reached. */
async function reach(what: () => Promise<void>): Promise<void> {
  for (;;) {
    try {
      await what();
      change(() => ({ waits: false }));
      return;
    } catch (error) {
      const unreached =
        error instanceof ProblemError && (error.status === 0 || error.status === 429 || error.status >= 500);
      if (!unreached) throw error;
      change(() => ({ waits: true }));
      await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
    }
  }
}

/**
 * Leaves a file where it lies: its hash, its name and its length are kept, and marks and stills later.
 *
 * @param lies where that is, in words
 */
export async function leaveThere(workspace: string, { file, hash }: Dropped, lies: string): Promise<void> {
  const seconds = await lengthOf(file);
  await must(
    send('PUT', `/api/heapfiles/${uuid()}`, {
      ...about(workspace, file),
      lies,
      sha256: hash,
      bytes: file.size,
      type: file.type === '' ? 'video/mp4' : file.type,
      seconds,
    }),
  );
  change((now) => ({ large: now.large.filter((d) => d.file !== file) }));
}

/** Seconds that a clip or a sound plays, as far as this browser can tell. */
function lengthOf(file: File): Promise<number | null> {
  const player = document.createElement(file.type.startsWith('audio/') ? 'audio' : 'video');
  const url = URL.createObjectURL(file);
  return new Promise<number | null>((resolve) => {
    const end = (seconds: number | null) => {
      URL.revokeObjectURL(url);
      resolve(seconds);
    };
    setTimeout(() => end(null), 3000);
    player.onloadedmetadata = () => end(Number.isFinite(player.duration) ? player.duration : null);
    player.onerror = () => end(null);
    player.preload = 'metadata';
    player.src = url;
  });
}

/** What is said of the last heap is read. */
export function forgetHeap(): void {
  if (going !== null && going.done >= going.all) set(null);
}
