import { useRef, useState } from "react";
import type { KeyboardEvent, PointerEvent } from "react";
import { Button } from "react-bootstrap";
import { mixColour } from "#core/colour";
import { gradientText } from "#core/properties";
import type { Gradient, Pair, Stop } from "#core/properties";
import { NumberField } from "../ui/fields/NumberField";
import { ColourPart } from "./ColourPart";
import { partsWords } from "./words";

const clamp = (n: number) => Math.max(0, Math.min(1, Math.round(n * 100) / 100));

/** The colour a gradient has at a place, for a stop added there. */
const colourAt = (stops: readonly Stop[], at: number): string => {
  const sorted = [...stops].sort((a, b) => a.at - b.at);
  const after = sorted.find((s) => s.at >= at);
  const before = sorted.findLast((s) => s.at <= at);
  if (!after || !before) return (after ?? before)?.colour ?? "#000000";
  return after.at === before.at
    ? after.colour
    : mixColour(before.colour, after.colour)((at - before.at) / (after.at - before.at));
};

const CHEQUERS = "repeating-conic-gradient(#ddd 0 25%, #fff 0 50%) 0 0/10px 10px";

/** The stops from left to right, whichever way the gradient itself goes, over chequers. */
const barGround = (stops: readonly Stop[]): string => {
  const sorted = [...stops].sort((a, b) => a.at - b.at);
  return `${gradientText({ kind: "linear", angle: 90, stops: sorted })}, ${CHEQUERS}`;
};

interface BarProps {
  readonly stops: readonly Stop[];
  readonly chosen: number;
  readonly onChoose: (index: number) => void;
  readonly onPlace: (index: number, at: number) => void;
  readonly onAdd: (at: number) => void;
  readonly onRemove: (index: number) => void;
}

/** The stops on a bar: drag one, click the bar for another, Delete removes it. */
const Bar = ({ stops, chosen, onChoose, onPlace, onAdd, onRemove }: BarProps) => {
  const bar = useRef<HTMLDivElement>(null);
  const placeOf = (e: PointerEvent): number => {
    const box = bar.current?.getBoundingClientRect();
    return box ? clamp((e.clientX - box.left) / box.width) : 0;
  };
  const onKey = (e: KeyboardEvent, index: number, at: number) => {
    const step = e.shiftKey ? 0.1 : 0.01;
    if (e.key === "ArrowLeft") onPlace(index, clamp(at - step));
    else if (e.key === "ArrowRight") onPlace(index, clamp(at + step));
    else if (e.key === "Delete" || e.key === "Backspace") onRemove(index);
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  return (
    <div
      ref={bar}
      className="gradient-bar"
      style={{ background: barGround(stops) }}
      onPointerDown={(e) => {
        if (e.target === e.currentTarget) onAdd(placeOf(e));
      }}
    >
      {stops.map((stop, i) => (
        <button
          key={i}
          type="button"
          role="slider"
          aria-label={partsWords.stop(i)}
          aria-valuemin={0}
          aria-valuemax={100}
          aria-valuenow={Math.round(stop.at * 100)}
          className={`gradient-stop${i === chosen ? " on" : ""}`}
          style={{
            left: `${stop.at * 100}%`,
            background: stop.colour === "none" ? "#fff" : stop.colour,
          }}
          onPointerDown={(e) => {
            onChoose(i);
            e.currentTarget.setPointerCapture(e.pointerId);
          }}
          onPointerMove={(e) => {
            if (e.buttons === 1) onPlace(i, placeOf(e));
          }}
          onKeyDown={(e) => onKey(e, i, stop.at)}
          onFocus={() => onChoose(i)}
        />
      ))}
    </div>
  );
};

interface Props {
  readonly gradient: Gradient;
  readonly onChange: (gradient: Gradient) => void;
}

interface PercentProps {
  readonly words: string;
  readonly label: string;
  readonly value: number;
  readonly onChange: (value: number) => void;
}

/** A share, shown and set in per cent. */
const Percent = ({ words, label, value, onChange }: PercentProps) => (
  <label>
    {words}
    <NumberField
      label={label}
      value={Math.round(value * 100)}
      min={-500}
      max={500}
      step={1}
      unit="%"
      onChange={(n) => onChange(n / 100)}
    />
  </label>
);

/** Which way a gradient goes: its angle, or its centre and how far it reaches. */
const Direction = ({ gradient, onChange }: Props) => {
  if (gradient.kind === "linear") {
    return (
      <label>
        {partsWords.angle}
        <NumberField
          label={partsWords.angleInGradientPart}
          value={gradient.angle}
          min={-3600}
          max={3600}
          step={1}
          onChange={(angle) => onChange({ ...gradient, angle })}
        />
        °
      </label>
    );
  }
  const { centre, radii } = gradient;
  const putCentre = (pair: Pair) => onChange({ ...gradient, centre: pair });
  const putRadii = (pair: Pair) => onChange({ ...gradient, radii: pair });
  return (
    <>
      <Percent
        words={partsWords.centre}
        label={partsWords.centreX}
        value={centre[0]}
        onChange={(n) => putCentre([n, centre[1]])}
      />
      <Percent
        words={partsWords.y}
        label={partsWords.centreY}
        value={centre[1]}
        onChange={(n) => putCentre([centre[0], n])}
      />
      <Percent
        words={partsWords.radius}
        label={partsWords.radiusX}
        value={radii[0]}
        onChange={(n) => putRadii([n, radii[1]])}
      />
      <Percent
        words={partsWords.y}
        label={partsWords.radiusY}
        value={radii[1]}
        onChange={(n) => putRadii([radii[0], n])}
      />
    </>
  );
};

/** A gradient: its stops on a bar; below, the colour of the chosen one and the direction. */
export const GradientPart = ({ gradient, onChange }: Props) => {
  const [chosen, setChosen] = useState(0);
  const { stops } = gradient;
  const index = Math.min(chosen, stops.length - 1);
  const stop = stops[index] as Stop;
  const put = (list: readonly Stop[]) => onChange({ ...gradient, stops: list });
  const change = (i: number, part: Partial<Stop>) =>
    put(stops.map((s, k) => (k === i ? { ...s, ...part } : s)));
  const add = (at: number) => {
    put([...stops, { at, colour: colourAt(stops, at) }]);
    setChosen(stops.length);
  };
  const remove = (i: number) => {
    if (stops.length <= 2) return;
    put(stops.filter((_, k) => k !== i));
    setChosen(Math.max(0, i - 1));
  };
  const turn = () => put(stops.map((s) => ({ ...s, at: clamp(1 - s.at) })));
  return (
    <div className="gradient-part">
      <Bar
        stops={stops}
        chosen={index}
        onChoose={setChosen}
        onPlace={(i, at) => change(i, { at })}
        onAdd={add}
        onRemove={remove}
      />
      <div className="gradient-line">
        <label>
          {partsWords.stopPosition}
          <NumberField
            label={partsWords.stopPosition2}
            value={Math.round(stop.at * 100)}
            min={0}
            max={100}
            step={1}
            unit="%"
            onChange={(n) => change(index, { at: n / 100 })}
          />
        </label>
        <Button variant="link" size="sm" disabled={stops.length <= 2} onClick={() => remove(index)}>
          {partsWords.removeStop}
        </Button>
        <Button variant="link" size="sm" onClick={turn}>
          {partsWords.reverse}
        </Button>
      </div>
      <div className="gradient-line">
        <Direction gradient={gradient} onChange={onChange} />
      </div>
      <ColourPart key={index} colour={stop.colour} onPick={(colour) => change(index, { colour })} />
    </div>
  );
};
