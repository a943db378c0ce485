import { useEffect, useRef, useState, type ReactNode } from 'react';

/** So many pixels are no more than a rule: nothing is hidden behind them. */
const SLACK = 4;

/** What is wider than its place scrolls by itself, and says so for as long as there is more. */
export function Sideways({ label, children }: { label: string; children: ReactNode }) {
  const region = useRef<HTMLDivElement>(null);
  const [more, setMore] = useState(false);
  useEffect(() => {
    const box = region.current;
    if (box === null) return;
    const look = () => setMore(box.scrollLeft + box.clientWidth < box.scrollWidth - SLACK);
    look();
    box.addEventListener('scroll', look, { passive: true });
    const sizes = typeof ResizeObserver === 'undefined' ? null : new ResizeObserver(look);
    sizes?.observe(box);
    for (const child of Array.from(box.children)) sizes?.observe(child);
    return () => {
      box.removeEventListener('scroll', look);
      sizes?.disconnect();
    };
  }, []);
  return (
    <div>
      {more && (
        <p className="text-right text-xs font-semibold text-blue" data-more>
          More to the right <span aria-hidden="true">→</span>
        </p>
      )}
      <div
        ref={region}
        className={`relative overflow-x-auto ${more ? 'border-r-2 border-blue' : ''}`}
        tabIndex={0}
        role="region"
        aria-label={label}
      >
        {children}
      </div>
    </div>
  );
}
