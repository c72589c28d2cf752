import { usualDrag } from "#core/machine";
import { dragDirections, dragWays } from "#core/project";
import type { DragDirection, DragWay, Trigger } from "#core/project";
import { NumberPart } from "../../parts/NumberPart";
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
  const { way, direction } = { ...usualDrag, ...trigger };
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
          <NumberPart
            said={trigger}
            name="lean"
            label={rulesWords.maxLeanDegrees}
            title={rulesWords.howFarLayerTilts}
            usual={usualDrag.lean}
            min={0}
            max={90}
            step={1}
            unit={rulesWords.degreesCounts}
            onChange={onChange}
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
        onPick={(d) => onChange({ ...trigger, direction: d })}
      />
      <NumberPart
        said={trigger}
        name="travel"
        label={rulesWords.dragDistancePixels}
        title={rulesWords.distanceFullDrag}
        usual={usualDrag.travel}
        min={1}
        max={10_000}
        step={10}
        unit={rulesWords.pxCompletesPast}
        onChange={onChange}
      />
      <NumberPart
        said={trigger}
        name="part"
        label={rulesWords.thresholdPerCent}
        title={rulesWords.releasedPastShareDrag}
        usual={usualDrag.part}
        min={0}
        max={100}
        step={5}
        unit={rulesWords.or}
        scale={100}
        onChange={onChange}
      />
      <NumberPart
        said={trigger}
        name="speed"
        label={rulesWords.speedThreshold}
        title={rulesWords.releasedFasterThanDrag}
        usual={usualDrag.speed}
        min={0}
        max={100_000}
        step={50}
        unit={units.pxPerS}
        onChange={onChange}
      />
    </>
  );
};
