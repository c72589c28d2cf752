import { useMemo, useRef, useState } from "react";
import { CartesianGrid, Line, LineChart, XAxis, YAxis } from "recharts";
import { curveOf, isBezier, lengthOf, overshootOf, slopeAt, swingOf } from "#core/motion";
import type { Easing, Spring } from "#core/project";
import { keyStep } from "../../ui/keys";
import { NumberField } from "../../ui/fields/NumberField";
import { timingWords } from "./words";

const SIZE = { width: 262, height: 132 };
const MARGIN = { top: 6, right: 8, bottom: 2, left: 2 };
const AXIS = { x: 16, y: 26 };
const FINE = 90;
const inner = {
  x: MARGIN.left + AXIS.y,
  y: MARGIN.top,
  width: SIZE.width - MARGIN.left - MARGIN.right - AXIS.y,
  height: SIZE.height - MARGIN.top - MARGIN.bottom - AXIS.x,
};

/** The share of the way by time, how fast that goes, and another curve to compare it with. */
export const Plot = ({
  easing,
  length,
  other,
  otherLength,
  onBezier,
}: {
  easing: Easing;
  length: number;
  other: Easing | null;
  otherLength: number;
  onBezier: (e: Easing) => void;
}) => {
  const whole = Math.max(length, other ? otherLength : 0, 1);
  const { data, low, high } = useMemo(() => {
    const curve = curveOf(easing);
    const second = other && curveOf(other);
    const at = (c: (t: number) => number, of: number, ms: number) => (ms >= of ? 1 : c(ms / of));
    const rows = Array.from({ length: FINE + 1 }, (_, i) => {
      const ms = (whole * i) / FINE;
      return {
        ms,
        way: at(curve, length, ms),
        speed: ms > length ? 0 : slopeAt(curve, Math.min(1, ms / length)) / 4,
        ...(second ? { other: at(second, otherLength, ms) } : {}),
      };
    });
    const ways = rows.flatMap((r) => [r.way, r.other ?? r.way]);
    const handles = isBezier(easing) ? [easing[1], easing[3]] : [];
    return {
      data: rows,
      low: Math.min(0, ...ways, ...handles) - 0.05,
      high: Math.max(1, ...ways, ...handles) + 0.05,
    };
  }, [easing, length, other, otherLength, whole]);
  return (
    <div className="curve-plot">
      <LineChart
        width={SIZE.width}
        height={SIZE.height}
        data={data}
        margin={MARGIN}
        accessibilityLayer={false}
      >
        <CartesianGrid stroke="#e9e3d5" vertical={false} />
        <XAxis
          dataKey="ms"
          type="number"
          domain={[0, whole]}
          height={AXIS.x}
          tick={{ fontSize: 10, fill: "#5f6f6a" }}
          tickLine={false}
          axisLine={false}
          tickCount={4}
          tickFormatter={(n: number) => `${Math.round(n)}`}
        />
        <YAxis
          type="number"
          domain={[low, high]}
          allowDataOverflow
          width={AXIS.y}
          ticks={[0, 0.5, 1]}
          tick={{ fontSize: 10, fill: "#5f6f6a" }}
          tickLine={false}
          axisLine={false}
        />
        <Line
          dataKey="speed"
          stroke="#b9c4bd"
          strokeWidth={1.2}
          dot={false}
          isAnimationActive={false}
        />
        {other && (
          <Line
            dataKey="other"
            stroke="#8a4b7a"
            strokeWidth={1.4}
            strokeDasharray="4 3"
            dot={false}
            isAnimationActive={false}
          />
        )}
        <Line
          dataKey="way"
          stroke="#1f6f5c"
          strokeWidth={2}
          dot={false}
          isAnimationActive={false}
        />
      </LineChart>
      {isBezier(easing) && (
        <Handles easing={easing} low={low} high={high} share={length / whole} onChange={onBezier} />
      )}
    </div>
  );
};

/** The two handles of a Bézier, dragged in its plot or moved by keys. */
const Handles = ({
  easing,
  low,
  high,
  share,
  onChange,
}: {
  easing: readonly [number, number, number, number];
  low: number;
  high: number;
  share: number;
  onChange: (e: Easing) => void;
}) => {
  const svg = useRef<SVGSVGElement>(null);
  // while dragged, what is seen stays as tall as it was: it would run away from under the hand
  const [held, setHeld] = useState<{ low: number; high: number } | null>(null);
  const range = held ?? { low, high };
  const X = (x: number) => inner.x + x * inner.width * share;
  const Y = (y: number) => inner.y + ((range.high - y) / (range.high - range.low)) * inner.height;
  const set = (i: 0 | 2, x: number, y: number) => {
    const next = [...easing] as [number, number, number, number];
    next[i] = Math.round(Math.min(1, Math.max(0, x)) * 100) / 100;
    next[i + 1] = Math.round(Math.min(3, Math.max(-2, y)) * 100) / 100;
    onChange(next);
  };
  return (
    <svg ref={svg} className="handles" width={SIZE.width} height={SIZE.height}>
      {([0, 2] as const).map((i) => {
        const x = easing[i];
        const y = easing[i + 1] as number;
        const end = i === 0 ? 0 : 1;
        return (
          <g key={i}>
            <line x1={X(end)} y1={Y(end)} x2={X(x)} y2={Y(y)} />
            <circle
              cx={X(x)}
              cy={Y(y)}
              r={6}
              tabIndex={0}
              role="slider"
              aria-label={i === 0 ? timingWords.handleAtStart : timingWords.handleAtEnd}
              aria-valuenow={y}
              aria-valuetext={timingWords.timeProgress(x, y)}
              onPointerDown={(e) => {
                e.currentTarget.setPointerCapture(e.pointerId);
                setHeld({ low, high });
              }}
              onPointerMove={(e) => {
                const box = svg.current?.getBoundingClientRect();
                if (!held || !box) return;
                set(
                  i,
                  (e.clientX - box.left - inner.x) / (inner.width * share),
                  range.high -
                    ((e.clientY - box.top - inner.y) / inner.height) * (range.high - range.low),
                );
              }}
              onPointerUp={() => setHeld(null)}
              onKeyDown={(e) => {
                const by = e.shiftKey ? 0.1 : 0.02;
                const dx = by * keyStep(e.key, "ArrowLeft", "ArrowRight");
                const dy = by * keyStep(e.key, "ArrowDown", "ArrowUp");
                if (!dx && !dy) return;
                e.preventDefault();
                e.stopPropagation();
                set(i, x + dx, y + dy);
              }}
            />
          </g>
        );
      })}
    </svg>
  );
};

/** A spring by its physics, and what comes of it. */
export const SpringPart = ({
  spring,
  onChange,
}: {
  spring: Spring;
  onChange: (s: Spring) => void;
}) => {
  const over = overshootOf(spring);
  const { swing, bounciness } = swingOf(spring);
  const set = (part: Partial<Spring>) => onChange({ ...spring, ...part });
  return (
    <div className="spring-part">
      <label>
        {timingWords.mass}{" "}
        <NumberField
          label={timingWords.massInCurvePlot}
          value={Math.round(spring.mass * 100) / 100}
          min={0.05}
          max={100}
          step={0.1}
          onChange={(mass) => set({ mass })}
        />
      </label>
      <label>
        {timingWords.stiffness}{" "}
        <NumberField
          label={timingWords.stiffnessInCurvePlot}
          value={Math.round(spring.stiffness * 10) / 10}
          min={0.1}
          max={100_000}
          step={10}
          onChange={(stiffness) => set({ stiffness })}
        />
      </label>
      <label>
        {timingWords.damping}{" "}
        <NumberField
          label={timingWords.dampingInCurvePlot}
          value={Math.round(spring.damping * 100) / 100}
          min={0.05}
          max={10_000}
          step={1}
          onChange={(damping) => set({ damping })}
        />
      </label>
      <p className="quiet small-text">
        {timingWords.settlesAfterMsPeriod(
          over,
          Math.round(over * 1000) / 10,
          lengthOf({ duration: 0, easing: spring }),
          swing,
          bounciness * 100,
        )}
      </p>
    </div>
  );
};
