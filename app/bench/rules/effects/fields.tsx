import type { Id } from "#core/basics";
import { settableOptions } from "#core/edit";
import { valuesOf } from "#core/looks";
import { inOrder } from "#core/project";
import type { EffectOf, EffectType, Trait, TraitTarget } from "#core/project";
import { useState } from "react";
import type { ComponentType } from "react";
import { Form } from "react-bootstrap";
import { NumberPart } from "../../../parts/NumberPart";
import { OptionPart } from "../OptionPart";
import { Pick } from "../../../ui/fields/Pick";
import { units } from "../../../ui/units";
import { nestedTraits, screensFor, scrollTargets } from "./choices";
import type { Around } from "./choices";
import { rulesWords } from "../words";

interface FieldsOf<K extends EffectType> {
  readonly effect: EffectOf<K>;
  readonly around: Around;
  readonly onChange: (effect: EffectOf<K>) => void;
}

/** "The opposite" means something where there are two. */
const stepsFor = (trait: Trait, to: TraitTarget) =>
  steps.filter(
    ({ value }) =>
      value !== "step opposite" ||
      Object.keys(trait.values).length === 2 ||
      ("step" in to && to.step === "opposite"),
  );

const steps = [
  { value: "step next", words: rulesWords.nextValue },
  { value: "step previous", words: rulesWords.previousValue },
  { value: "step opposite", words: rulesWords.oppositeValue },
  { value: "step first", words: rulesWords.firstValue },
];

const TargetPart = ({
  trait,
  to,
  onPick,
}: {
  trait: Trait;
  to: TraitTarget;
  onPick: (to: TraitTarget) => void;
}) => (
  <>
    <span>{rulesWords.becomes}</span>
    <Pick
      search
      label={rulesWords.newValue(trait.name)}
      value={"value" in to ? to.value : `step ${to.step}`}
      options={[
        ...valuesOf(trait).map((v) => ({ value: v.id, words: v.name })),
        ...stepsFor(trait, to),
      ]}
      onPick={(v) => onPick(v.startsWith("step ") ? { step: v.slice(5) as "next" } : { value: v })}
    />
  </>
);

const SetFields = ({ effect, around, onChange }: FieldsOf<"set">) => {
  const trait = around.piece.traits[effect.trait];
  return trait ? (
    <TargetPart trait={trait} to={effect.to} onPick={(to) => onChange({ ...effect, to })} />
  ) : null;
};

const NestedFields = ({ effect, around, onChange }: FieldsOf<"nested">) => {
  const found = nestedTraits(around.project, around.piece).find(
    (n) => n.layer.id === effect.layer && n.trait.id === effect.trait,
  );
  return found ? (
    <TargetPart trait={found.trait} to={effect.to} onPick={(to) => onChange({ ...effect, to })} />
  ) : null;
};

const OptionFields = ({ effect, around, onChange }: FieldsOf<"option">) => {
  const found = settableOptions(around.project, around.piece).find(
    (s) => s.layer.id === effect.layer && s.option.id === effect.option,
  );
  return found ? (
    <OptionPart
      option={found.option}
      value={effect.value}
      onPick={(value) => onChange({ ...effect, value })}
    />
  ) : null;
};

const ScreenPick = ({
  screen,
  around,
  onPick,
}: {
  screen: Id;
  around: Around;
  onPick: (screen: Id) => void;
}) => (
  <Pick
    search
    label={rulesWords.screen}
    value={screen}
    options={screensFor(around).map((s) => ({ value: s.id, words: s.name }))}
    onPick={onPick}
    broken={!around.project.pieces[screen]}
  />
);

const GoFields = ({ effect, around, onChange }: FieldsOf<"go">) => (
  <ScreenPick
    screen={effect.screen}
    around={around}
    onPick={(screen) => onChange({ ...effect, screen })}
  />
);

const OpenFields = ({ effect, around, onChange }: FieldsOf<"open">) => (
  <ScreenPick
    screen={effect.screen}
    around={around}
    onPick={(screen) => onChange({ ...effect, screen })}
  />
);

const ClipFields = ({ effect, onChange }: FieldsOf<"clip">) => (
  <Pick
    label={rulesWords.clipAction}
    value={effect.act}
    options={[
      { value: "turn", words: rulesWords.togglePlayPause },
      { value: "play", words: rulesWords.play },
      { value: "pause", words: rulesWords.pause },
    ]}
    onPick={(act) => onChange({ ...effect, act })}
  />
);

const SeekFields = ({ effect, onChange }: FieldsOf<"seek">) => (
  <NumberPart
    said={effect}
    name="ms"
    label={rulesWords.clipPositionMilliseconds}
    min={0}
    max={600_000}
    step={100}
    unit={units.ms}
    onChange={onChange}
  />
);

const ScrollFields = ({ effect, around: { piece }, onChange }: FieldsOf<"scroll">) => (
  <Pick
    search
    label={rulesWords.layerScroll}
    value={effect.layer}
    broken={!piece.layers[effect.layer]}
    options={scrollTargets(piece).map((l) => ({ value: l.id, words: l.name }))}
    onPick={(layer) => onChange({ ...effect, layer })}
  />
);

const RaiseFields = ({ effect, around, onChange }: FieldsOf<"raise">) => (
  <Pick
    label={rulesWords.signal}
    value={effect.signal}
    broken={!around.piece.signals[effect.signal]}
    options={[
      ...inOrder(around.piece.signals).map((s) => ({ value: s.id, words: s.name })),
      { value: "+", words: rulesWords.newSignal },
    ]}
    onPick={(v) => {
      const signal = v === "+" ? around.newSignal() : v;
      if (signal !== null) onChange({ ...effect, signal });
    }}
  />
);

const AddressFields = ({ effect, onChange }: FieldsOf<"address">) => {
  const [text, setText] = useState<string | null>(null);
  const keep = () => {
    const typed = text?.trim();
    setText(null);
    if (!typed || typed === effect.to) return;
    onChange({ ...effect, to: /^https?:\/\//i.test(typed) ? typed : `https://${typed}` });
  };
  return (
    <Form.Control
      className="word"
      aria-label={rulesWords.webAddress}
      htmlSize={Math.max(18, (text ?? effect.to).length)}
      value={text ?? effect.to}
      spellCheck={false}
      onChange={(e) => setText(e.target.value)}
      onBlur={keep}
      onKeyDown={(e) => {
        if (e.key === "Enter") keep();
        else if (e.key === "Escape") setText(null);
      }}
    />
  );
};

const none = () => null;

const fields: { readonly [K in EffectType]: ComponentType<FieldsOf<K>> } = {
  set: SetFields,
  nested: NestedFields,
  option: OptionFields,
  go: GoFields,
  back: none,
  open: OpenFields,
  close: none,
  clip: ClipFields,
  seek: SeekFields,
  stir: none,
  scroll: ScrollFields,
  empty: none,
  raise: RaiseFields,
  address: AddressFields,
};

/** What an effect of a kind says, as fields beside its name. */
export const EffectFields = <K extends EffectType>(props: FieldsOf<K>) => {
  const Fields: ComponentType<FieldsOf<K>> = fields[props.effect.type];
  return <Fields {...props} />;
};
