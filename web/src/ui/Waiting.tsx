import type { UseQueryResult } from '@tanstack/react-query';
import type { ReactNode } from 'react';

import { ProblemError } from '../api/client';
import { Button } from './Button';
import { Sheet } from './Sheet';

/** Shows a sheet once it is there; before that that it is coming, or what went wrong and how to try again. */
export function Waiting<T>({
  query,
  title,
  children,
}: {
  query: UseQueryResult<T>;
  title: string;
  children: (data: T) => ReactNode;
}) {
  if (query.data !== undefined) return <>{children(query.data)}</>;
  if (query.isError) {
    const missing = query.error instanceof ProblemError && query.error.status === 404;
    return (
      <Sheet title={missing ? 'Nothing here' : title} sentence={query.error.message}>
        {!missing && (
          <Button className="mt-4" onClick={() => void query.refetch()}>
            Try again
          </Button>
        )}
      </Sheet>
    );
  }
  return (
    <Sheet title={title}>
      <p className="mt-2 font-serif text-xl text-soft" role="status">
        Working it out …
      </p>
      <div className="mt-5 space-y-3" aria-hidden="true">
        {[0, 1, 2, 3, 4].map((i) => (
          <div key={i} className="h-3 bg-rule/60" style={{ width: `${90 - i * 13}%` }} />
        ))}
      </div>
    </Sheet>
  );
}
