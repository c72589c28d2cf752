import { useLayoutEffect, useRef } from "react";
import type { LayoutBox } from "#core/layout";
import { paint } from "#core/paint";
import { Drawing } from "#player";

/** A placed tree, really painted; only what changed is touched. */
export const Canvas = ({ placed, zoom }: { placed: LayoutBox | null; zoom: number }) => {
  const host = useRef<SVGSVGElement>(null);
  const drawing = useRef<Drawing>(null);
  useLayoutEffect(() => {
    if (!host.current) return;
    drawing.current ??= new Drawing(host.current);
    drawing.current.draw(placed && paint(placed, true));
  }, [placed]);
  const width = placed?.width ?? 0;
  const height = placed?.height ?? 0;
  return (
    <svg
      ref={host}
      className="canvas"
      width={width * zoom}
      height={height * zoom}
      viewBox={`0 0 ${width} ${height}`}
      aria-hidden="true"
    />
  );
};
