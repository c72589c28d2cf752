import { useState } from "react";
import { withPose } from "#core/edit";
import { laneLabel, laneValue, lengthOf, numbersIn, timingOf } from "#core/motion";
import type { LaneName } from "#core/motion";
import { property } from "#core/properties";
import type { Value } from "#core/properties";
import { NumberField } from "../../ui/fields/NumberField";
import { ColourPart, remember } from "../../parts/ColourPart";
import { Panel } from "../../ui/floating/Panel";
import type { useHead } from "./playing/useHead";
import { rowKey } from "./useTiming";
import type { Timed } from "./useTiming";
import { timingWords } from "./words";

const two = (n: number): number => Math.round(n * 100) / 100;
const PANEL = { width: 228, height: 262 };

/** A colour at the playhead; another one makes a pose. */
const ColourAt = ({
  label,
  colour,
  onPick,
}: {
  label: string;
  colour: string;
  onPick: ((c: string) => void) | null;
}) => {
  const [open, setOpen] = useState(false);
  const close = () => {
    setOpen(false);
    remember(colour);
  };
  return (
    <span className="lane-value panel-anchor" onClick={(e) => e.stopPropagation()}>
      <button
        type="button"
        className={`chip colour-at${colour === "none" ? " none" : ""}`}
        style={colour === "none" ? {} : { background: colour }}
        disabled={!onPick}
        aria-label={timingWords.atPlayhead(label)}
        aria-expanded={open}
        title={
          onPick ? timingWords.changeAddKeyframe(colour) : timingWords.movePlayheadOverLane(colour)
        }
        onClick={() => (open ? close() : setOpen(true))}
      />
      {open && onPick && (
        <>
          <span className="panel-beneath" onPointerDown={close} />
          <Panel
            label={timingWords.atPlayhead(label)}
            {...PANEL}
            onKeyDown={(e) => {
              e.stopPropagation();
              if (e.key === "Escape" || e.key === "Enter") close();
            }}
          >
            <div className="panel-body">
              <ColourPart colour={colour} onPick={onPick} />
            </div>
          </Panel>
        </>
      )}
    </span>
  );
};

/**
 * The value a row has at the playhead. Numbers and colours can be changed there, inside the lane:
 * that makes a pose.
 */
export const ValueAt = ({
  timed,
  name,
  head,
}: {
  timed: Timed;
  name: LaneName & { key: string };
  head: ReturnType<typeof useHead>;
}) => {
  const at = head.at ?? 0;
  const value = laneValue(timed.change.frame(Math.min(at, timed.length)), name.layer, name.key);
  const type = property(name.key)?.type;
  const lane = timingOf(timed.motion, name);
  const share = (at - timed.motion.delay - lane.delay) / Math.max(1, lengthOf(lane));
  const inside = share > 0.001 && share < 0.999;
  const set = (next: Value) =>
    timed.set(
      withPose(timed.motion, name, {
        at: Math.round(share * 1000) / 1000,
        value: next,
        easing: "ease-in-out",
      }),
      `pose ${rowKey(name)} ${Math.round(share * 100)}`,
    );
  if (typeof value === "string" && (type?.is === "colour" || type?.is === "fill"))
    return <ColourAt label={laneLabel(name.key)} colour={value} onPick={inside ? set : null} />;
  const numbers = numbersIn(value);
  if (!numbers) return null;
  const settable = type?.is === "number" || type?.is === "pair";
  if (!inside || !settable)
    return (
      <span
        className="lane-value mono quiet"
        title={settable ? timingWords.movePlayheadOverLane2 : undefined}
      >
        {numbers.map(two).join(" ")}
      </span>
    );
  const setNumber = (i: number, v: number) =>
    set((typeof value === "number" ? v : numbers.map((n, k) => (k === i ? v : two(n)))) as Value);
  return (
    <span className="lane-value" title={timingWords.valueMsChangeAdd(at)}>
      {numbers.map((n, i) => (
        <NumberField
          key={i}
          label={timingWords.playhead2(laneLabel(name.key), numbers.length, i)}
          value={two(n)}
          min={type.min}
          max={type.max}
          step={type.is === "number" ? type.step : 0.05}
          onChange={(v) => setNumber(i, v)}
        />
      ))}
    </span>
  );
};
