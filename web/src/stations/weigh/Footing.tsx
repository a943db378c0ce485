import type { Schemas } from '../../api/client';

const FOOTING: Record<Schemas['Footing'], string> = {
  level: 'Same footing',
  tilted: 'Tilted footing',
  broken: 'Not comparable',
};

const LOOK: Record<Schemas['Footing'], string> = {
  level: '',
  broken: 'font-semibold text-oxide',
  tilted: 'font-semibold text-brass',
};

/** Whether two sides stand on the same footing, and what differs. */
export function Footing({ footing }: { footing: Schemas['FootingView'] }) {
  return (
    <>
      <span className={LOOK[footing.footing]}>{FOOTING[footing.footing]}</span>
      {footing.differences.length > 0 && (
        <ul className="list-inside list-['–_'] text-soft">
          {footing.differences.map((d) => (
            <li key={d.what + d.why}>{d.why}</li>
          ))}
        </ul>
      )}
    </>
  );
}
