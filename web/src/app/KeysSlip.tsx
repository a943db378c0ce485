import { Slip } from '../ui/Slip';

const KEYS: [string, string][] = [
  ['1 … 5', 'Build, Try, Find, Weigh, Next'],
  ['[ and ]', 'older and newer build'],
  ['n', 'new here: a change, a trial, a failure, a candidate'],
  ['/', 'look up a build, a station or a sheet'],
  ['?', 'this list'],
  ['Esc', 'close what is open'],
];

export default function KeysSlip({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Slip open={open} onClose={onClose} title="Keys">
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
        {KEYS.map(([key, words]) => (
          <div key={key} className="contents">
            <dt className="stamp">{key}</dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
    </Slip>
  );
}
