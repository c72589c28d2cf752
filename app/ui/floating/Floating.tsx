import { useMemo } from "react";
import type { CSSProperties, ReactNode, RefCallback } from "react";
import { Overlay } from "react-bootstrap";

interface Point {
  readonly x: number;
  readonly y: number;
}

/** What a floating part belongs to: an element, or a point of the window. */
type Anchor = HTMLElement | Point;

/** What a floating part has to put on its outermost element. */
interface FloatingProps {
  readonly ref: RefCallback<HTMLElement>;
  readonly style: CSSProperties;
  /** finds its place again, where it became larger */
  readonly onGrow: () => void;
}

/** A point as the library of placement takes one: a box without any size. */
const atPoint = ({ x, y }: Point) => ({ getBoundingClientRect: () => new DOMRect(x, y, 0, 0) });

const config = {
  strategy: "fixed" as const,
  modifiers: [
    { name: "preventOverflow", options: { padding: 8, altAxis: true, tether: false } },
    // fixed parts within would be placed by a transform of this one
    { name: "computeStyles", options: { gpuAcceleration: false } },
  ],
};
const away = { name: "offset", options: { offset: [0, 4] } };

/** Where what floats lies in the page: in the window that is open, else among the main content. */
const hostOf = (): HTMLElement =>
  document.querySelector<HTMLElement>(".modal.show") ??
  document.querySelector("main") ??
  document.body;

interface Props {
  readonly anchor: Anchor;
  /** the element it lies in; the page without it */
  readonly within?: HTMLElement | null;
  /** how far from its anchor, px: none, or a little */
  readonly apart?: boolean;
  /** is called when one presses elsewhere */
  readonly onAway?: () => void;
  readonly children: (props: FloatingProps) => ReactNode;
}

/**
 * A part that floats over the page, under its anchor or over it, wherever there is room, and always
 * wholly in the window: the one placement of menus, panels and lists.
 */
export const Floating = ({ anchor, within, apart = true, onAway, children }: Props) => {
  const target = useMemo(() => ("x" in anchor ? atPoint(anchor) : anchor), [anchor]);
  const popperConfig = useMemo(
    () => ({ ...config, modifiers: apart ? [...config.modifiers, away] : config.modifiers }),
    [apart],
  );
  return (
    <Overlay
      show
      transition={false}
      placement="bottom-start"
      flip
      target={target}
      container={within ?? hostOf}
      popperConfig={popperConfig}
      {...(onAway ? { rootClose: true, rootCloseEvent: "mousedown" as const, onHide: onAway } : {})}
    >
      {({ ref, style, popper }) =>
        children({ ref, style, onGrow: () => popper?.scheduleUpdate?.() })
      }
    </Overlay>
  );
};
