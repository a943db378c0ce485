import type { Schemas } from '../api/client';
import type { Typed } from '../api/records';

/** What can be said of a file of the heap as it is sent again with something changed. */
export function fileBody(
  file: Schemas['HeapFileView'],
  changed: Partial<Schemas['HeapFileInput']>,
): Typed<Schemas['HeapFileInput']> {
  const { workspace, name, camera, zone, modified, marks, aside, version } = file;
  return { workspace, name, camera, zone, modified, marks, aside, version, ...changed };
}
