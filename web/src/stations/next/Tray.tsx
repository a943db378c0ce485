import type { Schemas } from '../../api/client';
import { ForecastBar } from '../../figures/ForecastBar';
import { Table } from '../../ui/Table';

const MEETS: Record<string, string> = {
  would: 'within the limit',
  could: 'perhaps within',
  wouldNot: 'not within',
  unknown: 'nothing to stand on',
};

const SUM: Record<string, string> = { cost: 'Cost', hours: 'Hours', changes: 'Changes' };

/** Sums against limits, where the metrics would go, and what can no longer be told apart. */
export function Tray({ consequences: c }: { consequences: Schemas['ConsequencesView'] }) {
  return (
    <>
      <Table
        wide
        headless
        label="Sums"
        rows={c.sums}
        keyOf={(sum) => sum.what}
        look={() => 'first:border-0'}
        columns={[
          { head: 'Of what', names: true, cell: (sum) => SUM[sum.what] },
          {
            head: 'Sum',
            right: true,
            look: (sum) => `font-semibold ${sum.over ? 'text-oxide' : ''}`,
            cell: (sum) => sum.value,
          },
          {
            head: 'Limit',
            right: true,
            look: 'pr-0 text-soft',
            cell: (sum) => (sum.limit === null ? 'no limit' : `of ${sum.limit}`),
          },
        ]}
      />
      {c.over.map((o) => (
        <p key={o} className="mt-2 border-l-2 border-oxide pl-3 text-sm font-semibold text-oxide">
          {o}
        </p>
      ))}
      {c.entangled.map((e) => (
        <p key={e} className="mt-2 border-l-2 border-brass pl-3 text-sm">
          {e}
        </p>
      ))}
      {c.forecasts.map((f) => (
        <div key={f.metric} className="mt-4 border-t border-rule pt-2">
          <p className="text-sm font-semibold">
            {f.metric}, {f.unit}{' '}
            <span className={`font-normal ${f.meets === 'wouldNot' ? 'text-oxide' : 'text-soft'}`}>
              · {MEETS[f.meets]}
            </span>
          </p>
          <ForecastBar forecast={f} />
          <p className="text-xs text-soft">{f.sentence}</p>
        </div>
      ))}
      {c.chosen === 0 && (
        <p className="mt-2 text-sm text-soft">
          Nothing is chosen yet. Put a candidate in, and its sums and overlaps appear here.
        </p>
      )}
    </>
  );
}
