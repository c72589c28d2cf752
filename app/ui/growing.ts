import { useEffect, useState } from "react";

/** So many of a long list are there at once: more than any window shows. */
const FIRST = 24;
/** So many come at a time afterwards. */
const STEP = 80;

/**
 * How many of a long list are there: what can be seen at once, and the rest bit by bit, so that
 * thousands open as quickly as ten.
 */
export const useGrowing = (total: number): number => {
  const [count, setCount] = useState(FIRST);
  useEffect(() => {
    if (count >= total) return;
    const timer = setTimeout(() => setCount(count + STEP), 16);
    return () => clearTimeout(timer);
  }, [count, total]);
  return count;
};
