import { useState } from 'react';

import { api, must, type Schemas } from '../../api/client';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Problem } from '../../ui/Problem';
import { StatePicker } from '../../ui/StatePicker';

/** Asked of a run without an article, of which nobody said what was tried: a mock-up is not the real thing. */
export function WhatItWas({ run }: { run: Schemas['RunView'] }) {
  const write = useWrite();
  const [state, setState] = useState('');
  if (run.article !== null || run.state !== '' || run.outcome === null) return null;
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-2 text-sm"
      onSubmit={(e) => {
        e.preventDefault();
        void write.run(() =>
          must(
            api.POST('/api/runs/{id}/tried-on', {
              params: { path: { id: run.id } },
              body: { state: state as Schemas['StateInput']['state'] },
            }),
          ),
        );
      }}
    >
      <StatePicker label="What was it?" state={state} onChange={setState} />
      <Button type="submit" disabled={state === '' || write.busy}>
        Keep what it was
      </Button>
      <Problem says={write.problem} />
    </form>
  );
}
