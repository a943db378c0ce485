import { must, send } from './client';
import { uuid } from './uuid';

/** As the server has it; it looks at the content itself. */
const MOST_MB = 50;

/** Sends a file that a build is made from to where it belongs. */
export function sendDocument(
  file: File,
  to: { revision: string; part?: string; article?: string; role?: string; author?: string; note?: string },
): Promise<unknown> {
  if (file.size > MOST_MB * 1_000_000)
    return Promise.reject(new Error(`${file.name} is too large: at most ${MOST_MB} MB can be taken.`));
  const form = new FormData();
  for (const [name, value] of Object.entries(to)) if (value !== undefined && value !== '') form.append(name, value);
  form.append('file', file);
  return must(send('POST', `/api/documents/${uuid()}`, form));
}
