import type { ReactNode } from 'react';
import { Link } from 'react-router';

import { TopRight } from './TopRight';

/** A page that belongs to no device: the way home, who one is, and the sheet. */
export function Apart({ children, wide = false }: { children: ReactNode; wide?: boolean }) {
  return (
    <div className={`mx-auto px-3 py-4 sm:px-8 ${wide ? 'max-w-6xl' : 'max-w-4xl'}`}>
      <header className="mb-4 flex items-center justify-between">
        <Link to="/" className="stamp text-xl">
          Lustrum
        </Link>
        <TopRight />
      </header>
      {children}
    </div>
  );
}
