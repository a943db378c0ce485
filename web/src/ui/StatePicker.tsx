import { ARTICLE_STATE } from './words';

/** What kind of thing is tried, where no article says it. */
export function StatePicker({
  label,
  state,
  onChange,
  large = false,
}: {
  label: string;
  state: string;
  onChange: (state: string) => void;
  large?: boolean;
}) {
  return (
    <label className="text-sm">
      <span className="mb-1 block font-semibold">{label}</span>
      <select
        className={`field ${large ? 'min-h-14 w-40' : 'w-44'}`}
        value={state}
        onChange={(e) => onChange(e.target.value)}
      >
        <option value="">say what it is</option>
        {Object.entries(ARTICLE_STATE).map(([value, name]) => (
          <option key={value} value={value}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}
