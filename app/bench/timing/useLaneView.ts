import { useEffect, useRef, useState } from "react";
import type { useHead } from "./playing/useHead";
import type { Timed } from "./useTiming";

/** Even steps of a ruler, ms. */
const steps = [10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10_000, 30_000];
/** px between two marks at least */
const APART = 54;
const LARGEST = 40;

/**
 * What of the time is seen, and how large: zoomed by Ctrl and the wheel, gone along by Shift and
 * the wheel.
 */
export const useLaneView = (timed: Timed, head: ReturnType<typeof useHead>) => {
  const [zoom, setZoom] = useState(1);
  const [width, setWidth] = useState(420);
  const [since, setSince] = useState(0);
  const room = useRef<HTMLDivElement | null>(null);
  const watching = useRef<ResizeObserver | null>(null);
  const lanes = useRef<HTMLDivElement>(null);
  const scale = (width / timed.shown) * zoom;
  const span = width / scale;
  // while it plays, the playhead stays in sight; what is seen never goes past the end
  const follows = head.playing && head.at !== null && (head.at < since || head.at > since + span);
  const first = Math.max(
    0,
    Math.min(follows ? (head.at ?? 0) - span * 0.1 : since, timed.shown - span),
  );
  const step = steps.find((s) => s * scale >= APART) ?? 30_000;
  const magnify = (factor: number, px: number) => {
    const next = Math.min(LARGEST, Math.max(1, zoom * factor));
    setZoom(next);
    setSince(first + px / scale - px / ((width / timed.shown) * next));
  };
  const onWheel = (e: WheelEvent) => {
    const box = room.current?.getBoundingClientRect();
    if (box && (e.ctrlKey || e.metaKey))
      magnify(Math.exp(-e.deltaY / 300), Math.max(0, e.clientX - box.left));
    else if (zoom > 1 && (e.shiftKey || Math.abs(e.deltaX) > Math.abs(e.deltaY)))
      setSince(first + (e.deltaX || e.deltaY) / scale);
    else return;
    e.preventDefault();
  };
  const wheel = useRef(onWheel);
  useEffect(() => {
    wheel.current = onWheel;
  });
  useEffect(() => {
    const el = lanes.current;
    const turn = (e: WheelEvent) => wheel.current(e);
    // the browser would take it for zooming the page unless told otherwise at once
    el?.addEventListener("wheel", turn, { passive: false });
    return () => el?.removeEventListener("wheel", turn);
  }, []);
  const measure = (el: HTMLDivElement | null): void => {
    watching.current?.disconnect();
    room.current = el;
    if (!el) return;
    watching.current = new ResizeObserver(([entry]) => {
      if (entry) setWidth(Math.max(160, entry.contentRect.width));
    });
    watching.current.observe(el);
  };
  const view = {
    /** px per ms, and the first moment that is seen */
    scale,
    first,
    zoom,
    marks: Array.from(
      { length: Math.floor(Math.min(timed.shown - first, span) / step) + 2 },
      (_, i) => (Math.floor(first / step) + i) * step,
    ),
    /** for what lies at its own time times the scale */
    away: { transform: `translateX(${-first * scale}px)` },
    /** zooms about the playhead, or the beginning */
    zoomBy: (factor: number) =>
      magnify(factor, head.at === null ? 0 : Math.max(0, (head.at - first) * scale)),
    /** goes along until a moment is seen */
    reveal: (ms: number) => {
      if (ms < first || ms > first + span) setSince(ms - span / 2);
    },
  };
  return { view, lanes, measure };
};
export type LaneView = ReturnType<typeof useLaneView>["view"];
