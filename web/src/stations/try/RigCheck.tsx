import { useId, useState, type FormEvent } from 'react';

import { stamp } from '../../api/clock';
import type { Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import { useDraft } from '../../outbox/useDraft';
import { Button } from '../../ui/Button';
import { Problem } from '../../ui/Problem';
import { Part } from '../../ui/Sheet';
import { HAPPENED, options } from '../../ui/words';
import { runBody } from './runBody';

/** Before a run: what has to be looked at, what stands as it was found, and what happened to the article since. */
export function RigCheck({ sheet }: { sheet: Schemas['RunSheet'] }) {
  const { rig, run, offered, offeredFrom } = sheet;
  const asked = rig.lines.filter((l) => l.asks);
  const others = rig.lines.filter((l) => !l.asks && l.state !== 'stands');
  if (rig.lines.length === 0 && rig.tare === '' && rig.fits.length === 0 && offered.length === 0) return null;
  return (
    <Part title="Rig check" aside={sheet.article?.serial}>
      {rig.lines.length > 0 && <p>{rig.sentence}</p>}
      {[rig.tare, ...rig.fits]
        .filter((line) => line !== '')
        .map((line) => (
          <p key={line} className="mt-1 border-l-2 border-brass pl-3 font-semibold">
            {line}
          </p>
        ))}
      <ul className="mt-2 space-y-3">
        {asked.map((line) => (
          <Asked key={line.name} line={line} sheet={sheet} />
        ))}
      </ul>
      {offered.length > 0 && <Standing sheet={sheet} from={offeredFrom} />}
      {others.length > 0 && (
        <ul className="mt-2 text-sm text-soft">
          {others.map((line) => (
            <li key={line.name}>{line.sentence}</li>
          ))}
        </ul>
      )}
      {run.article !== null && <Happened article={run.article} serial={sheet.article?.serial ?? ''} />}
    </Part>
  );
}

/** Whatever stands, in one touch; nothing counts as recorded before. */
function Standing({ sheet, from }: { sheet: Schemas['RunSheet']; from: number }) {
  const { run, offered, rig, asked } = sheet;
  const write = useWrite();
  const isOf = (rules: { name: string }[]) => offered.filter((o) => rules.some((r) => r.name === o.name));
  const over = (kept: Schemas['Found'][], found: Schemas['Found'][]) => [
    ...kept.filter((k) => found.every((f) => f.name !== k.name)),
    ...found,
  ];
  const why = rig.lines.filter((l) => l.state === 'stands').map((l) => l.sentence);
  const before = isOf(asked.conditions);
  return (
    <div className="mt-3 border-2 border-dashed border-brass p-3">
      <ul className="text-sm">
        {why.map((line) => (
          <li key={line}>{line}</li>
        ))}
        {before.length > 0 && (
          <li>
            As on run {from}: {before.map((f) => `${f.name} ${f.text}`).join(', ')}.
          </li>
        )}
      </ul>
      <Button
        large
        className="mt-2 w-full sm:w-auto"
        disabled={write.busy}
        onClick={() =>
          void write.run(() =>
            putRecord(
              'runs',
              run.id,
              runBody(run, {
                settings: over(run.settings, isOf(asked.settings)),
                foundAt: why.length > 0 ? stamp() : run.foundAt,
                conditions: over(run.conditions, before),
              }),
            ),
          )
        }
      >
        {write.busy ? 'Saving …' : 'It is still so'}
      </Button>
      <Problem says={write.problem} />
    </div>
  );
}

/** A setting that has to be looked at: what was found is kept at once. */
function Asked({ line, sheet }: { line: Schemas['RigRow']; sheet: Schemas['RunSheet'] }) {
  const id = useId();
  const { run, asked } = sheet;
  const write = useWrite();
  const rule = asked.settings.find((s) => s.name === line.name);
  const [text, setText, drop] = useDraft(`rig:${run.id}:${line.name}`, '');
  const how = asked.adjusting.find((a) => a.name === line.name)?.text;

  async function keep(found: string) {
    const settings = [...run.settings.filter((s) => s.name !== line.name), { name: line.name, text: found }];
    if (await write.run(() => putRecord('runs', run.id, runBody(run, { settings, foundAt: stamp() })))) drop();
  }

  function submit(event: FormEvent) {
    event.preventDefault();
    void keep(text.trim());
  }

  return (
    <li className="border-l-4 border-brass pl-3">
      <form onSubmit={submit} noValidate>
        <label htmlFor={id} className="block font-semibold">
          {line.sentence}
        </label>
        {how !== undefined && <p className="text-xs text-soft">{how}</p>}
        <div className="mt-1 flex flex-wrap items-stretch gap-2">
          <input
            id={id}
            className="field min-h-14 w-32 flex-1 text-xl"
            inputMode={rule === undefined || rule.unit === '' ? 'text' : 'decimal'}
            autoComplete="off"
            value={text}
            onChange={(e) => setText(e.target.value)}
          />
          {rule !== undefined && rule.unit !== '' && (
            <span
              aria-hidden="true"
              className="flex items-center border border-rule bg-ground px-3 text-xl font-semibold"
            >
              {rule.unit}
            </span>
          )}
          <Button type="submit" large look="primary" disabled={write.busy || text.trim() === ''}>
            Found
          </Button>
          <Button large look="quiet" disabled={write.busy} onClick={() => void keep('unknown')}>
            Cannot tell
          </Button>
        </div>
        <Problem says={write.problem} />
      </form>
    </li>
  );
}

/** Something happened to the article: one touch, and what was verified on it is asked for again. */
export function Happened({ article, serial }: { article: string; serial: string }) {
  const [open, setOpen] = useState(false);
  const [note, setNote] = useState('');
  const [kept, setKept] = useState('');
  const write = useWrite();

  async function keep(kind: Schemas['HappeningKind'], words: string) {
    const at = stamp();
    if (await write.run(() => putRecord('happenings', uuid(), { article, kind, at, note: note.trim() }))) {
      setKept(`${serial} was ${words.toLowerCase()}: what was verified on it is asked for again.`);
      setOpen(false);
      setNote('');
    }
  }

  return (
    <div className="mt-3">
      <Button look="quiet" className="-ml-3" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? 'Nothing happened' : `Something happened to ${serial}`}
      </Button>
      {open && (
        <div role="group" aria-label={`What happened to ${serial}?`} className="grid grid-cols-2 gap-2 sm:grid-cols-3">
          <label className="col-span-full text-sm">
            <span className="mb-1 block">Which part, how far; may stay empty</span>
            <input
              className="field min-h-12"
              value={note}
              autoComplete="off"
              onChange={(e) => setNote(e.target.value)}
            />
          </label>
          {options(HAPPENED).map((o) => (
            <Button key={o.value} large disabled={write.busy} onClick={() => void keep(o.value, o.label)}>
              {o.label}
            </Button>
          ))}
        </div>
      )}
      {kept !== '' && (
        <p role="status" className="text-sm text-soft">
          {kept}
        </p>
      )}
      <Problem says={write.problem} />
    </div>
  );
}
