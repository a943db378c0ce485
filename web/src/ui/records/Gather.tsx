import { useState } from 'react';
import { useNavigate } from 'react-router';

import { api, must, type Schemas } from '../../api/client';
import { useWrite } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import { Button } from '../Button';
import { stationPath, useFrame } from '../place';
import { Problem } from '../Problem';

/**
 * What was changed on an article becomes a build of its own: its runs go along, and nothing is typed again. Of several
 * steps one says after which the new build begins.
 */
export function Gather({ article, named = false }: { article: Schemas['ArticleView']; named?: boolean }) {
  const write = useWrite();
  const frame = useFrame();
  const navigate = useNavigate();
  const [build] = useState(uuid);
  const [steps, setSteps] = useState<Schemas['StepView'][]>([]);
  const [answers, setAnswers] = useState<string[]>([]);
  const failures = [...new Map(steps.flatMap((s) => s.after).map((f) => [f.id, f])).values()];

  async function gather(step: number | null) {
    let letter = '';
    const done = await write.run(async () => {
      const made = await must(
        api.POST('/api/articles/{id}/gather', {
          params: { path: { id: article.id } },
          body: { id: build, step, answers },
        }),
      );
      letter = made.letter;
    });
    if (done) void navigate(stationPath(frame.device.id, letter, 'build'));
  }

  async function begin() {
    let known: Schemas['StepView'][] = [];
    const done = await write.run(async () => {
      known = await must(api.GET('/api/articles/{id}/steps', { params: { path: { id: article.id } } }));
    });
    if (!done) return;
    if (known.length < 2 && known.every((s) => s.after.length === 0)) await gather(null);
    else setSteps(known);
  }

  return (
    <>
      <Button
        look={named ? 'plain' : 'quiet'}
        disabled={write.busy}
        aria-expanded={steps.length > 0}
        onClick={() => void (steps.length > 0 ? setSteps([]) : begin())}
      >
        {named ? `Gather ${article.serial} into a build of its own` : 'Gather into a build of its own'}
      </Button>
      {steps.length > 0 && (
        <fieldset className="mt-2 basis-full border-l-2 border-brass pl-3 text-left text-sm">
          <legend className="sr-only">Where does the new build begin?</legend>
          <p>The new build begins after one of these; runs of that step and of later ones go along.</p>
          {failures.length > 0 && (
            <div className="mt-1">
              {failures.map((f) => (
                <label key={f.id} className="flex min-h-9 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5"
                    checked={answers.includes(f.id)}
                    onChange={(e) =>
                      setAnswers(e.target.checked ? [...answers, f.id] : answers.filter((id) => id !== f.id))
                    }
                  />
                  {f.said}
                </label>
              ))}
            </div>
          )}
          <ol className="mt-1 grid gap-1">
            {steps.map((s) => (
              <li key={s.number}>
                <Button look="quiet" disabled={write.busy} onClick={() => void gather(s.number)}>
                  {`After ${s.number}: ${s.said}`}
                </Button>{' '}
                <span className="text-soft">{s.runs === 1 ? '1 run' : `${s.runs} runs`}</span>
              </li>
            ))}
          </ol>
        </fieldset>
      )}
      <Problem says={write.problem} />
    </>
  );
}
