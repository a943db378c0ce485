import type { Schemas } from '../../api/client';
import { prose } from '../../ui/prose';
import type { Opened } from '../../ui/RunsSlip';

/** A metric shown by whether runs hold: shares against each other, and the ladder of each build. */
export function OutcomeRow({ outcome: o, open }: { outcome: Schemas['OutcomeRow']; open: (opened: Opened) => void }) {
  const sides = [...(o.other === null ? [] : [o.other]), o.here];
  return (
    <section className="grid gap-x-8 gap-y-2 py-5 lg:grid-cols-[1fr_minmax(0,35rem)]" aria-label={o.metric}>
      <div>
        <h3 className="stamp text-sm text-soft">{o.metric}</h3>
        <p className="mt-1 font-serif text-lg leading-snug">{prose(o.sentence)}</p>
        {o.difference !== null && (
          <p className="mt-2 text-sm">
            <span className="text-soft">Difference</span> {o.difference}
          </p>
        )}
        <p className="mt-2 flex flex-wrap gap-4 text-sm">
          {sides.map((s) => (
            <button
              key={s.letter}
              type="button"
              className="min-h-6 cursor-pointer text-blue underline"
              onClick={() =>
                open({
                  title: `${o.metric}: ${s.letter}`,
                  sentence: o.sentence,
                  how: '',
                  runs: { revision: s.build, metric: o.metricId },
                  explain: o.explain,
                })
              }
            >
              {s.letter}: held {s.held} of {s.tried}
            </button>
          ))}
        </p>
      </div>
      {o.rungs.length > 0 && (
        <table className="self-start text-sm">
          <thead>
            <tr className="text-xs text-soft">
              <th className="cell font-normal">Rung</th>
              {sides.map((s) => (
                <th key={s.letter} className="cell font-normal">
                  {s.letter}, held of tried
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {o.rungs.map((r) => (
              <tr key={r.level} className="border-t border-rule">
                <th scope="row" className="cell font-normal">
                  {r.level}
                </th>
                {o.other !== null && <Tried text={r.other} failed={r.failedThere} />}
                <Tried text={r.here} failed={r.failedHere} />
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

function Tried({ text, failed }: { text: string | null; failed: boolean }) {
  return (
    <td className={`cell ${failed ? 'text-oxide' : ''}`}>{text ?? <span className="text-soft">not tried</span>}</td>
  );
}
