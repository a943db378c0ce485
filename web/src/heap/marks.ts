import type { Schemas } from '../api/client';

type Mark = Schemas['FileMark'];

const NUMBER = /^[-−+]?\d+([.,]\d+)?$/;

/** Marks at which a display was read: their words are numbers. */
export function readOff(marks: Mark[]): Mark[] {
  return marks.filter((m) => NUMBER.test(m.what.trim()));
}

/** Marks at which something was seen or heard. */
export function seenAt(marks: Mark[]): Mark[] {
  return marks.filter((m) => m.what.trim() !== '' && !NUMBER.test(m.what.trim()));
}

/**
 * What was read off along a clip, as a course is typed: seconds into the run and the value.
 *
 * @param into seconds into the run at which the clip begins
 */
export function courseText(marks: Mark[], into: number): string {
  return readOff(marks)
    .map((m) => `${m.at + into}; ${m.what.trim()}`)
    .join('\n');
}

/** Are they marked alike? */
export const sameMarks = (a: Mark[], b: Mark[]): boolean =>
  a.length === b.length && a.every((m, i) => m.at === b[i]!.at && m.what === b[i]!.what);

export const inOrder = (marks: Mark[]): Mark[] => [...marks].sort((a, b) => a.at - b.at);
