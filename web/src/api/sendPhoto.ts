import { must, send } from './client';
import { uuid } from './uuid';

/** How large what is taken may be; the server looks at the content itself. */
const MOST_MB = { image: 25, audio: 50, video: 200 };

function mostMb(type: string): number {
  const [family = ''] = type.split('/');
  return family in MOST_MB ? MOST_MB[family as keyof typeof MOST_MB] : 25;
}

export const mostBytes = (type: string): number => mostMb(type) * 1_000_000;

/** Sends a photo, a sound, a clip or a document to where it belongs. */
export function sendPhoto(
  file: File,
  to: {
    revision: string;
    run?: string | undefined;
    failure?: string | undefined;
    reading?: string | undefined;
    caption?: string;
  },
): Promise<unknown> {
  const most = mostMb(file.type);
  if (file.size > mostBytes(file.type))
    return Promise.reject(new Error(`${file.name} is too large: at most ${most} MB can be taken.`));
  const form = new FormData();
  for (const [name, value] of Object.entries(to)) {
    if (value !== undefined) form.append(name, value);
  }
  form.append('file', file);
  return must(send('POST', `/api/photos/${uuid()}`, form));
}
