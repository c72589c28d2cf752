import { useEffect, useRef } from "react";
import { useLocation } from "react-router";

/** How long the heading of a page may be in coming, ms: the bench waits for its fonts. */
const PATIENCE = 4000;

/** Gives the heading the focus, unless something else has it meanwhile. */
const focusHeading = (): boolean => {
  const { activeElement } = document;
  if (activeElement && activeElement !== document.body) return true;
  const heading = document.querySelector<HTMLElement>("h1");
  heading?.focus({ preventScroll: true });
  return heading !== null;
};

/**
 * After going to another page the focus is on its heading, as if it had been loaded: what had it is
 * gone, and screen readers read from there (WCAG 2.4.3).
 */
export const RouteFocus = () => {
  const { pathname } = useLocation();
  const first = useRef(pathname);
  useEffect(() => {
    if (first.current === pathname) return;
    first.current = "";
    const until = performance.now() + PATIENCE;
    let frame = 0;
    const look = () => {
      if (!focusHeading() && performance.now() < until) frame = requestAnimationFrame(look);
    };
    frame = requestAnimationFrame(look);
    return () => cancelAnimationFrame(frame);
  }, [pathname]);
  return null;
};
