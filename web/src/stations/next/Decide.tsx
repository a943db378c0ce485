import { useState } from 'react';
import { useNavigate } from 'react-router';

import { type Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { uuid } from '../../api/uuid';
import { stationPath, usePlace } from '../../ui/place';
import { Button } from '../../ui/Button';
import type { Field } from '../../ui/fields';
import { RecordForm } from '../../ui/RecordForm';
import { Slip } from '../../ui/Slip';

const FIELDS: Field[] = [
  { name: 'letter', label: 'Letter of the next build', half: true },
  { name: 'intent', label: 'What is it for?' },
  { name: 'note', label: 'What else should be remembered about this decision?', kind: 'area' },
];

const OTHER_FIELDS: Field[] = [
  {
    name: 'kind',
    label: 'What is decided?',
    kind: 'select',
    options: [
      { value: 'tryMore', label: 'nothing is changed: try more' },
      { value: 'contenders', label: 'the candidates that are in go on side by side' },
    ],
  },
  { name: 'note', label: 'Why; and of trying more, what and how often', kind: 'area' },
];

/** Decides: the next build is made with its changes and expectations, and the record is written. */
export function Decide({ sheet }: { sheet: Schemas['NextSheet'] }) {
  const { frame } = usePlace();
  const navigate = useNavigate();
  const [ids, setIds] = useState<{ decision: string; next: string } | null>(null);
  const [letter, setLetter] = useState('');
  const [other, setOther] = useState<string | null>(null);
  const undecided = sheet.candidates.filter((c) => c.choice === 'open').length;
  return (
    <div className="mt-6 border-t-2 border-ink pt-3">
      <Button
        look="primary"
        large
        className="w-full"
        disabled={sheet.consequences.chosen === 0}
        onClick={() => setIds({ decision: uuid(), next: uuid() })}
      >
        Decide build {sheet.nextLetter}
      </Button>
      {undecided > 0 && (
        <p className="mt-1 text-sm text-soft">
          {undecided} {undecided === 1 ? 'candidate has' : 'candidates have'} no answer yet; each needs one, with a
          reason, before the decision.
        </p>
      )}
      <Button look="quiet" className="mt-1" onClick={() => setOther(uuid())}>
        Decide without a next build
      </Button>
      <Slip open={other !== null} onClose={() => setOther(null)} title="Decide without a next build">
        {other !== null && (
          <RecordForm
            fields={OTHER_FIELDS}
            record={{ kind: 'tryMore' }}
            draft={`decision-without:${sheet.revision.id}`}
            label="Decide"
            save={(values) => putRecord('decisions', other, { ...values, revision: sheet.revision.id, next: null })}
            onSaved={() => setOther(null)}
          />
        )}
      </Slip>
      <Slip open={ids !== null} onClose={() => setIds(null)} title={`Decide build ${sheet.nextLetter}`}>
        {ids !== null && (
          <>
            <p className="mb-4 font-serif text-lg">{sheet.sentence}</p>
            {sheet.warnings.map((w) => (
              <p key={w} role="alert" className="mb-3 border-l-4 border-oxide pl-3 font-semibold text-oxide">
                {w}
              </p>
            ))}
            <RecordForm
              fields={FIELDS}
              record={{ letter: sheet.nextLetter }}
              draft={`decision:${sheet.revision.id}`}
              label="Decide"
              save={(values) => {
                setLetter(String(values['letter']).trim());
                return putRecord('decisions', ids.decision, { ...values, revision: sheet.revision.id, next: ids.next });
              }}
              onSaved={() => {
                setIds(null);
                void navigate(stationPath(frame.device.id, letter || sheet.nextLetter, 'build'));
              }}
            />
          </>
        )}
      </Slip>
    </div>
  );
}
