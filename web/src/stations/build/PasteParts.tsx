import { useState } from 'react';

import { must, send, type Schemas } from '../../api/client';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Problem } from '../../ui/Problem';
import { Slip } from '../../ui/Slip';

/** A parts list out of a spreadsheet: what would come of it is said first, and kept only then. */
export function PasteParts({ open, revision, onClose }: { open: boolean; revision: string; onClose: () => void }) {
  const [text, setText] = useState('');
  const [said, setSaid] = useState<Schemas['PartsPasted'] | null>(null);
  const write = useWrite();
  const paste = async (keep: boolean) => {
    let answer: Schemas['PartsPasted'] | null = null;
    const done = await write.run(async () => {
      answer = await must(send<Schemas['PartsPasted']>('POST', `/api/revisions/${revision}/paste`, { text, keep }));
    });
    if (done) setSaid(answer);
    if (done && keep) {
      setText('');
      setSaid(null);
      onClose();
    }
  };
  return (
    <Slip open={open} onClose={onClose} title="Paste a table of parts" wide>
      <label className="block text-sm font-semibold">
        Cells out of a spreadsheet
        <textarea
          className="field mt-1 font-mono text-sm font-normal"
          rows={10}
          value={text}
          aria-describedby="paste-hint"
          onChange={(e) => {
            setText(e.target.value);
            setSaid(null);
          }}
        />
      </label>
      <p id="paste-hint" className="mt-1 text-xs text-soft">
        With heads in any order (part, material, quantity, cost, mass, note), or without in this order. A part of the
        same name is changed, the others are new; nothing is taken out.
      </p>
      <Problem says={write.problem} />
      {said !== null && (
        <div role="status" className="mt-3 border-l-2 border-brass pl-3">
          <p className="font-serif text-lg">{said.sentence}</p>
          {said.problems.length > 0 && (
            <ul className="mt-2 list-disc pl-5 text-sm">
              {said.problems.map((p) => (
                <li key={p}>{p}</li>
              ))}
            </ul>
          )}
        </div>
      )}
      <div className="mt-4 flex gap-3">
        <Button
          look={said === null ? 'primary' : 'plain'}
          disabled={write.busy || text.trim() === ''}
          onClick={() => void paste(false)}
        >
          See what it would do
        </Button>
        {said !== null && said.added.length + said.changed.length > 0 && (
          <Button look="primary" disabled={write.busy} onClick={() => void paste(true)}>
            Take it over
          </Button>
        )}
      </div>
    </Slip>
  );
}
