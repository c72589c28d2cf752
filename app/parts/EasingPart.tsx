import { Form } from "react-bootstrap";
import { cssWords, presets, springFrom, swingOf } from "#core/motion";
import type { Easing } from "#core/project";
import { NumberField } from "../ui/fields/NumberField";
import { partsWords } from "./words";

type Kind = "bézier" | "spring" | "bounce" | "windup" | "steps";

/** What kind of curve it is; null for a CSS word. */
const kindOf = (e: Easing): Kind | null => {
  if (typeof e === "string") {
    return null;
  }
  return !("kind" in e) ? "bézier" : e.kind;
};

/** What each kind begins with. */
const fresh: Readonly<Record<Kind, Easing>> = {
  bézier: [0.3, 0, 0.2, 1],
  spring: { kind: "spring", mass: 1, stiffness: 223.8, damping: 18.55 },
  bounce: { kind: "bounce", times: 3, keeps: 0.3 },
  windup: { kind: "windup", back: 0.12 },
  steps: { kind: "steps", count: 6, jump: "end" },
};
const kindWords: Readonly<Record<Kind, string>> = {
  bézier: partsWords.bZier,
  spring: "spring",
  bounce: "bounce",
  windup: partsWords.windUp,
  steps: "steps",
};

const same = (a: Easing, b: Easing): boolean => JSON.stringify(a) === JSON.stringify(b);
const hundredth = (n: number): number => Math.round(n * 100) / 100;

const Numbers = ({ easing, onChange }: { easing: Easing; onChange: (e: Easing) => void }) => {
  if (typeof easing === "string") return null;
  if (!("kind" in easing))
    return easing.map((n, i) => (
      <NumberField
        key={i}
        label={partsWords.bZierValueAt(["x1", "y1", "x2", "y2"][i] ?? "")}
        value={n}
        min={i % 2 ? -10 : 0}
        max={i % 2 ? 10 : 1}
        step={0.05}
        onChange={(v) => onChange(easing.map((o, k) => (k === i ? v : o)) as unknown as Easing)}
      />
    ));
  switch (easing.kind) {
    case "steps":
      return (
        <>
          <NumberField
            label={partsWords.numberSteps}
            value={easing.count}
            min={easing.jump === "none" ? 2 : 1}
            max={100}
            step={1}
            onChange={(count) => onChange({ ...easing, count: Math.round(count) })}
          />
          <Form.Select
            className="word"
            aria-label={partsWords.jumpsAt}
            value={easing.jump}
            onChange={(e) => {
              const jump = e.target.value as typeof easing.jump;
              onChange({
                ...easing,
                jump,
                count: jump === "none" ? Math.max(2, easing.count) : easing.count,
              });
            }}
          >
            <option value="end">{partsWords.atEnd}</option>
            <option value="start">{partsWords.atStart}</option>
            <option value="both">{partsWords.atBothEnds}</option>
            <option value="none">{partsWords.atNeitherEnd}</option>
          </Form.Select>
        </>
      );
    case "bounce":
      return (
        <>
          <NumberField
            label={partsWords.bounces}
            value={easing.times}
            min={1}
            max={8}
            step={1}
            onChange={(times) => onChange({ ...easing, times: Math.round(times) })}
          />
          <span>{partsWords.timesUp}</span>
          <NumberField
            label={partsWords.comesUpPerCent}
            value={Math.round(easing.keeps * 100)}
            min={1}
            max={90}
            step={5}
            onChange={(n) => onChange({ ...easing, keeps: n / 100 })}
          />
          <span>%</span>
        </>
      );
    case "windup":
      return (
        <>
          <span>{partsWords.by}</span>
          <NumberField
            label={partsWords.windsUpByPer}
            value={Math.round(easing.back * 100)}
            min={0}
            max={100}
            step={2}
            onChange={(n) => onChange({ ...easing, back: n / 100 })}
          />
          <span>%</span>
        </>
      );
    case "spring": {
      const { swing, bounciness } = swingOf(easing);
      const set = (s: number, b: number) =>
        onChange(springFrom({ swing: s, bounciness: b }, easing.mass));
      return (
        <>
          <span>{partsWords.swing}</span>
          <NumberField
            label={partsWords.swingSpringMilliseconds}
            title={partsWords.howLongWouldTake}
            value={Math.round(swing)}
            min={40}
            max={6000}
            step={20}
            onChange={(n) => set(n, bounciness)}
          />
          <span>{partsWords.ms}</span>
          <NumberField
            label={partsWords.bouncinessSpringPerCent}
            title={partsWords.n0ComesRestWithout}
            value={Math.round(hundredth(bounciness) * 100)}
            min={-90}
            max={97}
            step={2}
            onChange={(n) => set(swing, n / 100)}
          />
          <span>{partsWords.bouncy}</span>
        </>
      );
    }
  }
};

/** Choosing a curve within a sentence, with the numbers of its kind. */
export const EasingPart = ({
  easing,
  onChange,
  label = "Easing",
}: {
  easing: Easing;
  onChange: (e: Easing) => void;
  label?: string;
}) => {
  const kind = kindOf(easing);
  const preset = presets.find((p) => same(p.easing, easing));
  const made = preset ? `preset ${preset.name}` : `kind ${kind ?? ""}`;
  return (
    <>
      <Form.Select
        className="word"
        aria-label={label}
        value={typeof easing === "string" ? easing : made}
        onChange={(e) => {
          const [what, ...rest] = e.target.value.split(" ");
          const name = rest.join(" ");
          if (what === "preset") {
            const found = presets.find((p) => p.name === name);
            if (found) onChange(found.easing);
          } else onChange(what === "kind" ? fresh[name as Kind] : (e.target.value as Easing));
        }}
      >
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
        {(Object.keys(fresh) as Kind[]).map((k) => (
          <option key={k} value={`kind ${k}`}>
            {kindWords[k]}
          </option>
        ))}
      </Form.Select>
      {!preset && <Numbers easing={easing} onChange={onChange} />}
    </>
  );
};
