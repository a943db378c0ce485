import { useEffect } from 'react';

import { beginHere } from './place';

const TYPING = 'input, textarea, select, [contenteditable], [role="menu"], [role="dialog"]';

/** Single keys for getting about; none while somebody types. */
export function useKeys(keys: Record<string, () => void> = {}): void {
  useEffect(() => {
    function press(event: KeyboardEvent) {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.target instanceof Element && event.target.closest(TYPING) !== null) return;
      const action = event.key === 'n' ? beginHere : keys[event.key];
      if (action === undefined) return;
      event.preventDefault();
      action();
    }
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  });
}
