import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { BeforeStart } from './BeforeStart';
import { useStartRun } from './useStartRun';

/** The next run of the same trial, with everything as it was: what lapsed is asked on its sheet. */
export function Again({ sheet, base }: { sheet: Schemas['RunSheet']; base: string }) {
  const { write, start } = useStartRun(base);
  const hasNext = (sheet.console.plan?.next ?? null) !== null;
  const { trial, article, firmware, state, levels } = sheet.run;
  return (
    <div className="mt-4">
      <Button
        large
        look={hasNext ? 'plain' : 'primary'}
        className="w-full sm:w-auto"
        disabled={write.busy}
        onClick={() => void start({ trial, article, firmware, state, levels })}
      >
        {write.busy ? 'Starting …' : 'Again, all as before'}
      </Button>
      <BeforeStart
        key={write.problem}
        write={write}
        trial={sheet.trial}
        role={sheet.agreesNext}
        start={(ahead, first) => start({ trial, article, firmware, state, levels, ahead }, first)}
      />
    </div>
  );
}
