import { stamp } from '../../api/clock';
import { ProblemError, type Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { dropDraft, readDraft } from '../../outbox/drafts';
import { readingBody, type ReadingDraft } from '../../ui/reading/body';

export type FoundDraft = Record<string, string>;
export type AboutDraft = Pick<
  Schemas['RunView'],
  'operator' | 'purpose' | 'note' | 'lookedFor' | 'others' | 'person' | 'goes' | 'differs'
>;

/** What is known of a run beside its readings and conditions. */
export function aboutOf(run: Schemas['RunView']): AboutDraft {
  const { operator, purpose, note, lookedFor, others, person, goes, differs } = run;
  return { operator, purpose, note, lookedFor, others, person, goes, differs };
}

/** Other articles as lines, 'part: serial', and back. */
export const othersSaid = (others: AboutDraft['others']): string =>
  others.map((o) => `${o.name}: ${o.text}`).join('\n');
export function othersRead(text: string): AboutDraft['others'] {
  return text
    .split('\n')
    .map((line) => line.split(':'))
    .map(([name = '', ...rest]) => ({ name: name.trim(), text: rest.join(':').trim() }))
    .filter((o) => o.name !== '' || o.text !== '');
}

export const readingKey = (run: string, channel: string): string => `reading:${run}:${channel}`;
export const foundKey = (run: string): string => `found:${run}`;
export const aboutKey = (run: string): string => `about:${run}`;

/** Channels that are read, and of which nothing is kept yet. */
export function unread(sheet: Schemas['RunSheet']): Schemas['AskedChannel'][] {
  return sheet.asked.channels.filter((c) => c.formula === '' && sheet.readings.every((r) => r.channel !== c.key));
}

/** Levels, conditions and settings as they are kept, by name. */
export function foundOf(run: Schemas['RunView']): FoundDraft {
  return Object.fromEntries([...run.levels, ...run.conditions, ...run.settings].map((f) => [f.name, f.text]));
}

/** The part of a run that its sheet asks for, with what is typed over what is kept. */
export function foundBody(
  sheet: Schemas['RunSheet'],
  draft: FoundDraft | null,
  about: AboutDraft | null,
): Partial<Schemas['RunInput']> {
  const { run, asked } = sheet;
  const kept = foundOf(run);
  const texts = (rules: { name: string }[]) =>
    rules.map(({ name }) => ({ name, text: (draft?.[name] ?? kept[name] ?? '').trim() }));
  // What somebody noted beside the factors of the method stays.
  const others = run.levels.filter((l) => asked.factors.every((f) => f.name !== l.name));
  return {
    ...about,
    levels: [...texts(asked.factors), ...others],
    conditions: texts(asked.conditions),
    settings: texts(asked.settings),
    ...(asked.settings.some((s) => draft?.[s.name] !== undefined) ? { foundAt: stamp() } : {}),
  };
}

/** A value on the sheet that could not be kept, so that the run would end without it. */
export class NotKept extends Error {
  constructor(
    readonly metric: string,
    readonly text: string,
    readonly why: string,
  ) {
    super(why);
  }
}

/**
 * Keeps what is typed on the sheet and not kept yet: readings at once, and the rest as a part of the run that is sent with
 * its outcome.
 *
 * @throws NotKept where a value is asked back or refused
 */
export async function takeAlong(sheet: Schemas['RunSheet']): Promise<Partial<Schemas['RunInput']>> {
  const run = sheet.run.id;
  for (const channel of unread(sheet)) {
    const draft = await readDraft<ReadingDraft>(readingKey(run, channel.key));
    if (draft === undefined || draft.text.trim() === '') continue;
    const body = readingBody(run, channel, draft);
    try {
      await putRecord('readings', draft.id, { ...body, confirmed: '' });
    } catch (error) {
      if (!(error instanceof ProblemError) || ![409, 422].includes(error.status)) throw error;
      throw new NotKept(channel.metric, body.text, error.document.questions?.[0]?.sentence ?? error.message);
    }
    void dropDraft(readingKey(run, channel.key));
  }
  return typedBeside(sheet);
}

/** What is typed of conditions, settings and levels, and not kept yet; nothing where there is nothing. */
export async function typedBeside(sheet: Schemas['RunSheet']): Promise<Partial<Schemas['RunInput']>> {
  const found = await readDraft<FoundDraft | null>(foundKey(sheet.run.id));
  const about = await readDraft<AboutDraft | null>(aboutKey(sheet.run.id));
  return (found ?? null) === null && (about ?? null) === null ? {} : foundBody(sheet, found ?? null, about ?? null);
}

/** Nothing of it waits any more. */
export function dropTyped(run: string): void {
  void dropDraft(foundKey(run));
  void dropDraft(aboutKey(run));
}
