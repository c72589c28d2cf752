import { useRef, useState } from "react";
import { withLane } from "#core/edit";
import type { LaneName } from "#core/motion";
import { goesOf, isSpring, laneLabel, laneOf, lengthOf, timingOf } from "#core/motion";
import type { Lane, Motion } from "#core/project";
import { registry } from "#core/properties";
import { Icon } from "../../common/Icon";
import { useChosen } from "../state";
import { LaneBar } from "./LaneBar";
import type { useHead } from "./useHead";
import { rowKey } from "./useTiming";
import type { Timed } from "./useTiming";
import { ValueAt } from "./ValueAt";

type Head = ReturnType<typeof useHead>;
interface Props { timed: Timed; picked: readonly (LaneName | null)[]; onPick: (name: LaneName | null, add: boolean) => void; head: Head; /** whether the times of the way back are drawn, too */ withBack: boolean }

/** Even steps of a ruler, ms. */
const steps = [10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10_000, 30_000];
/** px between two marks at least */
const APART = 54;

/** The lanes' ends and poses that others may snap to, ms. */
const edgesOf = (motion: Motion, names: readonly LaneName[]): number[] => names.flatMap((name) => {
  const lane = timingOf(motion, name), begin = motion.delay + lane.delay, length = lengthOf(lane);
  return [begin, begin + length, ...(lane.poses ?? []).map((p) => begin + p.at * length)];
});

/** Lanes of a change on a ruler of time. */
export const Lanes = ({ timed, picked, onPick, head, withBack }: Props) => {
  const { motion, moving, piece } = timed;
  const [open, setOpen] = useState<readonly string[]>([]), [zoom, setZoom] = useState(1), [width, setWidth] = useState(420), [guide, setGuide] = useState<number | null>(null);
  const chosen = useChosen();
  const room = useRef<ResizeObserver | null>(null);
  const measure = (el: HTMLDivElement | null) => {
    room.current?.disconnect();
    if (!el) return;
    room.current = new ResizeObserver(([entry]) => { if (entry) setWidth(Math.max(160, entry.contentRect.width)); });
    room.current.observe(el);
  };
  const scale = (width / timed.shown) * zoom, step = steps.find((s) => s * scale >= APART) ?? 30_000;
  const marks = Array.from({ length: Math.floor((timed.shown * zoom ? timed.shown : 0) / step) + 1 }, (_, i) => i * step);
  const isPicked = (name: LaneName | null) => picked.some((p) => rowKey(p) === rowKey(name));
  const scrub = (e: React.PointerEvent<HTMLElement>) => {
    if (e.type === "pointermove" && e.buttons !== 1) return;
    const box = e.currentTarget.getBoundingClientRect(), raw = (e.clientX - box.left) / scale;
    if (e.type === "pointerdown") e.currentTarget.setPointerCapture(e.pointerId);
    head.seek(Math.min(timed.shown, e.altKey ? raw : Math.round(raw / 5) * 5));
  };
  const nudge = (e: React.KeyboardEvent) => {
    const by = e.key === "ArrowRight" ? 1 : e.key === "ArrowLeft" ? -1 : 0;
    if (!by && e.key !== "Home" && e.key !== "End") return;
    e.preventDefault();
    e.stopPropagation();
    head.seek(e.key === "Home" ? 0 : e.key === "End" ? timed.length : (head.at ?? 0) + by * (e.shiftKey ? 50 : 5));
  };
  const back = withBack && timed.back && timed.back !== "same" ? timed.back.motion : null;
  const edgesBut = (moved: readonly (LaneName | null)[]): readonly number[] => {
    const rows = moving.flatMap(({ layer, keys }): LaneName[] => [{ layer, key: null }, ...keys.filter((k) => laneOf(motion, { layer, key: k })).map((key) => ({ layer, key }))]);
    const others = rows.filter((r) => !moved.some((m) => m === null || (m.layer === r.layer && (m.key === null || m.key === r.key))));
    return [0, motion.delay, ...(moved.includes(null) ? [] : [motion.delay + lengthOf(motion)]), ...(head.at === null ? [] : [head.at]), ...edgesOf(motion, others)];
  };
  const backOfRow = (name: LaneName | null) => {
    if (!back) return null;
    const lane = name && timingOf(back, name), begin = back.delay + (lane?.delay ?? 0), long = lengthOf(lane ?? back);
    return <span className="lane-back" style={{ left: begin * scale, width: Math.max(3, long * scale) }} title={`The way back: ${Math.round(begin)} – ${Math.round(begin + long)} ms`} />;
  };
  const shift = (names: readonly (LaneName | null)[], change: (l: Lane) => Partial<Lane>, gesture: string) => timed.set(names.reduce((m, n) => {
    if (n !== null) return withLane(m, n, change(timingOf(motion, n)));
    const next = change({ layer: "", key: null, delay: m.delay, duration: m.duration, easing: m.easing });
    return { ...m, ...(next.delay === undefined ? {} : { delay: next.delay }), ...(next.duration === undefined ? {} : { duration: next.duration }) };
  }, motion), gesture);
  const row = (name: LaneName | null, label: React.ReactNode, value: React.ReactNode) => {
    const own = name === null || laneOf(motion, name) !== undefined, lane = name === null ? null : timingOf(motion, name);
    const delay = motion.delay + (lane?.delay ?? 0), length = lane ? lengthOf(lane) : lengthOf(motion), goes = lane ? goesOf(lane) : 1;
    return (
      <div key={rowKey(name)} className={`lane-row${isPicked(name) ? " picked" : ""}${name?.key != null ? " of-key" : ""}`} data-lane={rowKey(name)}>
        <div className="lane-name" onClick={(e) => onPick(name, e.ctrlKey || e.metaKey || e.shiftKey)}>{label}{value}</div>
        <div className="lane-track">
          {backOfRow(name)}
          <LaneBar timed={timed} name={name} own={own} delay={delay} length={length} goes={goes} scale={scale} spring={isSpring(lane?.easing ?? motion.easing)} poses={lane?.poses ?? []} picked={isPicked(name)}
            edges={() => edgesBut(isPicked(name) ? picked : [name])} onGuide={setGuide}
            onPick={(add) => onPick(name, add)} onShift={(by, ends, gesture) => {
              const names = isPicked(name) && picked.length > 1 ? picked : [name];
              shift(names, (l) => (ends === "end" ? { duration: Math.max(10, l.duration + by) } : ends === "begin" ? { delay: Math.max(0, l.delay + by), duration: Math.max(10, l.duration - by) } : { delay: Math.max(0, l.delay + by) }), gesture);
            }} />
        </div>
      </div>
    );
  };
  const addable = chosen.length === 1 && chosen[0] !== undefined ? piece.layers[chosen[0]] : undefined;
  const others = addable ? registry.filter((p) => p.kinds.includes(addable.kind) && (p.type.is === "number" || p.type.is === "pair" || p.type.is === "colour" || p.type.is === "fill") && (p.mixing !== "layout" || ["x", "y", "width", "height"].includes(p.key))) : [];
  return (
    <div className="lanes">
      <div className="lane-row ruler">
        <div className="lane-name"><span className="quiet small-text">{Math.round(timed.length)} ms in all</span>
          <span className="ms-auto d-inline-flex"><button type="button" className="tool small" aria-label="Show more time" onClick={() => setZoom(Math.max(1, zoom / 1.5))} disabled={zoom <= 1}><Icon name="minus" size={11} /></button><button type="button" className="tool small" aria-label="Show less time, larger" onClick={() => setZoom(Math.min(40, zoom * 1.5))}><Icon name="plus" size={11} /></button></span></div>
        <div className="lane-track time" ref={measure} role="slider" tabIndex={0} aria-label="Playhead" aria-valuemin={0} aria-valuemax={Math.round(timed.shown)} aria-valuenow={Math.round(head.at ?? 0)} aria-valuetext={`${Math.round(head.at ?? 0)} ms`} onPointerDown={scrub} onPointerMove={scrub} onKeyDown={nudge}>
          {head.at !== null && <span className="head-grip" style={{ left: head.at * scale }} />}
          {marks.map((m) => <span key={m} className="hour mono" style={{ left: m * scale }}>{m}</span>)}
        </div>
      </div>
      <div className="lane-rows">
        {row(null, <span className="strong">All, unless below</span>, null)}
        {moving.map(({ layer, name, keys }) => {
          const unfolded = open.includes(layer), shown = keys.filter((k) => unfolded || laneOf(motion, { layer, key: k }));
          return [
            row({ layer, key: null }, <><button type="button" className="tool small fold" aria-expanded={unfolded} aria-label={`Properties of ${name}`} onClick={(e) => { e.stopPropagation(); setOpen(unfolded ? open.filter((o) => o !== layer) : [...open, layer]); }}><Icon name={unfolded ? "down" : "right"} size={11} /></button><span className="lane-words">{name}</span></>, null),
            ...shown.map((key) => row({ layer, key }, <span className="lane-words">{laneLabel(key)}</span>, <ValueAt timed={timed} name={{ layer, key }} head={head} />)),
          ];
        })}
        {moving.length === 0 && <p className="quiet px-3 py-2 m-0">{timed.away ? "Another screen comes: each of the two moves as a whole, as said on the right." : "No layer of the piece itself differs from one end to the other. Choose a layer and give it a lane to move it on the way."}</p>}
        {addable && <div className="lane-row"><div className="lane-name wide"><select className="word" aria-label="New lane" value="" onChange={(e) => { const key = e.target.value; if (key) { timed.set(withLane(motion, { layer: addable.id, key }, {})); setOpen([...open, addable.id]); onPick({ layer: addable.id, key }, false); } }}><option value="">new lane of {addable.name} …</option>{others.filter((p) => !laneOf(motion, { layer: addable.id, key: p.key })).map((p) => <option key={p.key} value={p.key}>{p.label}</option>)}</select></div><div className="lane-track" /></div>}
        {guide !== null && <div className="lane-guide" style={{ left: `calc(var(--lane-names) + ${guide * scale}px)` }} />}
        {head.at !== null && <div className="lane-head" style={{ left: `calc(var(--lane-names) + ${head.at * scale}px)` }}><span /></div>}
      </div>
    </div>
  );
};
