import { useState } from 'react';
import { Link } from 'react-router';

import type { Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import { Button } from '../../ui/Button';
import { usePlace } from '../../ui/place';
import { Problem } from '../../ui/Problem';
import { OUTCOME } from '../../ui/words';

const MARK: Record<Schemas['RunOutcome'], string> = { held: '', failed: '✕', stoppedEarly: '↑', lost: '○', void: '–' };

/** The plan of a trial as its runs in their order, and the next of them in one touch. */
export function PlanStrip({
  plan,
  base,
  busy,
  begin,
}: {
  plan: Schemas['PlanRow'];
  base: string;
  busy: boolean;
  /** Null where nobody may. */
  begin: ((slot: Schemas['SlotRow']) => void) | null;
}) {
  const next = plan.next;
  return (
    <div className="mt-2">
      <p>{plan.sentence}</p>
      <ol aria-label="Planned runs" className="mt-2 flex flex-wrap gap-1 text-sm">
        {plan.slots.map((slot) => (
          <li key={slot.number}>
            <Slot slot={slot} base={base} isNext={slot.number === next?.number} />
          </li>
        ))}
      </ol>
      {plan.leftOut.length > 0 && (
        <ul aria-label="Left out before they were tried" className="mt-1 text-sm text-soft">
          {plan.leftOut.map((cell) => (
            <li key={cell.text}>
              <s>{cell.text}</s> {cell.leftOut}
            </li>
          ))}
        </ul>
      )}
      {plan.widen !== '' && begin !== null && <Widen what={plan.widen} />}
      {begin !== null && next !== null && (
        <Button look="primary" large className="mt-3 w-full sm:w-auto" disabled={busy} onClick={() => begin(next)}>
          {busy
            ? 'Starting …'
            : `${plan.sets === null ? 'Start' : 'Set it and start'} run ${next.number}: ${[next.text, plan.serial].filter(Boolean).join(', ')}`}
        </Button>
      )}
    </div>
  );
}

/** A range that is used up without a good value asks for a change of the design. */
function Widen({ what }: { what: string }) {
  const { tag } = usePlace();
  const write = useWrite();
  const [kept, setKept] = useState(false);
  if (kept) return <p className="mt-2 text-sm text-soft">It waits on Next.</p>;
  return (
    <div className="mt-2">
      <Button
        disabled={write.busy}
        onClick={() =>
          void write.run(() => putRecord('candidates', uuid(), { revision: tag.revision.id, what })).then(setKept)
        }
      >
        Propose: {what}
      </Button>
      <Problem says={write.problem} />
    </div>
  );
}

function Slot({ slot, base, isNext }: { slot: Schemas['SlotRow']; base: string; isNext: boolean }) {
  const lost = slot.lost > 0 ? ` ○${slot.lost > 1 ? slot.lost : ''}` : '';
  const state =
    slot.run === null ? (isNext ? 'next' : 'planned') : slot.outcome === null ? 'not finished' : OUTCOME[slot.outcome];
  const label = `${slot.number}: ${slot.text || 'level follows'}, ${state}${slot.lost > 0 ? `, lost in handling before: ${slot.lost}` : ''}`;
  const look = `block min-h-7 border px-1.5 py-0.5 ${
    slot.run === null
      ? isNext
        ? 'border-dashed border-blue font-semibold text-blue'
        : 'border-dashed border-rule text-soft'
      : slot.outcome === 'failed'
        ? 'border-oxide text-oxide'
        : slot.outcome === null
          ? 'border-brass text-brass'
          : 'border-ink'
  }`;
  // A level that follows from runs that are still to be made is not known yet.
  const text = `${slot.text || slot.number}${slot.outcome === null ? (slot.run === null ? '' : ' …') : MARK[slot.outcome] === '' ? '' : ` ${MARK[slot.outcome]}`}${lost}`;
  return slot.run === null ? (
    <span className={look} role="img" aria-label={label}>
      {text}
    </span>
  ) : (
    <Link className={`${look} hover:bg-wash`} aria-label={label} to={`${base}/run/${slot.run}`}>
      {text}
    </Link>
  );
}
