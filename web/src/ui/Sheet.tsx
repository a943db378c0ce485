import type { ReactNode } from 'react';

import { prose } from './prose';

/** One piece of paper: a heading, the computed sentence, then the figure, then the records. */
export function Sheet({
  title,
  sentence,
  actions,
  children,
}: {
  title: string;
  sentence?: string | undefined;
  actions?: ReactNode;
  children?: ReactNode;
}) {
  return (
    <article className="border border-rule bg-sheet px-4 py-5 sm:px-8 sm:py-7">
      <div className="flex flex-wrap items-start justify-between gap-x-6 gap-y-3">
        <div className="max-w-3xl min-w-64 flex-1">
          <h1 className="stamp text-sm text-soft">{title}</h1>
          {sentence !== undefined && (
            <p className="mt-1 font-serif text-xl leading-snug" role="status" data-testid="sentence">
              {prose(sentence)}
            </p>
          )}
        </div>
        {actions !== undefined && <div className="flex flex-wrap gap-2 pt-1">{actions}</div>}
      </div>
      {children}
    </article>
  );
}

export function Part({
  title,
  aside,
  actions,
  children,
}: {
  title: string;
  aside?: ReactNode;
  actions?: ReactNode;
  children: ReactNode;
}) {
  return (
    <section className="mt-7 border-t border-rule pt-4">
      <div className="mb-2 flex flex-wrap items-baseline justify-between gap-x-4 gap-y-1">
        <h2 className="stamp text-base text-ink">
          {title}{' '}
          {aside !== undefined && (
            <span className="ml-2 font-sans text-sm font-normal normal-case tracking-normal text-soft">{aside}</span>
          )}
        </h2>
        {actions}
      </div>
      {children}
    </section>
  );
}

/** What a station will work out once there is something, with one button to begin. */
export function Empty({ children, action }: { children: ReactNode; action?: ReactNode }) {
  return (
    <div className="my-2 flex flex-wrap items-center gap-4 border-l-2 border-brass py-1 pl-3 text-sm text-soft">
      <p className="max-w-prose">{children}</p>
      {action}
    </div>
  );
}
