import { useState } from "react";
import type { KeyboardEvent, ReactNode } from "react";
import { Floating } from "./Floating";

interface Props {
  readonly label: string;
  /** px */
  readonly width: number;
  readonly height: number;
  /** a point of the window it belongs to, instead of the element around it */
  readonly at?: { readonly x: number; readonly y: number };
  /** one pressed elsewhere */
  readonly onAway?: () => void;
  readonly onKeyDown?: (e: KeyboardEvent) => void;
  /** said above all else in it */
  readonly hint?: ReactNode;
  readonly children: ReactNode;
}

/**
 * A panel over or under what it belongs to. In the page it stays where it is written, so that
 * whoever asks whether the focus is still within finds it there.
 */
export const Panel = ({ label, width, height, at, onAway, onKeyDown, hint, children }: Props) => {
  const [place, setPlace] = useState<HTMLElement | null>(null);
  const anchor = at ?? place?.parentElement;
  return (
    <span ref={setPlace} className="panel-place">
      {place && anchor && (
        <Floating anchor={anchor} within={place} {...(onAway ? { onAway } : {})}>
          {({ ref, style }) => (
            <div
              ref={ref}
              className="panel"
              role="group"
              aria-label={label}
              style={{ ...style, width, height }}
              tabIndex={-1}
              onKeyDown={onKeyDown}
            >
              {hint}
              {children}
            </div>
          )}
        </Floating>
      )}
    </span>
  );
};
