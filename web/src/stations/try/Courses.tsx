import { useState } from 'react';

import type { Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import { CoursePlot } from '../../figures/CoursePlot';
import { Button } from '../../ui/Button';
import type { FieldOrRows } from '../../ui/fields';
import { Problem } from '../../ui/Problem';
import { RecordSlip, type Editing } from '../../ui/RecordSlip';
import { Part } from '../../ui/Sheet';
import { MARK, options } from '../../ui/words';

const FIELDS: FieldOrRows<Schemas['CourseInput']>[] = [
  { name: 'name', label: 'What was read' },
  { name: 'unit', label: 'Unit', half: true },
  {
    name: 'timeUnit',
    label: 'Times are in',
    kind: 'select',
    half: true,
    options: [
      { value: 's', label: 's' },
      { value: 'min', label: 'min' },
      { value: 'h', label: 'h' },
    ],
  },
  {
    name: 'text',
    label: 'A time and a value a line',
    kind: 'area',
    hint: '“30; 24.5” or “0:30 24.5”; a block out of a spreadsheet or a small CSV can be laid in.',
  },
  {
    name: 'marks',
    label: 'What is read off it',
    kind: 'rows',
    add: 'Read something else off it',
    empty: { kind: 'first', value: null, from: null, to: null, start: null, around: null },
    fields: [
      { name: 'kind', label: 'Read', kind: 'select', options: options(MARK) },
      { name: 'value', label: 'Value', kind: 'number', half: true },
      { name: 'from', label: 'From, s', kind: 'number', half: true },
      { name: 'to', label: 'To, s', kind: 'number', half: true },
      { name: 'start', label: 'Common start', kind: 'number', half: true },
      {
        name: 'around',
        label: 'Going towards',
        kind: 'number',
        half: true,
        hint: 'Its surroundings, where it warms or cools by itself.',
      },
    ],
  },
];

/** How something went along time on this run: drawn, with its milestones, each a reading in one touch. */
export function Courses({ sheet, write }: { sheet: Schemas['RunSheet']; write: boolean }) {
  const [editing, setEditing] = useState<Editing>(null);
  if (sheet.courses.length === 0 && !write) return null;
  return (
    <Part title="Courses" aside={sheet.courses.length === 0 ? 'how something went along time' : undefined}>
      {sheet.courses.map((row) => (
        <One
          key={row.course.id}
          row={row}
          sheet={sheet}
          write={write}
          edit={() => setEditing({ id: row.course.id, record: { ...row.course } })}
        />
      ))}
      {write && (
        <Button onClick={() => setEditing({ id: uuid(), record: { timeUnit: 's', marks: [{ kind: 'peak' }] } })}>
          Add a course
        </Button>
      )}
      <RecordSlip<Schemas['CourseInput']>
        title="Course"
        kind={`course:${sheet.run.id}`}
        editing={editing}
        fields={FIELDS}
        save={(id, values, version) => putRecord('courses', id, { ...values, run: sheet.run.id, version })}
        withdraw="courses"
        onClose={() => setEditing(null)}
      />
    </Part>
  );
}

function One({
  row,
  sheet,
  write: mayWrite,
  edit,
}: {
  row: Schemas['CourseRow'];
  sheet: Schemas['RunSheet'];
  write: boolean;
  edit: () => void;
}) {
  const { course } = row;
  const moments = row.results.flatMap((r) => (r.at === null ? [] : [r.at]));
  return (
    <figure className="mb-5">
      <figcaption className="flex flex-wrap items-baseline justify-between gap-2">
        <span>{row.sentence}</span>
        {mayWrite && (
          <Button look="quiet" aria-label={`Edit ${course.name}`} onClick={edit}>
            Edit
          </Button>
        )}
      </figcaption>
      <CoursePlot name={course.name} unit={course.unit} t={row.t} y={row.y} moments={moments} />
      {row.fit !== '' && <p className="text-sm">{row.fit}</p>}
      <ul className="mt-1 space-y-1">
        {row.results.map((result) => (
          <li key={result.sentence} className="flex flex-wrap items-center gap-2">
            {result.sentence}
            {mayWrite && result.reading !== '' && <Take sheet={sheet} result={result} unit={course.unit} />}
          </li>
        ))}
      </ul>
      <details className="mt-1 text-sm">
        <summary className="cursor-pointer text-blue underline">All values</summary>
        <pre className="max-h-60 overflow-auto">{course.text}</pre>
      </details>
    </figure>
  );
}

const TIMES = ['s', 'min', 'h'];

/** Keeps what was read off as a reading of a channel that takes it, with where it comes from. */
function Take({ sheet, result, unit }: { sheet: Schemas['RunSheet']; result: Schemas['CourseResult']; unit: string }) {
  const write = useWrite();
  const fits = sheet.asked.channels.filter(
    (c) =>
      c.formula === '' &&
      (result.isTime ? TIMES.includes(c.unit) : c.unit === unit) &&
      sheet.readings.every((r) => r.channel !== c.key),
  );
  return (
    <>
      {fits.map((c) => (
        <Button
          key={c.key}
          disabled={write.busy}
          onClick={() =>
            void write.run(() =>
              putRecord('readings', uuid(), {
                run: sheet.run.id,
                channel: c.key,
                text: result.reading,
                unit: '',
                confirmed: result.origin,
              }),
            )
          }
        >
          Keep as {c.metric}
        </Button>
      ))}
      <Problem says={write.problem} />
    </>
  );
}
