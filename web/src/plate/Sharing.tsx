import { useFrame } from '../ui/place';
import { Part, Sheet } from '../ui/Sheet';

/** What can be taken out of Lustrum, in open formats. */
export default function Sharing() {
  const frame = useFrame();
  const id = frame.device.id;
  return (
    <Sheet
      title="Reports and sharing"
      sentence={`${frame.device.name} can leave here whole, in two open formats; nothing is locked in.`}
    >
      <Part title="The whole device">
        <p className="max-w-prose">
          Brief, builds, changes, parts, units, methods, trials, runs, readings with their amendments, failures, causes,
          candidates, decisions and photos. It can be brought into any workspace again, with nothing lost.
        </p>
        <a
          className="mt-2 inline-block font-semibold text-blue underline"
          href={`/api/devices/${id}/export.json`}
          download
        >
          Export as JSON
        </a>
      </Part>
      <Part title="Readings">
        <p className="max-w-prose">
          Every reading as a line: as typed with its unit, as it counts, and in the SI; for a spreadsheet or a script.
        </p>
        <a
          className="mt-2 inline-block font-semibold text-blue underline"
          href={`/api/devices/${id}/readings.csv`}
          download
        >
          Export readings as CSV
        </a>
      </Part>
    </Sheet>
  );
}
