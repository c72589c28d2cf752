import { present } from "../../basics";
import { oppositeOf } from "./opposites";
import type { Id } from "../../basics";
import { changesIn, looksIn, restOf, restingVariant, traitsOf, valuesOf } from "../../looks";
import { newId, orderAfter, set } from "../../project";
import type {
  Change,
  Condition,
  Effect,
  Motion,
  Op,
  Piece,
  Rule,
  Trait,
  TraitValue,
  TriggerType,
  Variant,
} from "../../project";
import { usualMotion } from "./rules";
import { addTrait } from "./traits";
import { editWords } from "../words";

/** Rules made in one go of what people wire by hand every time; ordinary rules afterwards. */
export interface Making {
  readonly key: "contact" | "pick" | "back" | "steps" | "round" | "deck" | "open";
  /** what it is, in a few words */
  readonly name: string;
  readonly rules: readonly Rule[];
  /** traits it needs and the piece does not have yet */
  readonly traits: readonly Trait[];
}

type Draft = Pick<Rule, "trigger" | "source" | "effects"> &
  Partial<Pick<Rule, "when" | "undo" | "motion">>;

const numbered = (piece: Piece, drafts: readonly Draft[], motion: Motion): Rule[] => {
  const all: { id: Id; order: string }[] = Object.values(piece.rules);
  return drafts.map((d) => {
    const rule: Rule = {
      id: newId(),
      order: orderAfter(all),
      on: true,
      when: {},
      undo: false,
      motion,
      ...d,
    };
    all.push(rule);
    return rule;
  });
};

const becomes = (trait: Trait, value: TraitValue): Effect => ({
  type: "set",
  trait: trait.id,
  to: { value: value.id },
});
const where = (trait: Trait, value: TraitValue): Condition => ({ [trait.id]: [value.id] });

/** Words by which people call the values of a contact. */
const contactWords: readonly { trigger: TriggerType; words: readonly string[] }[] = [
  { trigger: "hover", words: ["hovered", "hover", "over"] },
  { trigger: "focus", words: ["focused", "focus"] },
  { trigger: "press", words: ["pressed", "press", "down", "active"] },
];
const valueFor = (trait: Trait, words: readonly string[]): TraitValue | undefined =>
  valuesOf(trait).find((v) => words.includes(v.name.toLowerCase()));

/**
 * The trait that says how a piece is touched: one with a value for hovering or pressing beside
 * others.
 */
export const contactTrait = (piece: Piece): Trait | undefined =>
  traitsOf(piece).find(
    (t) =>
      contactWords.filter((c) => valueFor(t, c.words)).length > 1 ||
      (valuesOf(t).length > 1 &&
        contactWords.some((c) => c.trigger === "hover" && valueFor(t, c.words))),
  );

/** Hovered, focused and pressed, each undone when it ends; the trait is made when there is none. */
const contact = (piece: Piece, source: Id | null, motion: Motion): Making => {
  const known = contactTrait(piece);
  const made = known
    ? null
    : addTrait(piece, editWords.contact, ["none", "hovered", "focused", "pressed"]);
  // adding a trait sets the trait first
  const trait = known ?? (made?.change.ops[0] as { value: Trait }).value;
  const drafts = contactWords.flatMap(({ trigger, words }): Draft[] => {
    const value = valueFor(trait, words);
    return value
      ? [
          {
            trigger: { type: trigger },
            source,
            effects: [becomes(trait, value)],
            undo: true,
            motion: {
              ...motion,
              duration: trigger === "press" ? Math.min(100, motion.duration) : motion.duration,
            },
          },
        ]
      : [];
  });
  return {
    key: "contact",
    name: editWords.contactHoveredFocusedPressed,
    rules: numbered(piece, drafts, motion),
    traits: known ? [] : [trait],
  };
};

/**
 * n layers and n values: a click on a layer chooses its value. The layers come as one sees them,
 * from first to last.
 */
const pick = (piece: Piece, layers: readonly Id[], trait: Trait, motion: Motion): Making => {
  const drafts = valuesOf(trait)
    .slice(0, layers.length)
    .map((value, i): Draft => ({
      trigger: { type: "click" },
      source: present(layers[i]),
      effects: [becomes(trait, value)],
    }));
  return {
    key: "pick",
    name: editWords.pickOneThese(trait.name),
    rules: numbered(piece, drafts, motion),
    traits: [],
  };
};

/** A click turns a trait of two values over. */
const back = (piece: Piece, source: Id | null, trait: Trait, motion: Motion): Making => ({
  key: "back",
  name: editWords.thereBack(trait.name),
  rules: numbered(
    piece,
    [
      {
        trigger: { type: "click" },
        source,
        effects: [{ type: "set", trait: trait.id, to: { step: "opposite" } }],
      },
    ],
    motion,
  ),
  traits: [],
});

/** From value to value, each after a wait; once to the end, or round for ever. */
const steps = (piece: Piece, trait: Trait, ms: number, round: boolean, motion: Motion): Making => {
  const values = valuesOf(trait);
  const drafts = values.flatMap((value, i): Draft[] => {
    const next = values[i + 1] ?? (round ? values[0] : undefined);
    return next
      ? [
          {
            trigger: { type: "delay", ms },
            source: null,
            when: where(trait, value),
            effects: [becomes(trait, next)],
          },
        ]
      : [];
  });
  return {
    key: round ? "round" : "steps",
    name: editWords.stepThrough(trait.name, round),
    rules: numbered(piece, drafts, motion),
    traits: [],
  };
};

/**
 * Which of some layers lies in front in a variant: the one raised most, else the last in the tree.
 */
const frontOf = (piece: Piece, layers: readonly Id[], variant: Variant): Id => {
  const looks = looksIn(piece, variant);
  const raised = (id: Id) =>
    Number(changesIn(looks, id).findLast((c) => c.stack !== undefined)?.stack ?? 0);
  return present(
    [...layers].sort(
      (a, b) =>
        raised(b) - raised(a) ||
        ((piece.layers[b]?.order ?? "") > (piece.layers[a]?.order ?? "") ? 1 : -1),
    )[0],
  );
};

/**
 * Cards in a pile: the one in front is dragged to the back, the one that was in front before comes
 * back; round for ever.
 */
const deck = (piece: Piece, layers: readonly Id[], trait: Trait, motion: Motion): Making => {
  const values = valuesOf(trait);
  const rest = restingVariant(piece);
  const trigger = { type: "drag", direction: "any", travel: 160, part: 0.4, speed: 500 } as const;
  const drafts = values.flatMap((value, i): Draft[] => {
    const card = frontOf(piece, layers, { ...rest, [trait.id]: value.id });
    const next = present(values[(i + 1) % values.length]);
    return [
      {
        trigger,
        source: card,
        when: where(trait, value),
        effects: [{ type: "set", trait: trait.id, to: { step: "next" } }],
      },
      {
        trigger,
        source: card,
        when: where(trait, next),
        effects: [{ type: "set", trait: trait.id, to: { step: "previous" } }],
      },
    ];
  });
  // not everybody can drag
  const keys = (
    [
      ["ArrowRight", "next"],
      ["ArrowLeft", "previous"],
    ] as const
  ).map(([key, step]): Draft => ({
    trigger: { type: "key", key },
    source: null,
    effects: [{ type: "set", trait: trait.id, to: { step } }],
  }));
  return {
    key: "deck",
    name: editWords.dragDeck(trait.name),
    rules: numbered(piece, [...drafts, ...keys], motion),
    traits: [],
  };
};

/** The first layer opens, the second and Escape close. */
const openClose = (
  piece: Piece,
  [opens, closes]: readonly Id[],
  trait: Trait,
  motion: Motion,
): Making => {
  // it is offered for traits of two values
  const shut = present(valuesOf(trait)[0]);
  const open = present(valuesOf(trait)[1]);
  const drafts: Draft[] = [
    { trigger: { type: "click" }, source: opens ?? null, effects: [becomes(trait, open)] },
    {
      trigger: { type: "click" },
      source: closes ?? null,
      when: where(trait, open),
      effects: [becomes(trait, shut)],
    },
    {
      trigger: { type: "key", key: "Escape" },
      source: null,
      when: where(trait, open),
      effects: [becomes(trait, shut)],
    },
  ];
  return {
    key: "open",
    name: editWords.openClose(trait.name),
    rules: numbered(piece, drafts, motion),
    traits: [],
  };
};

const same = (a: Rule, b: Rule): boolean =>
  JSON.stringify([a.trigger, a.source, Object.entries(a.when).sort(), a.effects]) ===
  JSON.stringify([b.trigger, b.source, Object.entries(b.when).sort(), b.effects]);

/**
 * All that can be made for what is chosen and is not there yet; `layers` in the order one reads
 * them.
 */
export const makings = (
  piece: Piece,
  layers: readonly Id[],
  motion: Motion = usualMotion,
): Making[] => {
  const touch = contactTrait(piece);
  const source = layers.length === 1 ? (layers[0] ?? null) : null;
  const others = traitsOf(piece).filter((t) => t !== touch);
  return [
    ...(layers.length < 2 ? [contact(piece, source, motion)] : []),
    ...(layers.length > 1
      ? others
          .filter((t) => valuesOf(t).length === layers.length)
          .map((t) => pick(piece, layers, t, motion))
      : []),
    ...(layers.length > 2
      ? others
          .filter((t) => valuesOf(t).length === layers.length)
          .map((t) => deck(piece, layers, t, motion))
      : []),
    ...(layers.length === 2
      ? others
          .filter((t) => valuesOf(t).length === 2)
          .map((t) => openClose(piece, layers, t, motion))
      : []),
    ...(layers.length < 2
      ? others.filter((t) => valuesOf(t).length === 2).map((t) => back(piece, source, t, motion))
      : []),
    ...(layers.length === 0
      ? others.flatMap((t) => [
          steps(piece, t, 800, false, motion),
          steps(piece, t, 800, true, motion),
        ])
      : []),
  ]
    .map((m) => ({
      ...m,
      rules: m.rules.filter((r) => !Object.values(piece.rules).some((known) => same(known, r))),
    }))
    .filter((m) => m.rules.length > 0);
};

/** Adds what a maker makes, as one step of undo. */
export const make = (piece: Piece, making: Making): Change => {
  const ops: Op[] = [
    ...making.traits.map((t) => set(["pieces", piece.id, "traits", t.id], t)),
    ...making.rules.map((r) => set(["pieces", piece.id, "rules", r.id], r)),
  ];
  return { label: editWords.make(making.name).slice(0, 200), ops };
};

/**
 * The rule that leads back from where a rule leads: on the same layer, by the trigger's
 * counterpart, where its traits are what it made them, to what they were: what its condition says,
 * else what rests. Null when it goes back by itself, or cannot.
 */
export const wayBack = (piece: Piece, rule: Rule): Rule | null => {
  if (rule.undo) return null;
  const effects: Effect[] = [];
  const when: Record<Id, readonly Id[]> = { ...rule.when };
  for (const effect of rule.effects) {
    const trait = effect.type === "set" ? piece.traits[effect.trait] : undefined;
    if (effect.type !== "set" || !trait || !("value" in effect.to)) continue;
    const said = rule.when[trait.id];
    const before = said?.length === 1 ? said[0] : restOf(trait);
    if (before === undefined || before === effect.to.value) continue;
    effects.push({ type: "set", trait: trait.id, to: { value: before } });
    when[trait.id] = [effect.to.value];
  }
  if (effects.length === 0) return null;
  return {
    ...rule,
    id: newId(),
    order: orderAfter(Object.values(piece.rules)),
    trigger: { ...rule.trigger, type: oppositeOf(rule.trigger.type) ?? rule.trigger.type },
    when,
    effects,
  };
};

/** Adds the way back of a rule; null when there is none to add. */
export const addWayBack = (piece: Piece, rule: Rule): Change | null => {
  const back = wayBack(piece, rule);
  return (
    back && {
      label: editWords.addWayBack,
      ops: [set(["pieces", piece.id, "rules", back.id], back)],
    }
  );
};
