import type { Easing, Motion } from "#core/project";
import { NumberField } from "../../common/NumberField";
import { Pick } from "./Pick";

const easings: readonly { value: string; words: string }[] = ["linear", "ease", "ease-in", "ease-out", "ease-in-out"].map((e) => ({ value: e, words: e }));

/** How a rule's change is shown over time. */
export const MotionPart = ({ motion, onChange }: { motion: Motion; onChange: (m: Motion) => void }) => (
  <span className="effect">
    <Pick label="Motion" value={motion.kind} options={[{ value: "cut", words: "cut" }, { value: "fade", words: "fade" }, { value: "tween", words: "tween" }]} onPick={(kind) => onChange({ ...motion, kind })} />
    {motion.kind !== "cut" && <>
      <NumberField label="Duration in milliseconds" value={motion.duration} min={0} max={60_000} step={20} onChange={(duration) => onChange({ ...motion, duration })} /><span>ms</span>
      <Pick label="Easing" value={typeof motion.easing === "string" ? motion.easing : "custom"} options={[...easings, { value: "custom", words: "bézier" }]}
        onPick={(v) => onChange({ ...motion, easing: v === "custom" ? [0.3, 0, 0.2, 1] : (v as Easing) })} />
      {typeof motion.easing !== "string" && motion.easing.map((n, i) => (
        <NumberField key={i} label={`Bézier ${["x1", "y1", "x2", "y2"][i]}`} value={n} min={i % 2 ? -10 : 0} max={i % 2 ? 10 : 1} step={0.05}
          onChange={(v) => onChange({ ...motion, easing: (motion.easing as readonly number[]).map((o, k) => (k === i ? v : o)) as unknown as Easing })} />
      ))}
      {motion.delay > 0 && <><span>after</span><NumberField label="Delay in milliseconds" value={motion.delay} min={0} max={60_000} step={20} onChange={(delay) => onChange({ ...motion, delay })} /><span>ms</span></>}
    </>}
  </span>
);
