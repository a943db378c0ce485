import { Link } from 'react-router';

import { useHeap } from '../outbox/useHeap';
import { useQueue } from '../outbox/useQueue';

/** What was written in the field and waits: counted wherever one looks, and sent by itself. */
export default function ToSend({ person }: { person: string }) {
  const queue = useQueue(person);
  const heap = useHeap();
  const isGoing = heap !== null && heap.done < heap.all;
  if (queue.length === 0 && !isGoing) return null;
  if (isGoing)
    return (
      <Link
        to={`/heap/${heap.workspace}`}
        className="mr-1 border-l-4 border-brass bg-brasswash px-2 py-1 text-sm font-semibold whitespace-nowrap text-blue"
      >
        Heap: {heap.done} of {heap.all}
      </Link>
    );
  return (
    <Link
      to="/field"
      className="mr-1 border-l-4 border-brass bg-brasswash px-2 py-1 text-sm font-semibold whitespace-nowrap text-blue"
    >
      {queue.length} to send
    </Link>
  );
}
