import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';

import type { Schemas } from '../../api/client';
import { workshopQuery } from '../../api/queries';
import { usePlace, stationPath } from '../../ui/place';
import { Problem } from '../../ui/Problem';
import { prose } from '../../ui/prose';
import { Part } from '../../ui/Sheet';
import { Table } from '../../ui/Table';
import { BuildFiles } from './BuildFiles';
import { Making } from './Making';
import { Spending } from './Spending';

/** What stands behind a build: its files, its modules, how its articles were made, and what was spent. */
export default function Workshop({ revision, currency }: { revision: string; currency: string }) {
  const { write } = usePlace();
  const { data: sheet, error } = useQuery(workshopQuery(revision));
  if (sheet === undefined)
    return error === null ? (
      <p className="mt-7 text-soft">Opening files and making …</p>
    ) : (
      <Problem says={error.message} />
    );
  return (
    <>
      {sheet.modules.length > 0 && <Modules modules={sheet.modules} />}
      <BuildFiles sheet={sheet} write={write} />
      <Making sheet={sheet} write={write} />
      <Spending sheet={sheet} currency={currency} write={write} />
      {sheet.takenOver.length > 0 && (
        <Part title="Taken over" aside="its evidence stays with it, and what differs is said">
          <Table
            wide
            headless
            stacks
            label="Taken over"
            rows={sheet.takenOver}
            keyOf={(t) => t.part}
            columns={[
              { head: 'Part', look: 'font-semibold', cell: (t) => t.part },
              { head: 'What is known of it', cell: (t) => prose(t.said) },
            ]}
          />
        </Part>
      )}
    </>
  );
}

function Modules({ modules }: { modules: Schemas['ModuleRow'][] }) {
  return (
    <Part title="Modules" aside="tried and decided alone">
      <Table
        wide
        headless
        stacks
        label="Modules"
        rows={modules}
        keyOf={(m) => m.part}
        columns={[
          { head: 'Part', cell: (m) => m.part },
          {
            head: 'Which build',
            look: 'font-semibold',
            cell: (m) => (
              <Link className="text-blue underline" to={stationPath(m.device, m.letter, 'build')}>
                {m.name} {m.letter}
              </Link>
            ),
          },
          { head: 'How it stands', look: 'text-soft', cell: (m) => m.said },
        ]}
      />
    </Part>
  );
}
