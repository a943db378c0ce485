import { useState, type FormEvent } from 'react';

import type { Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import { useDraft } from '../../outbox/useDraft';
import { Button } from '../../ui/Button';
import { Problem } from '../../ui/Problem';
import { clock } from '../../ui/time';

type Point = { at: number; text: string };

/** A display that is read again and again while the run goes on: each value with the moment of its touch, as a course. */
export function ReadAlong({ sheet, touched }: { sheet: Schemas['RunSheet']; touched: () => number }) {
  const channels = sheet.asked.channels.filter((c) => c.formula === '' && c.words.length === 0);
  const [key, setKey] = useState(channels[0]?.key ?? '');
  const channel = channels.find((c) => c.key === key);
  if (channel === undefined) return null;
  return (
    <details className="mt-3 border-t border-rule pt-3">
      <summary className="min-h-6 cursor-pointer font-semibold">Read it again and again</summary>
      {channels.length > 1 && (
        <label className="mt-2 block">
          <span className="mb-1 block text-sm">What is read</span>
          <select className="field" value={key} onChange={(event) => setKey(event.target.value)}>
            {channels.map((c) => (
              <option key={c.key} value={c.key}>
                {c.metric}
              </option>
            ))}
          </select>
        </label>
      )}
      <Along key={key} sheet={sheet} channel={channel} touched={touched} />
    </details>
  );
}

function Along({
  sheet,
  channel,
  touched,
}: {
  sheet: Schemas['RunSheet'];
  channel: Schemas['AskedChannel'];
  touched: () => number;
}) {
  const write = useWrite();
  const [value, setValue] = useState('');
  const [draft, setDraft] = useDraft<{ id: string; points: Point[] }>(`along:${sheet.run.id}:${channel.key}`, {
    id: uuid(),
    points: [],
  });
  const kept = sheet.courses.find((c) => c.course.id === draft.id)?.course;
  const keep = async (points: Point[]) => {
    const body = {
      run: sheet.run.id,
      name: channel.metric,
      unit: channel.unit,
      timeUnit: 's',
      text: points.map((p) => `${p.at}; ${p.text}`).join('\n'),
      marks: kept?.marks ?? [],
      version: kept?.version ?? null,
    };
    // One value is no course yet: it waits on this device for the second.
    const isKept = points.length < 2 || (await write.run(() => putRecord('courses', draft.id, body)));
    if (isKept) setDraft({ ...draft, points });
    return isKept;
  };
  const read = async (event: FormEvent) => {
    event.preventDefault();
    if (await keep([...draft.points, { at: touched(), text: value.trim() }])) setValue('');
  };
  const last = draft.points.at(-1);
  return (
    <form onSubmit={(event) => void read(event)} className="mt-2" noValidate>
      <div className="flex items-stretch gap-2">
        <label className="min-w-0 flex-1">
          <span className="sr-only">{channel.metric} now</span>
          <input
            className="field min-h-14 text-2xl font-semibold"
            inputMode="decimal"
            autoComplete="off"
            value={value}
            onChange={(event) => setValue(event.target.value)}
          />
        </label>
        <span
          aria-hidden="true"
          className="flex min-w-14 items-center justify-center border border-rule bg-ground px-2 text-2xl font-semibold"
        >
          {channel.unit}
        </span>
        <Button type="submit" large disabled={write.busy || value.trim() === ''}>
          Read now
        </Button>
      </div>
      <p role="status" className="mt-1 text-sm text-soft">
        {last === undefined
          ? 'Each value is kept with the moment at which you touch.'
          : `${draft.points.length} read, the last at ${clock(last.at)}: ${last.text} ${channel.unit}`}
      </p>
      {last !== undefined && draft.points.length !== 2 && (
        <Button
          look="quiet"
          className="-ml-3"
          disabled={write.busy}
          onClick={() => void keep(draft.points.slice(0, -1))}
        >
          Take the last one away
        </Button>
      )}
      <Problem says={write.problem} />
    </form>
  );
}
