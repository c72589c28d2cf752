import { usualDrag } from "#core/machine";
import { dragDirections, dragWays } from "#core/project";
import type { DragDirection, DragWay, Trigger } from "#core/project";
import { NumberField } from "../../ui/fields/NumberField";
import { Pick } from "../../ui/fields/Pick";
import { units } from "../../ui/units";
import { rulesWords } from "./words";

interface Props {
  readonly trigger: Trigger;
  readonly onChange: (trigger: Trigger) => void;
}

/** Lanes lead along a line: only what keeps with the hand goes anywhere. */
const directionsOf = (way: DragWay, now: DragDirection): readonly DragDirection[] =>
  dragDirections.filter((d) => d !== "any" || way === "free" || now === "any");

/** A drag that goes another way from now on. */
const going = (trigger: Trigger, way: DragWay): Trigger => {
  const { direction, ...rest } = trigger;
  const keeps = direction !== undefined && (way === "free" || direction !== "any");
  return { ...rest, way, ...(keeps && { direction }) };
};

/** Which way a drag goes, how far, and when it counts as done. */
export const DragFields = ({ trigger, onChange }: Props) => {
  const { way, lean, direction, travel, part, speed } = { ...usualDrag, ...trigger };
  const set = (parts: Partial<Trigger>) => onChange({ ...trigger, ...parts });
  return (
    <>
      <Pick
        label={rulesWords.dragPath}
        value={way}
        options={dragWays.map((w) => ({ value: w, words: rulesWords.dragWays[w] }))}
        onPick={(next) => onChange(going(trigger, next))}
      />
      {way === "free" && (
        <>
          <span>{rulesWords.tiltingUp}</span>
          <NumberField
            label={rulesWords.maxLeanDegrees}
            title={rulesWords.howFarLayerTilts}
            value={lean}
            min={0}
            max={90}
            step={1}
            unit={rulesWords.degreesCounts}
            onChange={(degrees) => set({ lean: degrees })}
          />
        </>
      )}
      <Pick
        label={rulesWords.direction}
        value={direction}
        options={directionsOf(way, direction).map((d) => ({
          value: d,
          words: d === "any" ? rulesWords.anyDirection : d,
        }))}
        onPick={(d) => set({ direction: d })}
      />
      <NumberField
        label={rulesWords.dragDistancePixels}
        title={rulesWords.distanceFullDrag}
        value={travel}
        min={1}
        max={10_000}
        step={10}
        unit={rulesWords.pxCompletesPast}
        onChange={(px) => set({ travel: px })}
      />
      <NumberField
        label={rulesWords.thresholdPerCent}
        title={rulesWords.releasedPastShareDrag}
        value={Math.round(part * 100)}
        min={0}
        max={100}
        step={5}
        unit={rulesWords.or}
        onChange={(percent) => set({ part: percent / 100 })}
      />
      <NumberField
        label={rulesWords.speedThreshold}
        title={rulesWords.releasedFasterThanDrag}
        value={speed}
        min={0}
        max={100_000}
        step={50}
        unit={units.pxPerS}
        onChange={(px) => set({ speed: px })}
      />
    </>
  );
};
