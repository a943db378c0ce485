import type { Schemas } from '../../api/client';

export const UNDECIDED = 'undecided';

/** A reading that is typed and not kept yet; `how` stands before the number, or says that nobody knows its unit. */
export type ReadingDraft = { id: string; text: string; how?: string };

/** How a number can have been read, by what stands before it. */
export const HOW: [string, string][] = [
  ['', 'read off'],
  ['about', 'about'],
  ['at least', 'at least'],
  ['at most', 'at most'],
  ['still rising', 'still rising'],
  ['still falling', 'still falling'],
  [UNDECIDED, 'unit not known'],
];

/** A typed reading as it is sent, from the desk, the phone and the field alike; a word of a scale has no unit. */
export function readingBody(
  run: string,
  channel: Schemas['AskedChannel'],
  draft: Omit<ReadingDraft, 'id'>,
): { run: string; channel: string; text: string; unit: string; undecided: boolean } {
  const undecided = draft.how === UNDECIDED;
  const text = draft.text.trim() === '' ? '' : `${undecided ? '' : (draft.how ?? '')} ${draft.text}`.trim();
  return {
    run,
    channel: channel.key,
    text,
    unit: undecided || channel.words.length > 0 ? '' : channel.unit,
    undecided,
  };
}

/** The same as it is read: 'about 41.2 N'. */
export const readingSaid = (body: { text: string; unit: string; undecided: boolean }): string =>
  `${body.text} ${body.undecided ? '(unit not known)' : body.unit}`.trim();
