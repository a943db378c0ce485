import { lazy, Suspense, useRef, useState } from 'react';

import type { Schemas } from '../../api/client';
import { putRecord } from '../../api/records';
import { sendDocument } from '../../api/sendDocument';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import type { FieldOrRows } from '../../ui/fields';
import { useLookAgain } from '../../ui/lookAgain';
import { Problem } from '../../ui/Problem';
import { RecordSlip, type Editing } from '../../ui/RecordSlip';
import { Empty, Part } from '../../ui/Sheet';
import { Slip } from '../../ui/Slip';
import { day } from '../../ui/time';
import { options } from '../../ui/words';

type Sheet = Schemas['WorkshopSheet'];
type Row = Schemas['DocumentRow'];

/** Only whoever turns a model pays for what turns it. */
const Turning = lazy(() => import('./Turning').then((late) => ({ default: late.Turning })));

const ROLE: Record<Schemas['DocumentRole'], string> = {
  drawing: 'drawing',
  model: 'model',
  cutting: 'cutting or print file',
  source: 'source',
  dataSheet: 'data sheet',
  certificate: 'certificate',
  approval: 'approval',
  making: 'picture of making',
  other: 'something else',
};

/** By its name, until somebody says otherwise. */
function roleOf(name: string): Schemas['DocumentRole'] {
  const ending = name.toLowerCase().split('.').pop() ?? '';
  if (['stl', 'step', 'stp', 'obj', '3mf', 'fcstd', 'scad'].includes(ending)) return 'model';
  if (['dxf', 'gcode', 'nc', 'gbr', 'zip'].includes(ending)) return 'cutting';
  if (['c', 'cpp', 'h', 'ino', 'py', 'js', 'ts', 'rs', 'sh', 'txt'].includes(ending)) return 'source';
  if (ending === 'pdf') return 'dataSheet';
  return 'drawing';
}

function fields(sheet: Sheet): FieldOrRows[] {
  const pick = (of: Schemas['Pick'][]) => [
    { value: '', label: 'the build as such' },
    ...of.map((p) => ({ value: p.id, label: p.label })),
  ];
  return [
    { name: 'name', label: 'Name' },
    { name: 'role', label: 'What is it?', kind: 'select', options: options(ROLE) },
    { name: 'part', label: 'Of which part?', kind: 'select', half: true, options: pick(sheet.parts) },
    { name: 'article', label: 'Of which article?', kind: 'select', half: true, options: pick(sheet.articles) },
    { name: 'author', label: 'Who made it?', half: true, people: true },
    { name: 'day', label: 'Of which day?', half: true, hint: '2026-03-02' },
    { name: 'note', label: 'Note' },
    {
      name: 'ratings',
      label: 'What it claims: asserted, until somebody measures it',
      kind: 'rows',
      add: 'Add a claim',
      empty: {},
      fields: [
        { name: 'what', label: 'What', hint: 'As a requirement calls it.' },
        { name: 'value', label: 'How much', half: true, hint: '85 °C' },
        { name: 'page', label: 'On page', half: true },
      ],
    },
  ];
}

/** The files of a build: kept byte by byte, known by their hash, and compared with the parent's. */
export function BuildFiles({ sheet, write }: { sheet: Sheet; write: boolean }) {
  const [editing, setEditing] = useState<Editing>(null);
  const [turned, setTurned] = useState<Schemas['DocumentView'] | null>(null);
  useLookAgain(
    sheet.documents.some((row) => row.document.preview === 'waiting'),
    'build',
  );
  return (
    <Part title="Files" actions={write && <AddFiles revision={sheet.revision} />}>
      {sheet.documents.length === 0 ? (
        <Empty>
          Drawings, models, cutting files, sources, data sheets, certificates. Each is known by its hash, so that
          another file than the parent’s does not slip in unsaid; what a data sheet claims stands beside what is asked.
        </Empty>
      ) : (
        <ul className="divide-y divide-rule">
          {sheet.documents.map((row) => (
            <FileRow
              key={row.document.id}
              row={row}
              turn={() => setTurned(row.document)}
              edit={
                write && row.from === ''
                  ? () => setEditing({ id: row.document.id, record: { ...row.document } })
                  : undefined
              }
            />
          ))}
        </ul>
      )}
      <RecordSlip
        title="File"
        kind={`documents:${sheet.revision}`}
        editing={editing}
        fields={fields(sheet)}
        onClose={() => setEditing(null)}
        withdraw="documents"
        save={(id, values, version) => putRecord('documents', id, { ...values, revision: sheet.revision, version })}
      />
      <Slip open={turned !== null} onClose={() => setTurned(null)} title={turned?.name ?? ''} wide>
        {turned !== null && (
          <Suspense fallback={<p className="text-soft">Opening the model …</p>}>
            <Turning url={`/api/documents/${turned.id}/file`} name={turned.name} />
          </Suspense>
        )}
      </Slip>
    </Part>
  );
}

function FileRow({ row, turn, edit }: { row: Row; turn: () => void; edit: (() => void) | undefined }) {
  const d = row.document;
  const file = `/api/documents/${d.id}/file`;
  const about = [
    ROLE[d.role],
    d.partName,
    d.author,
    d.day === '' ? '' : day(d.day),
    row.size,
    `# ${d.sha256.slice(0, 8)}`,
    row.from === '' ? '' : `from ${row.from}`,
    d.preview === 'waiting' ? 'its picture is being drawn' : '',
  ];
  return (
    <li className="flex flex-wrap items-start gap-x-4 gap-y-1 py-2 text-sm">
      {d.preview === 'picture' && (
        <a href={`/api/documents/${d.id}/picture`} target="_blank" rel="noreferrer" className="shrink-0">
          <img
            src={`/api/documents/${d.id}/picture`}
            alt={`Picture of ${d.name}`}
            loading="lazy"
            className="h-16 w-24 border border-rule bg-white object-contain"
          />
        </a>
      )}
      <div className="min-w-56 flex-1">
        <a
          className="font-semibold text-blue underline"
          href={file}
          target={d.preview === 'pages' ? '_blank' : undefined}
          rel="noreferrer"
        >
          {d.name}
        </a>
        <p className="text-xs text-soft">{about.filter((a) => a !== '').join(' · ')}</p>
        {[d.note, d.seen]
          .filter((n) => n !== '')
          .map((n) => (
            <p key={n}>{n}</p>
          ))}
        {row.claims.map((c) => (
          <p key={c} className="text-soft">
            {c}
          </p>
        ))}
        {row.note !== '' && <p className="font-semibold text-oxide">{row.note}</p>}
      </div>
      {d.preview === 'model' && (
        <Button look="quiet" aria-label={`Turn ${d.name}`} onClick={turn}>
          Turn it
        </Button>
      )}
      {edit !== undefined && (
        <Button look="quiet" aria-label={`Edit ${d.name}`} onClick={edit}>
          Edit
        </Button>
      )}
    </li>
  );
}

/** One file or a heap of them; what each is, is guessed from its name and said better afterwards. */
export function AddFiles({
  revision,
  article,
  role,
  label = 'Add files',
}: {
  revision: string;
  article?: string;
  role?: Schemas['DocumentRole'];
  label?: string;
}) {
  const input = useRef<HTMLInputElement>(null);
  const write = useWrite();
  const [state, setState] = useState('');
  async function take(files: FileList | null) {
    let kept = 0;
    for (const file of Array.from(files ?? [])) {
      setState(`Sending ${file.name} …`);
      const to = { revision, role: role ?? roleOf(file.name), ...(article === undefined ? {} : { article }) };
      if (!(await write.run(() => sendDocument(file, to)))) break;
      kept += 1;
    }
    setState(kept === 0 ? '' : kept === 1 ? 'Kept.' : `${kept} files are kept.`);
    if (input.current) input.current.value = '';
  }
  return (
    <span className="flex flex-wrap items-center gap-3">
      <input
        ref={input}
        type="file"
        multiple
        className="hidden"
        aria-label={article === undefined ? 'Files of the build' : 'Picture of making'}
        onChange={(e) => void take(e.target.files)}
      />
      <span role="status" className="text-sm text-soft">
        {state}
      </span>
      <Button look="quiet" disabled={write.busy} onClick={() => input.current?.click()}>
        {label}
      </Button>
      <Problem says={write.problem} />
    </span>
  );
}
