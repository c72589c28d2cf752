import { useLayoutEffect, useRef } from "react";
import type { LayoutBox } from "#core/layout";
import { paint } from "#core/paint";
import { Drawing } from "#player";

/** A placed tree, really painted, `margin` px of room around it; only what changed is touched. */
export const Canvas = ({
  placed,
  zoom,
  margin = 0,
  live,
}: {
  placed: LayoutBox | null;
  zoom: number;
  margin?: number;
  /** is given what draws another scene at once, until the next */ live?: (
    draw: (placed: LayoutBox) => void,
  ) => void;
}) => {
  const host = useRef<SVGSVGElement>(null);
  const drawing = useRef<Drawing>(null);
  useLayoutEffect(() => {
    if (!host.current) return;
    drawing.current ??= new Drawing(host.current);
    drawing.current.draw(placed && paint(placed, true));
    live?.((p) => drawing.current?.draw(paint(p, true)));
  }, [placed, live]);
  const w = (placed?.width ?? 0) + 2 * margin;
  const h = (placed?.height ?? 0) + 2 * margin;
  return (
    <svg
      ref={host}
      width={w * zoom}
      height={h * zoom}
      viewBox={`${-margin} ${-margin} ${w} ${h}`}
      style={{ display: "block", overflow: "visible" }}
      aria-hidden="true"
    />
  );
};
