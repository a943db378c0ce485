import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';

import type { Schemas } from '../../api/client';
import { decisionQuery } from '../../api/queries';
import { stationPath, usePlace } from '../../ui/place';
import { Button } from '../../ui/Button';
import { Part, Sheet } from '../../ui/Sheet';
import { Table } from '../../ui/Table';
import { Texture } from '../../ui/Texture';
import { Waiting } from '../../ui/Waiting';
import { CHANGE_CLASS } from '../../ui/words';
import { dayAndTime } from '../../ui/time';

/** The record of a decision, as one page that can be printed. */
export default function DecisionPage() {
  const { decision = '' } = useParams();
  const query = useQuery(decisionQuery(decision));
  return (
    <Waiting query={query} title="Decision">
      {(record) => <Page record={record} />}
    </Waiting>
  );
}

function Page({ record }: { record: Schemas['DecisionView'] }) {
  const { frame } = usePlace();
  const { known } = record;
  const of = (choice: Schemas['Choice']) => known.lines.filter((l) => l.choice === choice);
  return (
    <Sheet
      title={
        record.nextLetter === ''
          ? `Decision on ${record.letter}`
          : `Decision · ${record.letter} to ${record.nextLetter}`
      }
      sentence={record.sentence}
      actions={
        <>
          {record.nextLetter !== '' && (
            <Link
              className="frame-only self-center font-semibold text-blue underline"
              to={stationPath(frame.device.id, record.nextLetter, 'build')}
            >
              Go to {record.nextLetter}
            </Link>
          )}
          <Button className="frame-only" onClick={() => window.print()}>
            Print
          </Button>
        </>
      }
    >
      <p className="mt-1 text-sm text-soft">{dayAndTime(record.at)}</p>
      {record.note !== '' && <p className="mt-3 font-serif text-lg">{record.note}</p>}
      <Lines title="Goes in" lines={of('in')} currency={known.currency} />
      <Lines title="Waits" lines={of('wait')} currency={known.currency} />
      <Lines title="Dropped" lines={of('drop')} currency={known.currency} />
      {(known.entangled.length > 0 || known.over.length > 0 || known.forecasts.length > 0) && (
        <Part title="Known beforehand">
          <ul className="list-inside list-['–_'] text-sm">
            {[...known.over, ...known.entangled, ...known.forecasts].map((s) => (
              <li key={s}>{s}</li>
            ))}
          </ul>
        </Part>
      )}
      {known.evidence.length > 0 && (
        <Part title={`What was shown of ${record.letter} then`}>
          <Table
            headless
            label={`Evidence of ${record.letter}`}
            rows={known.evidence}
            keyOf={(e) => e.statement}
            columns={[
              { head: 'Evidence', cell: (e) => <Texture name={e.texture} /> },
              { head: 'Requirement', cell: (e) => e.statement },
              { head: 'In words', look: 'text-soft', cell: (e) => e.sentence },
            ]}
          />
        </Part>
      )}
    </Sheet>
  );
}

function Lines({ title, lines, currency }: { title: string; lines: Schemas['DecisionLine'][]; currency: string }) {
  if (lines.length === 0) return null;
  return (
    <Part title={title}>
      <Table
        wide
        label={title}
        rows={lines}
        keyOf={(l) => l.what}
        columns={[
          {
            // One above the other, what goes in and what waits stand in the same columns.
            head: 'Change',
            headLook: 'w-[30%]',
            look: 'font-semibold',
            cell: (l) => (
              <>
                {l.what}
                <span className="block text-xs font-normal text-soft">
                  {CHANGE_CLASS[l.class]}
                  {l.askedBy !== '' && ` · asked for by ${l.askedBy}`}
                </span>
              </>
            ),
          },
          { head: 'Reason', headLook: 'w-[28%]', cell: (l) => l.reason },
          { head: 'Expected', headLook: 'w-[24%]', cell: (l) => l.expected },
          { head: 'Takes', right: true, whole: true, cell: (l) => `${l.costText} ${currency} · ${l.hoursText} h` },
        ]}
      />
    </Part>
  );
}
