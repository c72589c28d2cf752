import { plainText } from "#core/basics";
import type { ReactNode } from "react";
import { Form } from "react-bootstrap";
import { tokenValue } from "#core/looks";
import { isSpring } from "#core/motion";
import { inOrder } from "#core/project";
import type { Easing, MotionValue, StyleValue, Token } from "#core/project";
import { defaultsOf, property, styleKeys, titleOf } from "#core/properties";
import type { Gradient, Shadow, Value } from "#core/properties";
import { EasingPart } from "../parts/EasingPart";
import { NumberField } from "../ui/fields/NumberField";
import { units } from "../ui/units";
import { familiesOf, tokenWords } from "../parts/tokens";
import { ColourPart } from "../parts/ColourPart";
import { GradientPart } from "../parts/GradientPart";
import { ShadowList } from "../parts/ShadowPanel";
import { useDisplayedProject } from "../session/displayed";
import { systemWords } from "./words";

const StylePart = ({
  value,
  onChange,
}: {
  value: StyleValue;
  onChange: (v: StyleValue) => void;
}) => {
  const project = useDisplayedProject();
  const base = defaultsOf("text");
  const now = (key: string): Value => value[key] ?? (base[key] as Value);
  const field = (key: string): ReactNode => {
    const type = property(key)?.type;
    const set = (v: Value) => onChange({ ...value, [key]: v });
    if (key === "font")
      return (
        <Form.Select
          className="word"
          aria-label={systemWords.family}
          value={plainText(now(key))}
          onChange={(e) => set(e.target.value)}
        >
          {familiesOf(project).map((f) => (
            <option key={f}>{f}</option>
          ))}
        </Form.Select>
      );
    if (type?.is === "choice")
      return (
        <Form.Select
          className="word"
          aria-label={titleOf(key)}
          value={plainText(now(key))}
          onChange={(e) => set(e.target.value)}
        >
          {type.of.map((o) => (
            <option key={o}>{o}</option>
          ))}
        </Form.Select>
      );
    if (type?.is === "number")
      return (
        <NumberField
          label={titleOf(key)}
          value={now(key) as number}
          min={type.min}
          max={type.max}
          step={type.step}
          onChange={set}
        />
      );
    return null;
  };
  return (
    <div className="style-part">
      {styleKeys.map((key) => (
        <label key={key}>
          <span>{titleOf(key)}</span>
          {field(key)}
        </label>
      ))}
    </div>
  );
};

/**
 * Editing a token's value, or which other token's value it takes. What is changed shows everywhere
 * at once.
 */
export const TokenEditor = ({
  token,
  onChange,
}: {
  token: Token;
  onChange: (v: Token["value"]) => void;
}) => {
  const { tokens } = useDisplayedProject();
  const alias =
    typeof token.value === "object" && "alias" in token.value
      ? (token.value as { alias: string }).alias
      : null;
  const value = tokenValue(tokens, token.id);
  const leadsBack = (id: string): boolean => {
    for (let at: string | null = id, n = 0; at !== null && n < 100; n++) {
      if (at === token.id) return true;
      const v: Token["value"] | undefined = tokens[at]?.value;
      at = typeof v === "object" && "alias" in v ? (v as { alias: string }).alias : null;
    }
    return false;
  };
  const others = inOrder(tokens).filter((t) => t.type === token.type && !leadsBack(t.id));
  const part = (): ReactNode => {
    if (value === undefined) return <p className="refusal">{systemWords.tokenOneFollowsWas}</p>;
    switch (token.type) {
      case "colour":
        return <ColourPart colour={value as string} onPick={onChange} />;
      case "gradient":
        return <GradientPart gradient={value as Gradient} onChange={onChange} />;
      case "shadow":
        return <ShadowList shadows={value as readonly Shadow[]} onLive={onChange} />;
      case "style":
        return <StylePart value={value as StyleValue} onChange={onChange} />;
      case "curve":
        return (
          <span className="curve-part">
            <EasingPart label={systemWords.curve} easing={value as Easing} onChange={onChange} />
          </span>
        );
      case "motion": {
        const m = value as MotionValue;
        return (
          <span className="curve-part">
            {!isSpring(m.easing) && (
              <>
                <NumberField
                  label={systemWords.durationMilliseconds}
                  value={m.duration}
                  min={0}
                  max={60_000}
                  step={20}
                  unit={units.ms}
                  onChange={(duration) => onChange({ ...m, duration })}
                />
              </>
            )}
            <EasingPart easing={m.easing} onChange={(easing) => onChange({ ...m, easing })} />
          </span>
        );
      }
      case "duration":
      case "number":
        return (
          <span className="curve-part">
            <NumberField
              label={systemWords.value}
              value={value as number}
              min={token.type === "duration" ? 0 : -1e5}
              max={token.type === "duration" ? 600_000 : 1e5}
              step={token.type === "duration" ? 20 : 1}
              unit={token.type === "duration" ? units.ms : units.px}
              onChange={onChange}
            />
          </span>
        );
    }
  };
  return (
    <div className="token-editor">
      <label className="token-alias">
        <span>{systemWords.alias2}</span>
        <Form.Select
          className="word"
          value={alias ?? ""}
          onChange={(e) => {
            if (e.target.value) onChange({ alias: e.target.value });
            else if (value !== undefined) onChange(value);
          }}
        >
          <option value="">{systemWords.none}</option>
          {others.map((t) => (
            <option key={t.id} value={t.id}>
              {tokenWords(t)}
            </option>
          ))}
        </Form.Select>
      </label>
      {alias === null ? part() : <p className="note">{systemWords.editTokenChooseNone}</p>}
    </div>
  );
};
