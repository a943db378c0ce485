import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';

import type { Schemas } from '../api/client';
import { methodQuery } from '../api/queries';
import { Button } from '../ui/Button';
import type { FieldOrRows } from '../ui/fields';
import { useFrame } from '../ui/place';
import { RecordSlip } from '../ui/RecordSlip';
import { Part, Sheet } from '../ui/Sheet';
import { Waiting } from '../ui/Waiting';
import { keepMethod } from './methodBody';
import * as sections from './methodFields';
import { MethodLines } from './MethodLines';
import { Remarks } from './Remarks';

/** One method, read like the instruction that hangs at the rig; whatever it says is opened where it stands. */
export default function MethodPage() {
  const { method = '' } = useParams();
  const query = useQuery(methodQuery(method));
  return (
    <Waiting query={query} title="Method">
      {(sheet) => <Instruction key={sheet.method.id} sheet={sheet} />}
    </Waiting>
  );
}

/** What is said of the method as a whole, by the heading that it stands under. */
type Whole = 'Find out' | 'Rig' | 'Takes' | 'End' | 'Carries' | 'Mind';

function Instruction({ sheet }: { sheet: Schemas['MethodSheet'] }) {
  const { device, write } = useFrame();
  const [editing, setEditing] = useState<Whole | null>(null);
  const m = sheet.method;
  const fields: Record<Whole, FieldOrRows[]> = {
    'Find out': sections.PURPOSE,
    Rig: sections.RIG,
    Takes: sections.MINUTES,
    End: sections.ENDS,
    Carries: sections.carries(sheet),
    Mind: sections.MIND,
  };
  const said = (title: Whole, lines: string[], empty: string, grave = false) => (
    <Said
      title={title}
      lines={lines.filter((l) => l !== '')}
      empty={empty}
      grave={grave}
      open={write ? () => setEditing(title) : null}
    />
  );
  const says = (section: sections.RowSection) => (sheet.method[section.name] as unknown[]).length > 0;
  const rows = (section: sections.RowSection) =>
    says(section) ? <MethodLines sheet={sheet} section={section} write={write} /> : null;
  const unsaid = sections.ROWS.filter((section) => !says(section));
  return (
    <Sheet title={`Method · ${m.name}`} sentence={sheet.sentence}>
      <p className="mt-2 text-sm">
        <Link className="font-semibold text-blue underline" to={`/d/${device.id}/methods`}>
          All methods
        </Link>
      </p>
      <div className="mt-4 max-w-4xl">
        {said('Mind', [sheet.mind], 'What can hurt, and when to stop at once.', true)}
        {said('Find out', [m.purpose], 'What a run of it tells.')}
        {said(
          'Rig',
          [
            m.rig,
            m.tools.length > 0 ? `At hand: ${m.tools.join(', ')}.` : '',
            m.reference !== '' ? `Reference ${m.reference} is tried first and last.` : '',
            m.wears ? 'A run leaves its mark on the article.' : 'A run leaves no mark on the article.',
          ],
          'The fixture, and what has to be at hand.',
        )}
        {rows(sections.FIXTURE)}
        {rows(sections.BEFORE)}
        {rows(sections.SETS)}
        {rows(sections.READY)}
        {rows(sections.VARIES)}
        {rows(sections.HOLDS)}
        {rows(sections.READS)}
        {rows(sections.LOOKS)}
        {said(
          'End',
          [
            m.endPoint !== '' ? `It ends: ${m.endPoint}` : '',
            m.heldWhen !== '' ? `It has held: ${m.heldWhen}` : '',
            m.modes.length > 0 ? `Look for: ${m.modes.join(', ')}.` : '',
          ],
          'When a run ends, and when it has held: set before it begins.',
        )}
        {rows(sections.ASKS)}
        {said(
          'Carries',
          [
            sheet.carries,
            m.notRepresented !== '' ? `Not represented: ${m.notRepresented}` : '',
            ...(m.steps.length > 0
              ? [
                  `Goes through: ${sheet.steps
                    .filter((s) => m.steps.includes(s.id))
                    .map((s) => s.label)
                    .join(', ')}.`,
                ]
              : []),
            m.represents.length > 0 ? `As good as ${m.represents.join(', ')}.` : '',
          ],
          'How much of the real thing a run carries, as shares of what the device bears in use.',
        )}
        {rows(sections.USES_UP)}
        {said('Takes', [sheet.takes], '')}
        {write && unsaid.length > 0 && (
          <div className="grid gap-x-6 border-t border-rule py-3 sm:grid-cols-[9rem_1fr]">
            <h2 className="text-sm font-semibold text-soft">It could also say</h2>
            <ul className="-ml-3 flex flex-wrap">
              {unsaid.map((section) => (
                <MethodLines key={section.name} sheet={sheet} section={section} write />
              ))}
            </ul>
          </div>
        )}
      </div>
      <Remarks sheet={sheet} write={write} />
      {sheet.editions.length > 0 && (
        <Part title="What became of it">
          <ol className="max-w-4xl">
            {sheet.editions.map((e) => (
              <Edition key={e.at} edition={e} />
            ))}
          </ol>
        </Part>
      )}
      <RecordSlip
        title={editing ?? ''}
        kind="method"
        draft={`method:${m.id}:${editing ?? ''}`}
        editing={editing === null ? null : { id: m.id, record: { ...m, ...m.safety } }}
        fields={editing === null ? [] : fields[editing]}
        onClose={() => setEditing(null)}
        save={(_, { hazards, cautions, abort, needsSignOff, agreedBy, ...values }, version) =>
          keepMethod(
            m,
            editing === 'Mind' ? { safety: { hazards, cautions, abort, needsSignOff, agreedBy } } : numbered(values),
            version,
            editing === 'Mind' ? 'safety' : '',
          )
        }
      />
    </Sheet>
  );
}

/** Minutes that nobody typed are none. */
const numbered = (values: Record<string, unknown>) =>
  Object.fromEntries(Object.entries(values).map(([k, v]) => [k, k.toLowerCase().endsWith('minutes') ? (v ?? 0) : v]));

function Said({
  title,
  lines,
  empty,
  grave,
  open,
}: {
  title: string;
  lines: string[];
  empty: string;
  grave: boolean;
  open: (() => void) | null;
}) {
  const text: ReactNode =
    lines.length === 0 ? (
      <span className="text-sm text-soft">{empty}</span>
    ) : (
      lines.map((line) => (
        <span key={line} className="mb-1 block">
          {line}
        </span>
      ))
    );
  return (
    <div
      className={`grid gap-x-6 border-t border-rule py-3 sm:grid-cols-[9rem_1fr_auto] ${grave ? 'border-l-4 border-l-oxide pl-3' : ''}`}
    >
      <h2 className={`text-sm font-semibold ${grave ? 'text-oxide' : 'text-soft'}`}>{title}</h2>
      <div>{text}</div>
      {open !== null && (
        <Button
          look="quiet"
          className="-ml-3 justify-self-start sm:ml-0"
          aria-label={`Change: ${title}`}
          onClick={open}
        >
          {lines.length === 0 ? 'Say it' : 'Change'}
        </Button>
      )}
    </div>
  );
}

const day = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' });

function Edition({ edition }: { edition: Schemas['EditionRow'] }) {
  return (
    <li className="border-t border-rule py-2">
      <p className="text-sm text-soft">
        Edition {edition.edition} · {day.format(new Date(edition.at))} · {edition.by}
      </p>
      {edition.changes.map((c) => (
        <p key={c}>{c}</p>
      ))}
      {edition.tie !== '' && <p className="mt-1 border-l-2 border-brass pl-2 text-sm">{edition.tie}</p>}
    </li>
  );
}
