import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';

import { must, send } from '../api/client';
import { startQuery } from '../api/queries';
import { uuid } from '../api/uuid';
import { RecordSlip } from '../ui/RecordSlip';
import type { Field } from '../ui/fields';

const DESIGN: Field[] = [
  { name: 'design', label: 'Or somebody else’s design: what is it called?' },
  { name: 'author', label: 'Whose is it?', half: true },
  { name: 'terms', label: 'On which terms?', half: true, hint: 'As its author gave it away.' },
  { name: 'alterations', label: 'What is altered from it?', kind: 'area' },
];

/** A device that begins with somebody else's design, or as a build of another device is. */
export default function TakeOver({ workspace, close }: { workspace: string; close: () => void }) {
  const navigate = useNavigate();
  const start = useQuery(startQuery(workspace));
  const [id] = useState(uuid);
  const builds = (start.data?.builds ?? []).map((b) => ({ value: b.id, label: `${b.name} ${b.letter}` }));
  return (
    <RecordSlip
      title="Take over a design"
      kind={`take-over:${workspace}`}
      editing={{ id, record: {} }}
      fields={[
        { name: 'name', label: 'Name of the new device' },
        {
          name: 'build',
          label: 'It begins as this build is',
          kind: 'select',
          options: [{ value: '', label: 'none' }, ...builds],
          hint: 'Its parameters and parts come along, and what was shown of its parts stays said with what differs.',
        },
        ...DESIGN,
      ]}
      label="Make device"
      onClose={close}
      save={async (_, values) => {
        await must(send('POST', `/api/workspaces/${workspace}/devices-from`, { ...values, id }));
        await navigate(`/d/${id}/brief`);
      }}
    />
  );
}
