import { useEffect, useState } from 'react';

import { stamp } from '../../api/clock';
import type { Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import { Button } from '../../ui/Button';
import type { Field } from '../../ui/fields';
import { Problem } from '../../ui/Problem';
import { RecordSlip, type Editing } from '../../ui/RecordSlip';
import { Empty, Part } from '../../ui/Sheet';
import { Table } from '../../ui/Table';
import { day } from '../../ui/time';
import { running } from './since';

type Row = Schemas['SpendingView'];

function fields(currency: string): Field[] {
  return [
    { name: 'what', label: 'For what?' },
    { name: 'hours', label: 'Hours', kind: 'number', half: true },
    { name: 'cost', label: `Money${currency === '' ? '' : `, ${currency}`}`, kind: 'number', half: true },
    { name: 'who', label: 'Who', people: true },
  ];
}

/** Hours and money that really went in, beside what was planned: one number, or a clock that runs. */
export function Spending({
  sheet,
  currency,
  write,
}: {
  sheet: Schemas['WorkshopSheet'];
  currency: string;
  write: boolean;
}) {
  const [editing, setEditing] = useState<Editing>(null);
  const writing = useWrite();
  const clocks = sheet.spendings.filter((s) => s.hours === null && s.started !== '');
  const put = (id: string, body: object) =>
    writing.run(() => putRecord('spendings', id, { revision: sheet.revision, cost: 0, ...body }));
  return (
    <Part
      title="Hours and money"
      aside={sheet.spent}
      actions={
        write && (
          <span className="flex flex-wrap">
            <Button look="quiet" onClick={() => void put(uuid(), { started: stamp() })}>
              Start a clock
            </Button>
            <Button look="quiet" onClick={() => setEditing({ id: uuid(), record: {} })}>
              Add hours or money
            </Button>
          </span>
        )
      }
    >
      <Problem says={writing.problem} />
      {clocks.map((c) => (
        <Clock key={c.id} clock={c} stop={write ? () => void put(c.id, { ...c, stopped: stamp() }) : undefined} />
      ))}
      {sheet.spendings.length === 0 ? (
        <Empty>What went into it stands beside what was planned when the build was decided.</Empty>
      ) : (
        <Table<Row>
          wide
          headless
          stacks
          label="Hours and money"
          rows={sheet.spendings.filter((s) => !clocks.includes(s))}
          keyOf={(s) => s.id}
          columns={[
            { head: 'Day', whole: true, look: 'text-soft', cell: (s) => day(s.started === '' ? s.at : s.started) },
            { head: 'For what', opens: true, cell: (s) => [s.what, s.who].filter(Boolean).join(' · ') || 'not said' },
            { head: 'Hours', right: true, cell: (s) => s.time },
            { head: 'Money', right: true, cell: (s) => [s.money, s.money && currency].filter(Boolean).join(' ') },
          ]}
          edit={write ? (s) => () => setEditing({ id: s.id, record: { ...s } }) : undefined}
        />
      )}
      <RecordSlip
        title="Hours or money"
        kind={`spendings:${sheet.revision}`}
        editing={editing}
        fields={fields(currency)}
        onClose={() => setEditing(null)}
        withdraw="spendings"
        save={(id, values, version) =>
          putRecord('spendings', id, {
            started: editing?.record['started'] ?? '',
            stopped: editing?.record['stopped'] ?? '',
            ...values,
            cost: values['cost'] ?? 0,
            revision: sheet.revision,
            version,
          })
        }
      />
    </Part>
  );
}

function Clock({ clock, stop }: { clock: Row; stop: (() => void) | undefined }) {
  const [now, setNow] = useState(() => new Date());
  useEffect(() => {
    const tick = window.setInterval(() => setNow(new Date()), 30_000);
    return () => window.clearInterval(tick);
  }, []);
  return (
    <p className="flex flex-wrap items-center gap-3 border-l-2 border-brass pl-3 text-sm">
      <span>
        A clock runs since <strong>{running(clock.started, now)}</strong>
        {clock.what === '' ? '' : ` · ${clock.what}`}
      </span>
      {stop !== undefined && (
        <Button aria-label="Stop the clock" onClick={stop}>
          Stop
        </Button>
      )}
    </p>
  );
}
