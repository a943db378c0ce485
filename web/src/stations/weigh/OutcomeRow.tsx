import type { Schemas } from '../../api/client';
import { prose } from '../../ui/prose';
import type { Opened } from '../../ui/RunsSlip';

/** A metric shown by whether runs hold: shares against each other, and the ladder of each build. */
export function OutcomeRow({
  outcome: o,
  open,
}: {
  outcome: Schemas['OutcomeComparison'];
  open: (opened: Opened) => void;
}) {
  const sides = [...(o.other === null ? [] : [o.other]), o.here];
  return (
    <section className="grid gap-x-8 gap-y-2 py-5 lg:grid-cols-[1fr_minmax(0,35rem)]" aria-label={o.metric}>
      <div>
        <h3 className="stamp text-sm text-soft">{o.metric}</h3>
        <p className="mt-1 font-serif text-lg leading-snug">{prose(o.sentence)}</p>
        {o.difference !== null && (
          <p className="mt-2 text-sm">
            <span className="text-soft">Difference</span> {o.difference.text}
            {o.p !== null && <span className="text-soft"> · p = {o.p < 0.001 ? 'under 0.001' : o.p.toFixed(2)}</span>}
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
                  runs: s.runs,
                  explain: s.rungs.length > 0 ? 'threshold.ladder' : 'stats.compareProportions',
                })
              }
            >
              {s.letter}: held {s.held} of {s.tried}
            </button>
          ))}
        </p>
      </div>
      {o.here.rungs.length > 0 && (
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
            {[...new Set(sides.flatMap((s) => s.rungs.map((r) => r.level)))]
              .sort((a, b) => b - a)
              .map((level) => (
                <tr key={level} className="border-t border-rule">
                  <td className="cell">
                    {level} {o.here.unit}
                  </td>
                  {sides.map((s) => {
                    const rung = s.rungs.find((r) => r.level === level);
                    return (
                      <td
                        key={s.letter}
                        className={`cell ${rung !== undefined && rung.held < rung.tried ? 'text-oxide' : ''}`}
                      >
                        {rung === undefined ? (
                          <span className="text-soft">not tried</span>
                        ) : (
                          <>
                            {rung.held} of {rung.tried}{' '}
                            <span className="text-xs text-soft">
                              [{Math.round(rung.low * 100)}, {Math.round(rung.high * 100)} %]
                            </span>
                          </>
                        )}
                      </td>
                    );
                  })}
                </tr>
              ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
