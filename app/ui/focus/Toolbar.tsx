import { useLayoutEffect, useRef } from "react";
import type { KeyboardEvent, ReactNode } from "react";
import { ButtonToolbar } from "react-bootstrap";
import { nextStop, rove, stopsIn } from "./roving";

interface Props {
  readonly label: string;
  readonly className?: string;
  readonly children: ReactNode;
}

/**
 * A row of tools that is one stop of the Tab key; arrows, Home and End go along it, as the WAI-ARIA
 * practices have it for toolbars.
 */
export const Toolbar = ({ label, className = "", children }: Props) => {
  const host = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const { current } = host;
    if (!current) return;
    rove(current);
    // what is inside renders without the toolbar
    const observer = new MutationObserver(() => rove(current));
    observer.observe(current, { subtree: true, childList: true, attributeFilter: ["disabled"] });
    return () => observer.disconnect();
  }, []);
  const onKeyDown = (e: KeyboardEvent<HTMLDivElement>) => {
    if (e.defaultPrevented || e.ctrlKey || e.altKey || e.metaKey) return;
    // what is being moved by keys has the arrows for itself
    if (
      !(e.target instanceof HTMLElement) ||
      e.target.matches("[aria-roledescription][aria-pressed=true]")
    )
      return;
    const next = nextStop(stopsIn(e.currentTarget), e.target, e.key);
    if (!next) return;
    e.preventDefault();
    e.stopPropagation();
    next.focus();
  };
  return (
    <ButtonToolbar
      ref={host}
      className={className}
      aria-label={label}
      onKeyDown={onKeyDown}
      onFocus={(e) => rove(e.currentTarget, e.target)}
    >
      {children}
    </ButtonToolbar>
  );
};
