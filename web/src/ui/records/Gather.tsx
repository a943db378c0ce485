import { useState } from 'react';
import { useNavigate } from 'react-router';

import { api, must, type Schemas } from '../../api/client';
import { useWrite } from '../../api/useWrite';
import { uuid } from '../../api/uuid';
import { Button } from '../Button';
import { stationPath, useFrame } from '../place';
import { Problem } from '../Problem';

/** What was changed on an article becomes a build of its own by one touch: its runs go along, and nothing is typed again. */
export function Gather({ article, named = false }: { article: Schemas['ArticleView']; named?: boolean }) {
  const write = useWrite();
  const frame = useFrame();
  const navigate = useNavigate();
  const [build] = useState(uuid);

  async function gather() {
    let letter = '';
    const done = await write.run(async () => {
      const made = await must(
        api.POST('/api/articles/{id}/gather', { params: { path: { id: article.id } }, body: { id: build } }),
      );
      letter = made.letter;
    });
    if (done) void navigate(stationPath(frame.device.id, letter, 'build'));
  }

  return (
    <>
      <Button look={named ? 'plain' : 'quiet'} disabled={write.busy} onClick={() => void gather()}>
        {named ? `Gather ${article.serial} into a build of its own` : 'Gather into a build of its own'}
      </Button>
      <Problem says={write.problem} />
    </>
  );
}
