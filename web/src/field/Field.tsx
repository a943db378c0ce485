import { useEffect, useState } from 'react';
import { Route, Routes } from 'react-router';

import { sendByItself, type Sent } from '../outbox/sender';
import { FieldHome } from './FieldHome';
import { FieldRunPage } from './FieldRunPage';

/** Everything that works without network, for one person. */
export default function Field({ person, name }: { person: string; name: string }) {
  const [sent, setSent] = useState<Sent | null>(null);
  useEffect(() => sendByItself(setSent), [person]);
  return (
    <Routes>
      <Route path="/field/run/:run" element={<FieldRunPage name={name} />} />
      <Route path="*" element={<FieldHome person={person} name={name} sent={sent} />} />
    </Routes>
  );
}
