import { useEffect, useState } from 'react';

/** A value once nobody has changed it for a moment, so that not every letter asks the server. */
export function useSettled<T>(value: T, moment = 250): T {
  const [settled, setSettled] = useState(value);
  const key = JSON.stringify(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(JSON.parse(key) as T), moment);
    return () => clearTimeout(timer);
  }, [key, moment]);
  return settled;
}
