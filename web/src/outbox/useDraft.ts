import { useCallback, useEffect, useRef, useState } from 'react';

import { dropDraft, keepDraft, readDraft } from './drafts';

/** A value that survives a reload: kept on this device at every change, gone when it is dropped. */
export function useDraft<T>(key: string, initial: T): [T, (next: T) => void, () => void, boolean] {
  const [value, setValue] = useState(initial);
  const [ready, setReady] = useState(false);
  const touched = useRef(false);
  useEffect(() => {
    let gone = false;
    void readDraft<T>(key).then((kept) => {
      if (gone) return;
      if (kept !== undefined && !touched.current) setValue(kept);
      setReady(true);
    });
    return () => {
      gone = true;
    };
  }, [key]);
  const set = useCallback(
    (next: T) => {
      touched.current = true;
      setValue(next);
      void keepDraft(key, next);
    },
    [key],
  );
  const drop = useCallback(() => {
    void dropDraft(key);
  }, [key]);
  return [value, set, drop, ready];
}
