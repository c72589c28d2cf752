import { useLayoutEffect, useRef, useState } from "react";
import type { KeyboardEvent, ReactNode } from "react";

interface Props {
  label: string;
  width: number;
  height: number;
  /** a point of the window it belongs to, instead of the cell around it */ at?: {
    readonly x: number;
    readonly y: number;
  };
  onKeyDown?: (e: KeyboardEvent) => void;
  children: ReactNode;
}

/**
 * A panel over or under the cell it belongs to, wherever there is room, and always wholly in the
 * window.
 */
export const Panel = ({ label, width, height, at: point, onKeyDown, children }: Props) => {
  const panel = useRef<HTMLDivElement>(null);
  const [at, setAt] = useState({ left: 0, top: 0 });
  useLayoutEffect(() => {
    const cell = point
      ? new DOMRect(point.x, point.y, 0, 0)
      : panel.current?.parentElement?.getBoundingClientRect();
    if (!cell) return;
    const above = cell.top - height - 4;
    const below = cell.bottom + 4;
    const lowest = window.innerHeight - height - 8;
    const beside = above >= 8 ? above : Math.max(8, lowest);
    const top = below <= lowest ? below : beside;
    setAt({ left: Math.max(8, Math.min(cell.left, window.innerWidth - width - 8)), top });
  }, [width, height, point]);
  return (
    <div
      ref={panel}
      className="panel"
      role="group"
      aria-label={label}
      style={{ ...at, width, height }}
      tabIndex={-1}
      onKeyDown={onKeyDown}
    >
      {children}
    </div>
  );
};
