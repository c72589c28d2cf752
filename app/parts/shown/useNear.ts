import { useEffect, useState } from "react";
import type { RefObject } from "react";

type Told = (isNear: boolean) => void;

const told = new WeakMap<Element, Told>();
let shared: IntersectionObserver | undefined;

/** One observer for all: a thousand of them would cost more than what they look at. */
const observer = (): IntersectionObserver => {
  shared ??= new IntersectionObserver(
    (entries) => {
      for (const { target, isIntersecting } of entries) told.get(target)?.(isIntersecting);
    },
    { rootMargin: "120px" },
  );
  return shared;
};

/** Whether an element is in sight, or so near that it soon will be. */
export const useNear = (of: RefObject<Element | null>): boolean => {
  const [isNear, setNear] = useState(false);
  useEffect(() => {
    const element = of.current;
    if (!element) return;
    told.set(element, setNear);
    observer().observe(element);
    return () => {
      told.delete(element);
      observer().unobserve(element);
    };
  }, [of]);
  return isNear;
};
