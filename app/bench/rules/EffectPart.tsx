import { addSignal, piecesOf, settableOptions } from "#core/edit";
import { traitsOf, valuesOf } from "#core/looks";
import { componentsAt } from "#core/machine";
import { inOrder } from "#core/project";
import type { Effect, Motion, Piece, Project, Trait, TraitTarget } from "#core/project";
import { useState } from "react";
import { Icon } from "../../common/Icon";
import { NumberField } from "../../common/NumberField";
import { useProject, useSession } from "../../store/session-context";
import { MotionPart } from "./MotionPart";
import { OptionPart, usualOption } from "./OptionPart";
import { Pick } from "./Pick";

/** A trait's next value most people mean: the other of two, else the second. */
const usualTarget = (trait: Trait): TraitTarget => {
  const second = valuesOf(trait)[1];
  return second ? { value: second.id } : { step: "next" };
};

const steps = [
  { value: "step next", words: "the next" },
  { value: "step previous", words: "the previous" },
  { value: "step opposite", words: "the opposite" },
  { value: "step first", words: "the first" },
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
    <span>becomes</span>
    <Pick
      search
      label={`New value of ${trait.name}`}
      value={"value" in to ? to.value : `step ${to.step}`}
      options={[...valuesOf(trait).map((v) => ({ value: v.id, words: v.name })), ...steps]}
      onPick={(v) => onPick(v.startsWith("step ") ? { step: v.slice(5) as "next" } : { value: v })}
    />
  </>
);

const AddressField = ({ to, onKeep }: { to: string; onKeep: (to: string) => void }) => {
  const [text, setText] = useState<string | null>(null);
  const keep = () => {
    const typed = text?.trim();
    setText(null);
    if (!typed || typed === to) return;
    onKeep(/^https?:\/\//i.test(typed) ? typed : `https://${typed}`);
  };
  return (
    <input
      className="word"
      aria-label="Web address"
      size={Math.max(18, (text ?? to).length)}
      value={text ?? to}
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

/** Traits of the copies in a piece that a rule can set. */
const nestedTraits = (project: Project, piece: Piece) =>
  Object.values(piece.layers)
    .filter((l) => l.kind === "instance")
    .flatMap((layer) =>
      componentsAt(project, piece, layer.id).flatMap((c) =>
        traitsOf(c).map((trait) => ({ layer, trait })),
      ),
    );

/** Whether an effect shows something over time. */
const moves = (effect: Effect): boolean => effect.type !== "raise" && effect.type !== "address";

/** The choice in the first field of an effect that stands for it. */
const choiceOf = (effect: Effect): string => {
  switch (effect.type) {
    case "clip":
    case "seek":
      return `${effect.type} ${effect.layer}`;
    case "option":
      return `option ${effect.layer} ${effect.option}`;
    case "set":
      return `trait ${effect.trait}`;
    case "nested":
      return `nested ${effect.layer} ${effect.trait}`;
    default:
      return effect.type;
  }
};

/** One thing a rule does. */
export const EffectPart = ({
  piece,
  effect,
  motion,
  onChange,
  onRemove,
}: {
  piece: Piece;
  effect: Effect;
  motion: Motion;
  onChange: (e: Effect) => void;
  onRemove: (() => void) | null;
}) => {
  const session = useSession();
  const project = useProject();
  const screens = piecesOf(project, "screen").filter((s) => s.id !== piece.id);
  const traits = traitsOf(piece);
  const nested = nestedTraits(project, piece);
  const signals = inOrder(piece.signals);
  const settable = settableOptions(project, piece);
  const says = (key: string) =>
    Object.values(piece.layers).filter((l) =>
      Object.values(piece.looks).some((k) => k.changes[l.id]?.[key] !== undefined),
    );
  const clips = says("plays");
  const forms = says("entry").length > 0;
  const what = choiceOf(effect);
  const options = [
    ...traits.map((t) => ({ value: `trait ${t.id}`, words: t.name })),
    ...nested.map(({ layer, trait }) => ({
      value: `nested ${layer.id} ${trait.id}`,
      words: `${layer.name}: ${trait.name}`,
    })),
    ...settable.map(({ layer, option }) => ({
      value: `option ${layer.id} ${option.id}`,
      words: `${layer.name}: ${option.name}`,
    })),
    ...(screens.length || effect.type === "go" || effect.type === "open"
      ? [
          { value: "go", words: "go to" },
          { value: "open", words: "open over it" },
        ]
      : []),
    { value: "close", words: "close the overlay" },
    ...clips.flatMap((l) => [
      { value: `clip ${l.id}`, words: `play or pause ${l.name}` },
      { value: `seek ${l.id}`, words: `${l.name}: go to` },
    ]),
    { value: "stir", words: "stir: only its lanes move" },
    ...(Object.values(piece.layers).some((l) => l.parent !== null)
      ? [{ value: "scroll", words: "scroll to" }]
      : []),
    ...(forms ? [{ value: "empty", words: "empty the form" }] : []),
    { value: "back", words: "go back" },
    { value: "raise", words: "say" },
    { value: "address", words: "open the address" },
  ];
  const newSignal = (): string | null => {
    const made = addSignal(session.project.pieces[piece.id] ?? piece, "signal");
    return session.edit(made.change) ? made.id : null;
  };
  const change = (to: string) => {
    const [kind, a, b] = to.split(" ");
    if (kind === "scroll") {
      const first = Object.values(piece.layers).find((l) => l.parent !== null);
      if (first) onChange({ type: "scroll", layer: first.id });
    } else if (kind === "clip" && a !== undefined)
      onChange({ type: "clip", layer: a, act: "turn" });
    else if (kind === "seek" && a !== undefined) onChange({ type: "seek", layer: a, ms: 0 });
    else if (kind === "back" || kind === "close" || kind === "empty" || kind === "stir")
      onChange({ type: kind });
    else if (kind === "address") onChange({ type: "address", to: "https://example.com" });
    else if (kind === "go" || kind === "open") {
      const screen =
        effect.type === "go" || effect.type === "open" ? effect.screen : screens[0]?.id;
      if (screen !== undefined) onChange({ type: kind, screen });
    } else if (kind === "option") {
      const found = settable.find((s) => s.layer.id === a && s.option.id === b);
      if (found)
        onChange({
          type: "option",
          layer: found.layer.id,
          option: found.option.id,
          value: usualOption(project, found.component, found.option),
        });
    } else if (kind === "raise") {
      const signal = signals[0]?.id ?? newSignal();
      if (signal !== null) onChange({ type: "raise", signal });
    } else if (kind === "nested") {
      const found = nested.find((n) => n.layer.id === a && n.trait.id === b);
      if (found)
        onChange({
          type: "nested",
          layer: found.layer.id,
          trait: found.trait.id,
          to: usualTarget(found.trait),
        });
    } else {
      const trait = piece.traits[a ?? ""];
      if (trait) onChange({ type: "set", trait: trait.id, to: usualTarget(trait) });
    }
  };
  const ownTrait = effect.type === "set" ? piece.traits[effect.trait] : undefined;
  const innerTrait =
    effect.type === "nested"
      ? nested.find((n) => n.layer.id === effect.layer && n.trait.id === effect.trait)?.trait
      : undefined;
  const trait = ownTrait ?? innerTrait;
  const option =
    effect.type === "option"
      ? settable.find((s) => s.layer.id === effect.layer && s.option.id === effect.option)
      : undefined;
  return (
    <span className="effect">
      <Pick
        search
        label="Effect"
        value={what}
        options={options}
        onPick={change}
        broken={
          ((effect.type === "set" || effect.type === "nested") && !trait) ||
          (effect.type === "option" && !option)
        }
      />
      {effect.type === "option" && option && (
        <OptionPart
          option={option.option}
          value={effect.value}
          onPick={(value) => onChange({ ...effect, value })}
        />
      )}
      {(effect.type === "set" || effect.type === "nested") && trait && (
        <TargetPart trait={trait} to={effect.to} onPick={(to) => onChange({ ...effect, to })} />
      )}
      {(effect.type === "go" || effect.type === "open") && (
        <Pick
          search
          label="Screen"
          value={effect.screen}
          options={screens.map((s) => ({ value: s.id, words: s.name }))}
          onPick={(screen) => onChange({ ...effect, screen })}
          broken={!project.pieces[effect.screen]}
        />
      )}
      {effect.type === "raise" && (
        <Pick
          label="Signal"
          value={effect.signal}
          broken={!piece.signals[effect.signal]}
          options={[
            ...signals.map((s) => ({ value: s.id, words: s.name })),
            { value: "+", words: "a new signal …" },
          ]}
          onPick={(v) => {
            const signal = v === "+" ? newSignal() : v;
            if (signal !== null) onChange({ type: "raise", signal });
          }}
        />
      )}
      {effect.type === "scroll" && (
        <Pick
          search
          label="Layer to scroll to"
          value={effect.layer}
          broken={!piece.layers[effect.layer]}
          options={Object.values(piece.layers)
            .filter((l) => l.parent !== null)
            .map((l) => ({ value: l.id, words: l.name }))}
          onPick={(layer) => onChange({ ...effect, layer })}
        />
      )}
      {effect.type === "clip" && (
        <Pick
          label="What the clip does"
          value={effect.act}
          options={[
            { value: "turn", words: "whichever it does not" },
            { value: "play", words: "play" },
            { value: "pause", words: "pause" },
          ]}
          onPick={(act) => onChange({ ...effect, act })}
        />
      )}
      {effect.type === "seek" && (
        <>
          <NumberField
            label="Moment of the clip in milliseconds"
            value={effect.ms}
            min={0}
            max={600_000}
            step={100}
            onChange={(ms) => onChange({ ...effect, ms })}
          />
          <span>ms</span>
        </>
      )}
      {effect.type === "address" && (
        <AddressField to={effect.to} onKeep={(to) => onChange({ type: "address", to })} />
      )}
      {effect.motion && (
        <MotionPart
          between={
            effect.type === "go" ||
            effect.type === "back" ||
            effect.type === "open" ||
            effect.type === "close"
          }
          motion={effect.motion}
          onChange={(own) => onChange({ ...effect, motion: own })}
        />
      )}
      {moves(effect) && (onRemove || effect.motion) && (
        <button
          type="button"
          className={`tool small${effect.motion ? " on" : ""}`}
          aria-pressed={effect.motion !== undefined}
          aria-label="In a time of its own"
          title={effect.motion ? "In the rule's time again" : "In a time of its own"}
          onClick={() => {
            const { motion: _own, ...rest } = effect;
            onChange(effect.motion ? rest : { ...effect, motion });
          }}
        >
          <Icon name="time" size={12} />
        </button>
      )}
      {onRemove && (
        <button
          type="button"
          className="tool small"
          aria-label="Remove this effect"
          onClick={onRemove}
        >
          <Icon name="close" size={11} />
        </button>
      )}
    </span>
  );
};
