import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';

import type { Schemas } from '../../api/client';
import { membersQuery } from '../../api/queries';
import { putRecord } from '../../api/records';
import { useWrite } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import { Button } from '../../ui/Button';
import { usePlace } from '../../ui/place';
import { Problem } from '../../ui/Problem';
import { Slip } from '../../ui/Slip';

/** A time or a force is read and not rated; it can be ticked all the same. */
const RATED = ['1', '%', ''];

type Scale = { asked: boolean; low: string; high: string };

/** Prepares a blind panel: what is rated, by whom, on which scales; codes and serving orders follow. */
export function PanelSlip({
  trial,
  method,
  articles,
  onClose,
}: {
  trial: Schemas['TrialView'];
  method: Schemas['MethodView'];
  articles: Schemas['ArticleView'][];
  onClose: () => void;
}) {
  const write = useWrite();
  const [id] = useState(uuid);
  const { frame } = usePlace();
  const people = useQuery(membersQuery(frame.device.workspace)).data?.people ?? [];
  const [serves, setServes] = useState('');
  const channels = method.channels.filter((c) => c.formula === '');
  const [serials, setSerials] = useState<string[]>(articles.map((a) => a.serial));
  const [raters, setRaters] = useState('');
  const [scales, setScales] = useState<Record<string, Scale>>(() =>
    Object.fromEntries(channels.map((c) => [c.key, { asked: RATED.includes(c.unit), low: '', high: '' }])),
  );
  const [prefers, setPrefers] = useState(false);
  const [guess, setGuess] = useState('');
  const [right, setRight] = useState('');
  const names = raters
    .split('\n')
    .map((name) => name.trim())
    .filter((name) => name !== '');
  const set = (key: string, changed: Partial<Scale>) =>
    setScales({ ...scales, [key]: { ...(scales[key] ?? { asked: false, low: '', high: '' }), ...changed } });

  async function keep() {
    const body = {
      trial: trial.id,
      serials,
      raters: names,
      serves: serves === '' ? null : serves,
      scales: channels
        .filter((c) => scales[c.key]?.asked === true)
        .map((c) => ({ channel: c.key, low: scales[c.key]?.low ?? '', high: scales[c.key]?.high ?? '' })),
      prefers,
      guess,
      right: guess.trim() === '' ? '' : right,
    };
    if (await write.run(() => putRecord('panels', id, body))) onClose();
  }

  return (
    <Slip open onClose={onClose} title={`Blind panel of ${trial.name}`}>
      <form
        className="space-y-5"
        noValidate
        onSubmit={(e) => {
          e.preventDefault();
          void keep();
        }}
      >
        <fieldset>
          <legend className="font-semibold">What is rated, each under a code of three digits</legend>
          <div className="mt-1 grid grid-cols-3 gap-x-3">
            {articles.map((a) => (
              <label key={a.id} className="flex min-h-9 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5 accent-blue"
                  checked={serials.includes(a.serial)}
                  onChange={(e) =>
                    setSerials(
                      e.target.checked
                        ? articles.map((one) => one.serial).filter((s) => s === a.serial || serials.includes(s))
                        : serials.filter((s) => s !== a.serial),
                    )
                  }
                />
                {a.serial} {a.arm !== '' && <span className="text-sm text-soft">{a.arm}</span>}
              </label>
            ))}
          </div>
        </fieldset>
        <label className="block">
          <span className="mb-1 block font-semibold">Who rates, a name a line</span>
          <textarea className="field min-h-28" value={raters} onChange={(e) => setRaters(e.target.value)} />
        </label>
        <label className="block">
          <span className="mb-1 block font-semibold">Who serves: sees what is handed over next, and rates nothing</span>
          <select className="field" value={serves} onChange={(e) => setServes(e.target.value)}>
            <option value="">I do</option>
            {people
              .filter((one) => one.role !== 'viewer')
              .map((one) => (
                <option key={one.id} value={one.id}>
                  {one.name}
                </option>
              ))}
          </select>
        </label>
        <fieldset>
          <legend className="font-semibold">What they are asked</legend>
          {channels.map((c) => (
            <div key={c.key} className="mt-2">
              <label className="flex min-h-9 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5 accent-blue"
                  checked={scales[c.key]?.asked ?? false}
                  onChange={(e) => set(c.key, { asked: e.target.checked })}
                />
                {c.metric}
              </label>
              {scales[c.key]?.asked === true && (
                <div className="grid grid-cols-2 gap-2">
                  <input
                    className="field"
                    aria-label={`${c.metric}: word at the low end`}
                    placeholder="low end: tiring"
                    value={scales[c.key]?.low ?? ''}
                    onChange={(e) => set(c.key, { low: e.target.value })}
                  />
                  <input
                    className="field"
                    aria-label={`${c.metric}: word at the high end`}
                    placeholder="high end: light"
                    value={scales[c.key]?.high ?? ''}
                    onChange={(e) => set(c.key, { high: e.target.value })}
                  />
                </div>
              )}
            </div>
          ))}
          <label className="mt-2 flex min-h-9 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-blue"
              checked={prefers}
              onChange={(e) => setPrefers(e.target.checked)}
            />
            Is it better than the one before?
          </label>
        </fieldset>
        <div>
          <label className="block">
            <span className="mb-1 block font-semibold">A guess at the end, to see whether the blind held</span>
            <input
              className="field"
              placeholder="Which one is the new one?"
              value={guess}
              onChange={(e) => setGuess(e.target.value)}
            />
          </label>
          {guess.trim() !== '' && (
            <label className="mt-2 block">
              <span className="mb-1 block text-sm font-semibold">The right answer</span>
              <select className="field" value={right} onChange={(e) => setRight(e.target.value)}>
                <option value="">choose</option>
                {serials.map((s) => (
                  <option key={s}>{s}</option>
                ))}
              </select>
            </label>
          )}
        </div>
        <p className="text-sm text-soft">
          {serials.length * names.length} sheets. Each rater is served in an order of their own, so that no article
          always comes first or after the same one.
        </p>
        <Button type="submit" look="primary" disabled={write.busy || serials.length < 2 || names.length === 0}>
          {write.busy ? 'Saving …' : 'Make codes and orders'}
        </Button>
        <Problem says={write.problem} />
      </form>
    </Slip>
  );
}
