import { useEffect, useState } from "react";
import type { RefObject } from "react";

/** Whether an element is in sight, or so near that it soon will be. */
export const useNear = (of: RefObject<Element | null>): boolean => {
  const [isNear, setNear] = useState(false);
  useEffect(() => {
    const element = of.current;
    if (!element) return;
    const watch = new IntersectionObserver(
      (entries) => setNear(entries.some((e) => e.isIntersecting)),
      { rootMargin: "120px" },
    );
    watch.observe(element);
    return () => watch.disconnect();
  }, [of]);
  return isNear;
};
