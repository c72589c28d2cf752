import { useCallback, useEffect, useRef, useState } from "react";
import { variantKey } from "#core/looks";
import { useBench, useWorkpiece } from "../../state/context";
import { RunningHead } from "./running";
import type { Timed } from "../useTiming";

/** How fine the path of a layer is drawn. */
const MOMENTS = 24;
/** What goes no further than this draws no path, px. */
const STILL = 1;

const wander = (
  path: readonly (readonly [number, number])[],
): readonly (readonly [number, number])[] => {
  const [first] = path;
  return first && path.some(([x, y]) => Math.hypot(x - first[0], y - first[1]) > STILL) ? path : [];
};

/** The playhead: where it is, whether it runs, and what the stage shows meanwhile. */
export const useHead = (timed: Timed | null, layer: string | null) => {
  const showPreview = useBench((s) => s.showPreview);
  const [at, setAt] = useState<number | null>(null);
  const [playing, setPlaying] = useState(false);
  const [loop, setLoop] = useState(false);
  const [rate, setRate] = useState(1);
  const latest = useRef({ at, length: 0, loop, rate });
  useEffect(() => {
    latest.current = { at, length: timed?.length ?? 0, loop, rate };
  });
  useEffect(() => {
    if (!playing) return;
    let frame = 0;
    const begun = latest.current;
    const head = new RunningHead(begun.at ?? 0, performance.now(), begun.rate);
    const tick = (now: number) => {
      const { length, loop: again, rate: speed } = latest.current;
      head.setRate(speed, now);
      const next = head.at(now, length, again);
      setAt(next.at);
      if (next.over) setPlaying(false);
      else frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [playing]);
  const { scenes } = useWorkpiece();
  const change = timed?.change;
  const keys = timed
    ? [timed.to, timed.from].map((v) => variantKey(timed.piece, v) || "only").join(" ")
    : "";
  const shows = at !== null;
  // on the card it leads to; where that is not on the stage, on the one it sets out from, else on
  // the first there is
  const cardFor = useCallback((): string => {
    return keys.split(" ").find((k) => scenes.has(k)) ?? scenes.firstKey ?? "";
  }, [scenes, keys]);
  useEffect(() => {
    if (shows)
      document
        .querySelector(`[data-slot="${CSS.escape(cardFor())}"]`)
        ?.scrollIntoView({ block: "nearest", inline: "nearest" });
  }, [shows, cardFor]);
  useEffect(() => {
    if (!change || at === null) {
      showPreview(null);
      return;
    }
    showPreview({
      key: cardFor(),
      placed: change.frame(Math.min(at, timed.length)),
      at: Math.round(Math.min(at, timed.length)),
      path: layer === null ? [] : wander(change.path(layer, timed.length, MOMENTS)),
    });
  }, [change, cardFor, at, layer, showPreview, timed?.length]);
  useEffect(() => () => showPreview(null), [showPreview]);
  return {
    at,
    playing,
    loop,
    rate,
    setLoop,
    setRate,
    seek: (ms: number | null) => {
      setPlaying(false);
      setAt(ms === null ? null : Math.max(0, ms));
    },
    play: () => {
      if (!playing && (at === null || at >= (timed?.length ?? 0))) setAt(0);
      setPlaying(!playing);
    },
  };
};
