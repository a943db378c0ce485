import { clockAhead, stamp } from '../api/clock';
import type { Schemas } from '../api/client';
import { uuid } from '../api/uuid';
import { draftsOf, dropDraft, keepDraft, readDraft } from '../outbox/drafts';
import { enqueue, waiting } from '../outbox/queue';
import { readingBody, readingSaid, type ReadingDraft } from '../ui/reading/body';

const KEY = 'field-run:';
export const fieldRunKey = (run: string): string => KEY + run;

export type Trial = Schemas['FieldTrial'];
export type Seen = { id: string; text: string; odd: boolean; after: number | null };

/** A run that was begun on this device: all that was typed of it, sent or not. */
export type FieldRun = {
  id: string;
  revision: string;
  trial: string;
  /** Which run of the plan it is; nought: none. */
  slot: number;
  article: string | null;
  serial: string;
  /** What it is without an article; none in runs that an earlier version began. */
  state?: string;
  startedAt: string;
  /** Seconds that this device's clock was ahead when it began; null: nobody had measured it. */
  clockAhead: number | null;
  levels: Record<string, string>;
  /** Conditions and settings, by name. */
  found: Record<string, string>;
  foundAt: string | null;
  /** By channel, once kept. */
  readings: Record<string, { id: string; text: string; said?: string }>;
  seen: Seen[];
  photos: string[];
  clockAt: string | null;
  lasted: number | null;
  outcome: Schemas['RunOutcome'] | null;
  /** Whether what it waited for came. */
  ended: Schemas['Ended'] | null;
  reason: string;
  mode: string;
  /** Of what broke; none in runs that an earlier version began. */
  failure?: string;
};

export function beginRun(
  revision: string,
  trial: Trial,
  slot: Schemas['SlotRow'] | null,
  article: Schemas['ArticleView'] | null,
  state = '',
): FieldRun {
  return {
    id: uuid(),
    revision,
    trial: trial.trial.id,
    slot: slot?.number ?? 0,
    article: article?.id ?? null,
    serial: article?.serial ?? '',
    state: article === null ? state : '',
    startedAt: stamp(),
    clockAhead: clockAhead(),
    levels: Object.fromEntries((slot?.levels ?? []).map((l) => [l.name, l.text])),
    found: {},
    foundAt: null,
    readings: {},
    seen: [],
    photos: [],
    clockAt: null,
    lasted: null,
    outcome: null,
    ended: null,
    reason: '',
    mode: '',
    failure: uuid(),
  };
}

export const keepRun = (run: FieldRun): Promise<void> => keepDraft(fieldRunKey(run.id), run);

export async function runsHere(): Promise<FieldRun[]> {
  const keys = await draftsOf(KEY);
  const all = await Promise.all(keys.map((key) => readDraft<FieldRun>(key)));
  return all.filter((run): run is FieldRun => run !== undefined).sort((a, b) => (a.startedAt < b.startedAt ? -1 : 1));
}

/** Runs that have ended, and of which nothing waits any more, are the server's: its sheets have them. */
export async function forgetSent(): Promise<void> {
  const groups = new Set((await waiting()).map((w) => w.group));
  for (const run of await runsHere()) {
    if (run.outcome !== null && !groups.has(run.id)) await dropDraft(fieldRunKey(run.id));
  }
}

const found = (names: { name: string }[], said: Record<string, string>): Schemas['Found'][] =>
  names.map(({ name }) => ({ name, text: (said[name] ?? '').trim() }));

/** The run as it is sent: as it begins, and with all that came of it as it ends. */
export function sentRun(run: FieldRun, trial: Trial, operator: string): Record<string, unknown> {
  const { asked } = trial;
  return {
    trial: run.trial,
    article: run.article,
    state: run.state ?? '',
    operator,
    startedAt: run.startedAt,
    clockAhead: run.clockAhead,
    levels: found(asked.factors, run.levels),
    conditions: found(asked.conditions, run.found),
    settings: found(asked.settings, run.found),
    foundAt: run.foundAt,
    clockAt: run.clockAt,
    lasted: run.lasted,
    ...(run.outcome === null
      ? {}
      : {
          outcome: run.outcome,
          outcomeReason: run.reason,
          ended: run.ended,
          failures: broke(run, trial),
          version: 1,
        }),
  };
}

const put = (run: FieldRun, kind: string, id: string, body: Record<string, unknown>, what: string) =>
  enqueue({ group: run.id, method: 'PUT', url: `/api/${kind}/${id}`, body, what });

export const sendBegin = (run: FieldRun, trial: Trial, operator: string): Promise<void> =>
  put(run, 'runs', run.id, sentRun(run, trial, operator), `${trial.trial.name}: a run is begun`);

export function sendReading(
  run: FieldRun,
  channel: Schemas['AskedChannel'],
  id: string,
  draft: Omit<ReadingDraft, 'id'>,
): Promise<void> {
  const body = readingBody(run.id, channel, draft);
  return put(run, 'readings', id, body, `${channel.metric} ${readingSaid(body)}`);
}

export const sendSeen = (run: FieldRun, seen: Seen): Promise<void> =>
  put(
    run,
    'observations',
    seen.id,
    { revision: run.revision, run: run.id, text: seen.text, odd: seen.odd, after: seen.after },
    `Seen: ${seen.text}`,
  );

export const sendFile = (run: FieldRun, file: File): Promise<void> =>
  enqueue({
    group: run.id,
    method: 'POST',
    url: `/api/photos/${uuid()}`,
    body: { revision: run.revision, run: run.id },
    file: { blob: file, name: file.name },
    what: file.name,
  });

export const sendEnd = (run: FieldRun, trial: Trial, operator: string, words: string): Promise<void> =>
  put(run, 'runs', run.id, sentRun(run, trial, operator), `${trial.trial.name}: the run ended, ${words}`);

/** What broke goes with the end of its run, in one write. */
function broke(run: FieldRun, trial: Trial): Schemas['LoggedFailure'][] {
  if (run.outcome !== 'failed' || run.mode.trim() === '') return [];
  const question = trial.asked.questions.length === 1 ? trial.asked.questions[0]!.key : '';
  return [{ id: run.failure ?? uuid(), mode: run.mode, place: '', consequence: 'major', question, note: run.reason }];
}

/** The next run of a plan that was neither made before nor begun on this device. */
export function nextSlot(trial: Trial, here: FieldRun[]): Schemas['SlotRow'] | null {
  const begun = new Set(here.filter((r) => r.trial === trial.trial.id).map((r) => r.slot));
  return trial.plan?.slots.find((slot) => slot.run === null && !begun.has(slot.number)) ?? null;
}

/** In what this article is made otherwise than the last run that held was: the server says it of each. */
function madeOtherwise(run: FieldRun, trial: Trial): string[] {
  // A sheet that was kept by an earlier version says nothing of it.
  const of: Schemas['MadeOtherwise'][] | undefined = trial.good?.made;
  const state = run.article === null ? (run.state ?? '') : '';
  return of?.find((m) => m.article === (run.article ?? '') && m.state === state)?.whys ?? [];
}

/** What differs from the last run that held, and what nobody has said yet: the server says which texts mean the same. */
export function whatDiffers(run: FieldRun, trial: Trial, letter: string): { differs: string[]; unsaid: string[] } {
  const is: Record<string, string> = { ...run.levels, ...run.found, build: letter, article: run.serial };
  const made = madeOtherwise(run, trial);
  const [differs, unsaid]: [string[], string[]] = [[...made], []];
  // A sheet that was kept by an earlier version says only the text.
  const found: { name: string; text: string; same?: string[] }[] = trial.good?.found ?? [];
  for (const { name, text, same = [text.toLowerCase()] } of found) {
    const now = (is[name] ?? '').trim();
    if (now === '' && name !== 'firmware') unsaid.push(name);
    else if (now !== '' && !same.includes(now.toLowerCase())) differs.push(`${name} ${now}, was ${text}`);
  }
  return { differs, unsaid };
}
