import { useRef, useState } from "react";
import type { KeyboardEvent, PointerEvent } from "react";
import { Button } from "react-bootstrap";
import { mixColour } from "#core/colour";
import { gradientText } from "#core/properties";
import type { Gradient, Pair, Stop } from "#core/properties";
import { NumberField } from "../ui/NumberField";
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

/**
 * A gradient's stops on a bar: drag one, click the bar for another, Delete removes it; below, its
 * colour and the gradient's direction.
 */
export const GradientPart = ({
  gradient,
  onChange,
}: {
  gradient: Gradient;
  onChange: (g: Gradient) => void;
}) => {
  const bar = useRef<HTMLDivElement>(null);
  const [chosen, setChosen] = useState(0);
  const { stops } = gradient;
  const index = Math.min(chosen, stops.length - 1);
  const stop = stops[index] as Stop;
  const put = (list: readonly Stop[]) => onChange({ ...gradient, stops: list });
  const change = (i: number, part: Partial<Stop>) =>
    put(stops.map((s, k) => (k === i ? { ...s, ...part } : s)));
  const place = (e: PointerEvent) => {
    const box = bar.current?.getBoundingClientRect();
    return box ? clamp((e.clientX - box.left) / box.width) : 0;
  };
  const remove = (i: number) => {
    if (stops.length <= 2) return;
    put(stops.filter((_, k) => k !== i));
    setChosen(Math.max(0, i - 1));
  };
  const onKey = (e: KeyboardEvent, i: number) => {
    const step = e.shiftKey ? 0.1 : 0.01;
    if (e.key === "ArrowLeft" || e.key === "ArrowRight")
      change(i, { at: clamp((stops[i] as Stop).at + (e.key === "ArrowRight" ? step : -step)) });
    else if (e.key === "Delete" || e.key === "Backspace") remove(i);
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  const pairField = (label: string, key: "centre" | "radii", at: 0 | 1) =>
    gradient.kind === "radial" && (
      <label>
        {label}
        <NumberField
          label={label}
          value={Math.round(gradient[key][at] * 100)}
          min={-500}
          max={500}
          step={1}
          onChange={(n) =>
            onChange({
              ...gradient,
              [key]: (at === 0
                ? [n / 100, gradient[key][1]]
                : [gradient[key][0], n / 100]) satisfies Pair,
            })
          }
        />
        %
      </label>
    );
  return (
    <div className="gradient-part">
      <div
        ref={bar}
        className="gradient-bar"
        style={{
          background: `${gradientText({ kind: "linear", angle: 90, stops: [...stops].sort((a, b) => a.at - b.at) })}, repeating-conic-gradient(#ddd 0 25%, #fff 0 50%) 0 0/10px 10px`,
        }}
        onPointerDown={(e) => {
          if (e.target !== e.currentTarget) return;
          const at = place(e);
          put([...stops, { at, colour: colourAt(stops, at) }]);
          setChosen(stops.length);
        }}
      >
        {stops.map((s, i) => (
          <button
            key={i}
            type="button"
            role="slider"
            aria-label={partsWords.stop(i)}
            aria-valuemin={0}
            aria-valuemax={100}
            aria-valuenow={Math.round(s.at * 100)}
            className={`gradient-stop${i === index ? " on" : ""}`}
            style={{ left: `${s.at * 100}%`, background: s.colour === "none" ? "#fff" : s.colour }}
            onPointerDown={(e) => {
              setChosen(i);
              e.currentTarget.setPointerCapture(e.pointerId);
            }}
            onPointerMove={(e) => {
              if (e.buttons === 1) change(i, { at: place(e) });
            }}
            onKeyDown={(e) => onKey(e, i)}
            onFocus={() => setChosen(i)}
          />
        ))}
      </div>
      <div className="gradient-line">
        <label>
          {partsWords.stopAt}
          <NumberField
            label={partsWords.placeStop}
            value={Math.round(stop.at * 100)}
            min={0}
            max={100}
            step={1}
            onChange={(n) => change(index, { at: n / 100 })}
          />
          %
        </label>
        <Button variant="link" size="sm" disabled={stops.length <= 2} onClick={() => remove(index)}>
          {partsWords.removeStop}
        </Button>
        <Button
          variant="link"
          size="sm"
          onClick={() => put(stops.map((s) => ({ ...s, at: clamp(1 - s.at) })))}
        >
          {partsWords.turnRound}
        </Button>
      </div>
      <div className="gradient-line">
        {gradient.kind === "linear" ? (
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
        ) : (
          <>
            {pairField("centre", "centre", 0)}
            {pairField("down", "centre", 1)}
            {pairField("reach", "radii", 0)}
            {pairField("down ", "radii", 1)}
          </>
        )}
      </div>
      <ColourPart key={index} colour={stop.colour} onPick={(colour) => change(index, { colour })} />
    </div>
  );
};
