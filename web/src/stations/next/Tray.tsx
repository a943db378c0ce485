import type { Schemas } from '../../api/client';
import { ForecastBar } from '../../figures/ForecastBar';

const MEETS: Record<string, string> = {
  would: 'within the limit',
  could: 'perhaps within',
  wouldNot: 'not within',
  unknown: 'nothing to stand on',
};

/** Sums against limits, where the metrics would go, and what can no longer be told apart. */
export function Tray({
  consequences: c,
  device,
}: {
  consequences: Schemas['Consequences'];
  device: Schemas['DeviceView'];
}) {
  return (
    <>
      <table className="w-full text-sm">
        <tbody>
          <Sum
            words="Cost"
            value={`${c.cost} ${device.currency}`}
            limit={device.costLimit === null ? null : `${device.costLimit.toFixed(2)}`}
            over={device.costLimit !== null && Number(c.cost) > device.costLimit}
          />
          <Sum
            words="Hours"
            value={`${c.hours} h`}
            limit={device.hoursLimit === null ? null : `${device.hoursLimit}`}
            over={device.hoursLimit !== null && c.hours > device.hoursLimit}
          />
          <Sum
            words="Changes"
            value={String(c.chosen)}
            limit={device.changesLimit === null ? null : String(device.changesLimit)}
            over={device.changesLimit !== null && c.chosen > device.changesLimit}
          />
        </tbody>
      </table>
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

function Sum({ words, value, limit, over }: { words: string; value: string; limit: string | null; over: boolean }) {
  return (
    <tr className="border-t border-rule first:border-0">
      <td className="cell">{words}</td>
      <td className={`cell text-right font-semibold ${over ? 'text-oxide' : ''}`}>{value}</td>
      <td className="cell pr-0 text-right text-soft">{limit === null ? 'no limit' : `of ${limit}`}</td>
    </tr>
  );
}
