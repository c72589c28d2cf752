import { plainText } from "#core/basics";
import { useMemo, useRef, useState } from "react";
import { Button, Form } from "react-bootstrap";
import { CartesianGrid, Line, LineChart, XAxis, YAxis } from "recharts";
import type { Id } from "#core/basics";
import { easingText } from "#core/describe";
import { saveMotion, withLane, withPose, withoutLane, withoutPose } from "#core/edit";
import { tokenValue } from "#core/looks";
import {
  cssEasing,
  cssWords,
  curveOf,
  isBezier,
  isSpring,
  laneLabel,
  laneOf,
  lengthOf,
  overshootOf,
  presets,
  slopeAt,
  swingOf,
  timingOf,
} from "#core/motion";
import type { LaneName } from "#core/motion";
import { inOrder } from "#core/project";
import type { Easing, Lane, Motion, MotionValue, Spring, Token } from "#core/project";
import { EasingPart } from "../../parts/EasingPart";
import { Icon } from "../../ui/Icon";
import { NumberField } from "../../ui/NumberField";
import { keyStep } from "../../ui/keys";
import { useDisplayedProject } from "../../session/displayed";
import { useWorkpiece } from "../state/context";
import { MotionPart } from "../../parts/MotionPart";
import { rowKey } from "./useTiming";
import type { Timed } from "./useTiming";
import { Tool } from "../../ui/Tool";

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
const Plot = ({
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
              aria-label={i === 0 ? "Handle at the start" : "Handle at the end"}
              aria-valuenow={y}
              aria-valuetext={`${x} of the time, ${y} of the way`}
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
const SpringPart = ({ spring, onChange }: { spring: Spring; onChange: (s: Spring) => void }) => {
  const over = overshootOf(spring);
  const { swing, bounciness } = swingOf(spring);
  const set = (part: Partial<Spring>) => onChange({ ...spring, ...part });
  return (
    <div className="spring-part">
      <label>
        mass{" "}
        <NumberField
          label="Mass"
          value={Math.round(spring.mass * 100) / 100}
          min={0.05}
          max={100}
          step={0.1}
          onChange={(mass) => set({ mass })}
        />
      </label>
      <label>
        stiffness{" "}
        <NumberField
          label="Stiffness"
          value={Math.round(spring.stiffness * 10) / 10}
          min={0.1}
          max={100_000}
          step={10}
          onChange={(stiffness) => set({ stiffness })}
        />
      </label>
      <label>
        damping{" "}
        <NumberField
          label="Damping"
          value={Math.round(spring.damping * 100) / 100}
          min={0.05}
          max={10_000}
          step={1}
          onChange={(damping) => set({ damping })}
        />
      </label>
      <p className="quiet small-text">
        {over > 0.0005
          ? `goes ${Math.round(over * 1000) / 10} % past the mark`
          : "does not go past the mark"}
        , at rest after {Math.round(lengthOf({ duration: 0, easing: spring }))} ms. One swing{" "}
        {Math.round(swing)} ms, {Math.round(bounciness * 100)} % bouncy.
      </p>
    </div>
  );
};

/**
 * The motion that a curve is compared with: a token's, a ready one, or one of CSS; null for none.
 */
const comparedWith = (
  tokens: Readonly<Record<Id, Token>>,
  other: string,
  duration: number,
): MotionValue | null => {
  if (other === "") return null;
  if (other.startsWith("token ")) {
    return (tokenValue(tokens, other.slice(6)) as MotionValue | undefined) ?? null;
  }
  const preset = presets.find((p) => `preset ${p.name}` === other);
  return { duration, easing: preset?.easing ?? (other as Easing) };
};

/** How often a lane is gone through, as it is kept: 0 for ever, nothing for once. */
const timesOf = (choice: string): number | undefined => {
  if (choice === "ever") return 0;
  return choice === "1" ? undefined : Number(choice);
};

/**
 * The curve of the whole change or of a lane, plotted; its numbers, how often it goes, and a token
 * to keep it as.
 */
export const CurvePanel = ({
  timed,
  name,
  names,
}: {
  timed: Timed;
  name: LaneName | null;
  names: readonly LaneName[];
}) => {
  const workpiece = useWorkpiece();
  const projectTokens = useDisplayedProject((p) => p.tokens);
  const { motion, piece } = timed;
  const [other, setOther] = useState<string>("");
  const [saving, setSaving] = useState<string | null>(null);
  const lane = name && timingOf(motion, name);
  const now: MotionValue = lane ?? motion;
  const easing = now.easing;
  const own = name !== null && laneOf(motion, name) !== undefined;
  const all = names.length ? names : null;
  const set = (parts: Partial<Omit<Lane, "layer" | "key">>, gesture: string) =>
    timed.set(
      all
        ? all.reduce((m, n) => withLane(m, n, parts), motion)
        : without({ ...motion, ...parts }, parts),
      `${gesture} ${rowKey(name)}`,
    );
  // a time of its own is no token's any more
  const without = (m: Motion, parts: object): Motion => {
    if (!("duration" in parts) && !("easing" in parts)) return m;
    const { token: _old, ...rest } = m;
    return rest;
  };
  const tokens = inOrder(projectTokens).filter((t) => t.type === "motion");
  const compared = comparedWith(projectTokens, other, now.duration);
  const title =
    name === null
      ? "The whole change"
      : `${piece.layers[name.layer]?.name ?? ""}${name.key === null ? "" : `: ${laneLabel(name.key)}`}`;
  const css = cssEasing(easing);
  const keep = () => {
    const text = saving?.trim();
    setSaving(null);
    if (!text) return;
    const made = workpiece.make((project) => saveMotion(project, now, text));
    if (made && name === null) timed.set({ ...motion, token: made.id });
  };
  return (
    <aside className="curve-panel" aria-label="Curve">
      <h3 className="caption">{all && all.length > 1 ? `${all.length} lanes` : title}</h3>
      {name === null ? (
        <MotionPart
          motion={timed.said}
          between={timed.away}
          onChange={(m) => timed.set(m, "motion")}
        />
      ) : (
        <span className="effect">
          after{" "}
          <NumberField
            label="Delay of the lane in milliseconds"
            value={Math.round(lane?.delay ?? 0)}
            min={0}
            max={60_000}
            step={10}
            onChange={(delay) => set({ delay }, "delay")}
          />{" "}
          ms,
          {isSpring(easing) ? (
            <span className="mono quiet">{Math.round(lengthOf(now))}</span>
          ) : (
            <NumberField
              label="Duration of the lane in milliseconds"
              value={Math.round(now.duration)}
              min={0}
              max={60_000}
              step={10}
              onChange={(duration) => set({ duration }, "duration")}
            />
          )}{" "}
          ms
          <EasingPart
            label="Curve of the lane"
            easing={easing}
            onChange={(e) => set({ easing: e }, "easing")}
          />
        </span>
      )}
      <Plot
        easing={easing}
        length={lengthOf(now)}
        other={compared?.easing ?? null}
        otherLength={compared ? lengthOf(compared) : 0}
        onBezier={(e) => set({ easing: e }, "bezier")}
      />
      {isSpring(easing) && (
        <SpringPart spring={easing} onChange={(s) => set({ easing: s }, "spring")} />
      )}
      <label className="small-text">
        beside{" "}
        <Form.Select
          className="word"
          aria-label="Compare with"
          value={other}
          onChange={(e) => setOther(e.target.value)}
        >
          <option value="">nothing</option>
          {tokens.map((t) => (
            <option key={t.id} value={`token ${t.id}`}>
              {t.name}
            </option>
          ))}
          {cssWords.map((w) => (
            <option key={w} value={w}>
              {w}
            </option>
          ))}
          {presets.map((p) => (
            <option key={p.name} value={`preset ${p.name}`}>
              {p.name}
            </option>
          ))}
        </Form.Select>
        {compared && <span className="quiet"> {easingText(compared.easing)}</span>}
      </label>
      {name !== null && lane && (
        <div className="effect small-text">
          goes{" "}
          <Form.Select
            className="word"
            aria-label="How often"
            value={lane.times === 0 ? "ever" : String(lane.times ?? 1)}
            onChange={(e) =>
              set(
                {
                  times: timesOf(e.target.value),
                },
                "times",
              )
            }
          >
            {[1, 2, 3, 4, 5, 8].map((n) => (
              <option key={n} value={n}>
                {n === 1 ? "once" : `${n} times`}
              </option>
            ))}
            <option value="ever">for ever</option>
          </Form.Select>
          <label>
            <Form.Check.Input
              checked={lane.turns === true}
              disabled={(lane.times ?? 1) === 1}
              onChange={(e) => set({ turns: e.target.checked ? true : undefined }, "turns")}
            />{" "}
            there and back
          </label>
        </div>
      )}
      {name?.key != null && lane?.poses && (
        <ol className="poses" aria-label="Poses">
          {lane.poses.map((p, i) => (
            <li key={i} className="effect small-text">
              {Math.round(p.at * lengthOf(lane))} ms:{" "}
              <b className="mono">
                {Array.isArray(p.value) ? p.value.join(" ") : plainText(p.value)}
              </b>
              <Form.Select
                className="word"
                aria-label={`Curve of pose ${i + 1}`}
                value={typeof p.easing === "string" ? p.easing : "other"}
                onChange={(e) =>
                  timed.set(withPose(motion, name, { ...p, easing: e.target.value as Easing }))
                }
              >
                {typeof p.easing !== "string" && (
                  <option value="other">{easingText(p.easing)}</option>
                )}
                {cssWords.map((w) => (
                  <option key={w} value={w}>
                    {w}
                  </option>
                ))}
              </Form.Select>
              <Tool
                size="sm"
                icon="close"
                iconSize={11}
                label={`Remove pose ${i + 1}`}
                onClick={() => timed.set(withoutPose(motion, name, i))}
              />
            </li>
          ))}
        </ol>
      )}
      {name === null && motion.delay === 0 && motion.kind !== "cut" && (
        <label className="small-text">
          begins after{" "}
          <NumberField
            label="Delay of the whole change in milliseconds"
            value={0}
            min={0}
            max={60_000}
            step={20}
            onChange={(delay) => timed.set({ ...timed.said, delay }, "delay")}
          />{" "}
          ms
        </label>
      )}
      {name === null && (timed.restacks || motion.restacks) && (
        <label className="small-text">
          layers change places{" "}
          <Form.Select
            className="word"
            aria-label="When layers change places"
            value={motion.restacks ?? "middle"}
            onChange={(e) => {
              const { restacks: _old, ...rest } = timed.said;
              timed.set(
                e.target.value === "middle"
                  ? rest
                  : { ...rest, restacks: e.target.value as "start" },
              );
            }}
          >
            <option value="start">at the start</option>
            <option value="middle">in the middle</option>
            <option value="end">at the end</option>
          </Form.Select>
        </label>
      )}
      <div className="effect small-text">
        {saving === null ? (
          <Button variant="link" size="sm" onClick={() => setSaving(easingText(easing))}>
            Keep as a motion token …
          </Button>
        ) : (
          <form
            onSubmit={(e) => {
              e.preventDefault();
              keep();
            }}
          >
            <Form.Control
              className="word"
              autoFocus
              aria-label="Name of the motion token"
              value={saving}
              onChange={(e) => setSaving(e.target.value)}
              onFocus={(e) => e.target.select()}
              onBlur={keep}
              onKeyDown={(e) => {
                e.stopPropagation();
                if (e.key === "Escape") setSaving(null);
              }}
            />
          </form>
        )}
        {own && name !== null && (
          <Button variant="link" size="sm" onClick={() => timed.set(withoutLane(motion, name))}>
            <Icon name="close" size={11} /> No lane of its own
          </Button>
        )}
        <Button
          variant="link"
          size="sm"
          title={
            css.error > 0 ? `Within ${Math.round(css.error * 1000) / 10} % of the way` : "Exactly"
          }
          onClick={() => void navigator.clipboard.writeText(css.css)}
        >
          Copy as CSS
        </Button>
      </div>
    </aside>
  );
};
