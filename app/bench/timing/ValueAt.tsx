import { useState } from "react";
import { nearToken, poseAt, withValueAt } from "#core/edit";
import { laneLabel, laneValue, lengthOf, numbersIn, timingOf } from "#core/motion";
import type { LaneName } from "#core/motion";
import type { Project } from "#core/project";
import { isBound, property, thousandths } from "#core/properties";
import type { SpecifiedValue, Value } from "#core/properties";
import { remember } from "../../parts/ColourPart";
import { FillPanel } from "../../parts/FillPanel";
import { NearOffer } from "../../parts/NearOffer";
import { TypedNumber } from "../../parts/TypedNumber";
import { useDisplayedProject } from "../../session/displayed";
import type { useHead } from "./playing/useHead";
import { rowKey } from "./useTiming";
import type { Timed } from "./useTiming";
import { timingWords } from "./words";

const two = (n: number): number => Math.round(n * 100) / 100;

/** A colour at the playhead; another one, or a token, makes a pose. */
const ColourAt = ({
  name,
  said,
  colour,
  onPick,
}: {
  name: string;
  said: SpecifiedValue;
  colour: string;
  onPick: ((said: SpecifiedValue) => void) | null;
}) => {
  const [open, setOpen] = useState(false);
  const label = laneLabel(name);
  const close = () => {
    setOpen(false);
    remember(colour);
  };
  const near = (project: Project) => (isBound(said) ? null : nearToken(project, name, colour));
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
          <FillPanel
            type={{ is: "colour" }}
            tokens={["colour"]}
            said={said}
            fill={colour}
            onLive={onPick}
            onDone={close}
            onKeyDown={(e) => {
              e.stopPropagation();
              if (e.key === "Escape" || e.key === "Enter") close();
            }}
            hint={
              <NearOffer className="near-token" find={near} onPick={(token) => onPick({ token })} />
            }
          />
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
  const project = useDisplayedProject();
  const at = head.at ?? 0;
  const value = laneValue(timed.change.frame(Math.min(at, timed.length)), name.layer, name.key);
  const type = property(name.key)?.type;
  const lane = timingOf(timed.motion, name);
  const share = (at - timed.motion.delay - lane.delay) / Math.max(1, lengthOf(lane));
  const followed = poseAt(lane, share)?.valueToken;
  const inside = share > 0.001 && share < 0.999;
  const set = (said: SpecifiedValue) =>
    timed.set(
      withValueAt(project, timed.motion, name, thousandths(share), said),
      `pose ${rowKey(name)} ${Math.round(share * 100)}`,
    );
  if (typeof value === "string" && (type?.is === "colour" || type?.is === "fill"))
    return (
      <ColourAt
        name={name.key}
        said={followed === undefined ? value : { token: followed }}
        colour={value}
        onPick={inside ? set : null}
      />
    );
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
        <TypedNumber
          key={i}
          near={(now, typed) => (numbers.length === 1 ? nearToken(now, name.key, typed) : null)}
          onToken={(token) => set({ token })}
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
