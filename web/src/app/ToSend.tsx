import { Link } from 'react-router';

import { useQueue } from '../outbox/useQueue';

/** What was written in the field and waits: counted wherever one looks, and sent by itself. */
export default function ToSend({ person }: { person: string }) {
  const queue = useQueue(person);
  if (queue.length === 0) return null;
  return (
    <Link
      to="/field"
      className="mr-1 border-l-4 border-brass bg-brasswash px-2 py-1 text-sm font-semibold whitespace-nowrap text-blue"
    >
      {queue.length} to send
    </Link>
  );
}
