import { rightNow, stamp } from '../../api/clock';
import { ProblemError, type Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { uuid } from '../../api/uuid';
import { endsOf } from '../../ui/ends';

/** One line of a notebook: a run that was made, with all that was written down of it. */
export type Line = {
  id: string;
  /** Identifiers of its readings, by channel, so that a line that is sent again makes nothing twice. */
  readings: Record<string, string>;
  /** As typed, by column. */
  cells: Record<string, string>;
  /** What was asked back of a reading and answered, by channel. */
  confirmed: Record<string, string>;
  kept: boolean;
  problem: string;
  /** Which channel is asked back of, and what; empty: none. */
  asks: { channel: string; sentence: string } | null;
};

export type Column = {
  key: string;
  label: string;
  unit: string;
  kind: 'article' | 'level' | 'condition' | 'channel' | 'outcome' | 'note';
  words: string[];
};

export const OUTCOMES: { value: Schemas['RunOutcome']; label: string }[] = [
  { value: 'held', label: 'held' },
  { value: 'failed', label: 'failed' },
  { value: 'stoppedEarly', label: 'stopped' },
  { value: 'lost', label: 'lost' },
];

/** What a line of this method has, in the order in which it is written down. */
export function columnsOf(method: Schemas['MethodView'], articles: Schemas['ArticleView'][]): Column[] {
  const words = (states: string[]) => (states.length > 0 ? states : []);
  return [
    ...(articles.length > 0
      ? [{ key: 'article', label: 'Article', unit: '', kind: 'article' as const, words: articles.map((a) => a.serial) }]
      : []),
    ...method.factors
      .filter((f) => f.role === 'factor')
      .map((f) => ({
        key: `level:${f.name}`,
        label: f.name,
        unit: f.kind === 'number' ? f.unit : '',
        kind: 'level' as const,
        words: f.kind === 'number' ? [] : words(f.levels),
      })),
    ...method.conditions.map((c) => ({
      key: `condition:${c.name}`,
      label: c.name,
      unit: c.unit,
      kind: 'condition' as const,
      words: words(c.states),
    })),
    ...method.channels
      .filter((c) => c.formula === '')
      .map((c) => ({ key: `channel:${c.key}`, label: c.metric, unit: c.unit, kind: 'channel' as const, words: [] })),
    { key: 'outcome', label: 'Ended', unit: '', kind: 'outcome', words: OUTCOMES.map((o) => o.label) },
    { key: 'note', label: 'Why, or a note', unit: '', kind: 'note', words: [] },
  ];
}

/** The next line: what was the same on the one before is offered, what was read is not. */
export function nextLine(before: Line | undefined, columns: Column[]): Line {
  const same = columns.filter((c) => c.kind === 'article' || c.kind === 'level' || c.kind === 'condition');
  return {
    id: uuid(),
    readings: {},
    cells: {
      outcome: 'held',
      ...Object.fromEntries(same.map((c) => [c.key, before?.cells[c.key] ?? ''])),
    },
    confirmed: {},
    kept: false,
    problem: '',
    asks: null,
  };
}

/** Is anything written in it that is not only offered? */
export const isWritten = (line: Line): boolean =>
  Object.entries(line.cells).some(
    ([key, text]) =>
      text.trim() !== '' && (key.startsWith('channel:') || key === 'note' || (key === 'outcome' && text !== 'held')),
  );

/** A block out of a table, laid in from one cell on; lines that are missing are added. */
export function laidIn(lines: Line[], columns: Column[], row: number, column: number, text: string): Line[] {
  const out = [...lines];
  text
    .replace(/\r?\n$/, '')
    .split(/\r?\n/)
    .forEach((cells, i) => {
      const at = row + i;
      out[at] ??= nextLine(out[at - 1], columns);
      if (out[at].kept) return;
      const written = cells.split('\t').flatMap((cell, k) => {
        const of = columns[column + k];
        return of === undefined ? [] : [[of.key, fitting(of, cell.trim())] as const];
      });
      out[at] = { ...out[at], cells: { ...out[at].cells, ...Object.fromEntries(written) } };
    });
  return out;
}

/** A word by its beginning: 'f' is 'failed'. */
export function fitting(column: Column, text: string): string {
  const low = text.toLowerCase();
  return low === ''
    ? ''
    : (column.words.find((w) => w.toLowerCase() === low) ??
        column.words.find((w) => w.toLowerCase().startsWith(low)) ??
        text);
}

type Of = {
  trial: Schemas['TrialView'];
  method: Schemas['MethodView'];
  articles: Schemas['ArticleView'][];
  operator: string;
  startedAt: string;
};

/**
 * Keeps a line: the run, what was read on it, and how it ended. Sent again, it is the same run.
 *
 * @returns the line as it then stands
 */
export async function keepLine(line: Line, of: Of): Promise<Line> {
  const { method } = of;
  const cell = (key: string) => (line.cells[key] ?? '').trim();
  const outcome = OUTCOMES.find((o) => o.label === cell('outcome'))?.value ?? 'held';
  const waits = method.channels.some((c) => c.whenStopped !== 'equal');
  const made = {
    trial: of.trial.id,
    article: of.articles.find((a) => a.serial === cell('article'))?.id ?? null,
    operator: of.operator,
    startedAt: of.startedAt,
    inFuture: (line.confirmed[''] ?? '') !== '',
    levels: method.factors
      .filter((f) => f.role === 'factor')
      .map((f) => ({ name: f.name, text: cell(`level:${f.name}`) })),
    conditions: method.conditions.map((c) => ({ name: c.name, text: cell(`condition:${c.name}`) })),
  };
  const readings = { ...line.readings };
  let channel = '';
  try {
    await putRecord('runs', line.id, made);
    for (const c of method.channels.filter((one) => one.formula === '' && cell(`channel:${one.key}`) !== '')) {
      channel = c.key;
      readings[c.key] ??= uuid();
      await putRecord('readings', readings[c.key]!, {
        run: line.id,
        channel: c.key,
        text: cell(`channel:${c.key}`),
        unit: c.unit,
        confirmed: line.confirmed[c.key] ?? '',
      });
    }
    channel = '';
    const ended = endsOf(outcome, waits)[0]?.ended ?? null;
    const reason = outcome === 'held' ? { note: cell('note') } : { outcomeReason: cell('note') };
    await putRecord('runs', line.id, { ...made, ...reason, outcome, ended, version: 1 });
    return { ...line, readings, kept: true, problem: '', asks: null };
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error;
    const asked = error.document.questions?.[0]?.sentence ?? '';
    return {
      ...line,
      readings,
      problem: asked === '' ? error.message : '',
      asks: asked === '' ? null : { channel, sentence: asked },
    };
  }
}

export const today = (): string => stamp().slice(0, 10);

/** In the order of the notebook, on the day on which it was written; up to this very moment where that is today. */
export function madeAt(day: string, lines: number): string[] {
  const from = day === today() ? rightNow() - 1000 * lines : Date.parse(`${day}T12:00:00Z`);
  return Array.from({ length: lines }, (_, i) => new Date(from + 1000 * i).toISOString());
}
