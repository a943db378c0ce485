import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { BeforeStart } from './BeforeStart';
import { useStartRun, type Wanted } from './useStartRun';

/** The next run of the plan, in one touch from the one that has just ended. */
export function NextPlanned({ sheet, base }: { sheet: Schemas['RunSheet']; base: string }) {
  const { write, start } = useStartRun(base);
  const plan = sheet.console.plan;
  const next = plan?.next ?? null;
  if (plan === null || next === null) return null;
  const wanted: Wanted = {
    trial: sheet.run.trial,
    article: plan.article ?? sheet.run.article,
    firmware: sheet.run.firmware,
    state: (plan.article ?? sheet.run.article) === null ? sheet.run.state : '',
    levels: sheet.run.levels.map((l) => next.levels.find((n) => n.name === l.name) ?? l),
    ...(plan.sets === null ? {} : { settings: [plan.sets] }),
  };
  return (
    <div className="mt-4">
      <Button
        large
        look="primary"
        className="w-full sm:w-auto"
        disabled={write.busy}
        onClick={() => void start(wanted)}
      >
        {write.busy
          ? 'Starting …'
          : `${plan.sets === null ? 'Start' : 'Set it and start'} the next: ${[next.text, plan.serial].filter(Boolean).join(', ')}`}
      </Button>
      <BeforeStart
        key={write.problem}
        write={write}
        trial={sheet.trial}
        role={sheet.agreesNext}
        start={(ahead, first) => start({ ...wanted, ahead }, first)}
      />
    </div>
  );
}
