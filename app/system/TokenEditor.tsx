import { plainText } from "#core/basics";
import type { ReactNode } from "react";
import { Form } from "react-bootstrap";
import { editedValue } from "#core/edit";
import { isAlias, tokenValue } from "#core/looks";
import { isSpring } from "#core/motion";
import { inOrder } from "#core/project";
import type {
  BorderValue,
  Easing,
  MotionValue,
  OtherValue,
  SpecifiedTokenValue,
  StyleValue,
  Token,
} from "#core/project";
import { defaultsOf, property, styleKeys, titleOf } from "#core/properties";
import type { Gradient, Shadow, Value } from "#core/properties";
import { EasingPart } from "../parts/time/EasingPart";
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

interface WordProps {
  readonly label: string;
  readonly value: string;
  readonly of: readonly string[];
  readonly onChange: (value: string) => void;
}

/** One of some words; what the value is, even if it is none of them. */
const WordPart = ({ label, value, of, onChange }: WordProps) => (
  <Form.Select
    className="word"
    aria-label={label}
    value={value}
    onChange={(e) => onChange(e.target.value)}
  >
    {(of.includes(value) ? of : [value, ...of]).map((word) => (
      <option key={word}>{word}</option>
    ))}
  </Form.Select>
);

/** The words a property takes. */
const wordsOf = (key: string): readonly string[] => {
  const type = property(key)?.type;
  return type?.is === "choice" ? type.of : [];
};

const numbers = {
  duration: { min: 0, max: 600_000, step: 20, unit: units.ms },
  length: { min: -1e5, max: 1e5, step: 1, unit: units.px },
  number: { min: -1e5, max: 1e5, step: 0.1, unit: "" },
} as const;

interface NumberProps {
  readonly type: keyof typeof numbers;
  readonly value: number;
  readonly onChange: (value: number) => void;
}

const NumberPart = ({ type, value, onChange }: NumberProps) => (
  <span className="curve-part">
    <NumberField label={systemWords.value} value={value} {...numbers[type]} onChange={onChange} />
  </span>
);

interface BorderProps {
  readonly value: BorderValue;
  readonly onChange: (value: BorderValue) => void;
}

const BorderPart = ({ value, onChange }: BorderProps) => (
  <>
    <span className="curve-part">
      <NumberField
        label={titleOf("borderWidth")}
        value={value.width}
        {...numbers.length}
        onChange={(width) => onChange({ ...value, width })}
      />
      <WordPart
        label={titleOf("borderStyle")}
        value={value.style}
        of={wordsOf("borderStyle")}
        onChange={(style) => onChange({ ...value, style })}
      />
    </span>
    <ColourPart colour={value.colour} onPick={(colour) => onChange({ ...value, colour })} />
  </>
);

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
  const project = useDisplayedProject();
  const { tokens } = project;
  const alias = isAlias(token.value) ? token.value.alias : null;
  const value = tokenValue(tokens, token.id);
  const leadsBack = (id: string): boolean => {
    for (let at: string | null = id, n = 0; at !== null && n < 100; n++) {
      if (at === token.id) return true;
      const v: Token["value"] | undefined = tokens[at]?.value;
      at = v !== undefined && isAlias(v) ? v.alias : null;
    }
    return false;
  };
  const others = inOrder(tokens).filter((t) => t.type === token.type && !leadsBack(t.id));
  const edit = (next: SpecifiedTokenValue) => onChange(editedValue(token, value, next));
  const part = (): ReactNode => {
    if (value === undefined) return <p className="refusal">{systemWords.tokenOneFollowsWas}</p>;
    switch (token.type) {
      case "colour":
        return <ColourPart colour={value as string} onPick={edit} />;
      case "gradient":
        return <GradientPart gradient={value as Gradient} onChange={edit} />;
      case "shadow":
        return <ShadowList shadows={value as readonly Shadow[]} onLive={edit} />;
      case "style":
        return <StylePart value={value as StyleValue} onChange={edit} />;
      case "curve":
        return (
          <span className="curve-part">
            <EasingPart label={systemWords.curve} easing={value as Easing} onChange={edit} />
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
                  onChange={(duration) => edit({ ...m, duration })}
                />
              </>
            )}
            <EasingPart easing={m.easing} onChange={(easing) => edit({ ...m, easing })} />
          </span>
        );
      }
      case "family":
        return (
          <WordPart
            label={systemWords.family}
            value={value as string}
            of={familiesOf(project)}
            onChange={edit}
          />
        );
      case "weight":
        return (
          <WordPart
            label={titleOf("weight")}
            value={value as string}
            of={wordsOf("weight")}
            onChange={edit}
          />
        );
      case "stroke":
        return (
          <WordPart
            label={titleOf("borderStyle")}
            value={value as string}
            of={wordsOf("borderStyle")}
            onChange={edit}
          />
        );
      case "border":
        return <BorderPart value={value as BorderValue} onChange={edit} />;
      case "other":
        return <p className="note mono kept-json">{(value as OtherValue).json}</p>;
      case "duration":
      case "length":
      case "number":
        return <NumberPart type={token.type} value={value as number} onChange={edit} />;
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
