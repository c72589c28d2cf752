import type { Id } from "../basics";
import { numberNames } from "../project";
import type {
  Condition,
  Effect,
  Lane,
  LayerChanges,
  Look,
  Motion,
  MotionParts,
  Numbered,
  Piece,
  Pose,
  Rehearsal,
  Rule,
  Sample,
  Status,
  Step,
  Theme,
  Token,
  TokenGroup,
  Trait,
} from "../project";
import { OPTION, THEME, isBound, property } from "../properties";
import type { Asset, SpecifiedValue } from "../properties";
import type { Kinds } from "./kinds";

/** What the records of a project are called elsewhere, by what they are. */
export interface Names {
  readonly piece: (id: Id) => Id;
  readonly token: (id: Id) => Id;
  readonly group: (id: Id) => Id;
  readonly theme: (id: Id) => Id;
  readonly asset: (id: Id) => Id;
}

const mapValues = <V, W>(
  table: Readonly<Record<string, V>>,
  to: (value: V, key: string) => W,
): Readonly<Record<string, W>> =>
  Object.fromEntries(Object.entries(table).map(([key, value]) => [key, to(value, key)]));

const optional = <V>(value: V | undefined, to: (value: V) => V): V | undefined =>
  value === undefined ? undefined : to(value);

/**
 * Calls the records of a project otherwise, wherever something refers to them: pieces, tokens,
 * groups, themes and assets. What lies inside a piece is called as before.
 */
export class Renaming {
  constructor(
    private readonly names: Names,
    private readonly kinds: Kinds,
  ) {}

  /** A value of the property of a kind that refers to records, or what an option of it says. */
  private ofType(key: string, value: SpecifiedValue): SpecifiedValue {
    const { names } = this;
    if (isBound(value)) return { token: names.token(value.token) };
    const type = property(key)?.type;
    if (typeof value === "string" && value !== "") {
      if (type?.is === "reference") return names.piece(value);
      if (type?.is === "asset") return names.asset(value);
    }
    if (typeof value === "object" && "fit" in value && typeof value.picture === "string")
      return { ...value, picture: value.picture === "" ? "" : names.asset(value.picture) };
    return value;
  }

  private ofOption(option: Id, value: SpecifiedValue): SpecifiedValue {
    if (typeof value !== "string") return this.ofType("", value);
    const named = this.kinds.named(option, value);
    return named === null ? value : this.names[named](value);
  }

  private saidAt(key: string, value: SpecifiedValue): SpecifiedValue {
    return key.startsWith(OPTION)
      ? this.ofOption(key.slice(OPTION.length), value)
      : this.ofType(key, value);
  }

  private key(key: string): string {
    return key.startsWith(THEME) ? THEME + this.names.theme(key.slice(THEME.length)) : key;
  }

  changes(changes: LayerChanges): LayerChanges {
    const entries = Object.entries(changes);
    return Object.fromEntries(entries.map(([k, v]) => [this.key(k), this.saidAt(k, v)]));
  }

  private look(look: Look): Look {
    return { ...look, changes: mapValues(look.changes, (changes) => this.changes(changes)) };
  }

  private parts = (parts: MotionParts): MotionParts => ({
    duration: optional(parts.duration, this.names.token),
    delay: optional(parts.delay, this.names.token),
    easing: optional(parts.easing, this.names.token),
  });

  private pose = (pose: Pose): Pose => ({
    ...pose,
    token: optional(pose.token, this.names.token),
    valueToken: optional(pose.valueToken, this.names.token),
  });

  private lane = (lane: Lane): Lane => ({
    ...lane,
    parts: optional(lane.parts, this.parts),
    poses: lane.poses?.map(this.pose),
  });

  motion = (motion: Motion): Motion => ({
    ...motion,
    token: optional(motion.token, this.names.token),
    parts: optional(motion.parts, this.parts),
    lanes: motion.lanes?.map(this.lane),
  });

  private numbers<T extends Numbered>(from: T): T {
    const { tokens } = from;
    if (!tokens) return from;
    const entries = numberNames.flatMap((name) => {
      const token = tokens[name];
      return token === undefined ? [] : [[name, this.names.token(token)] as const];
    });
    return { ...from, tokens: Object.fromEntries(entries) };
  }

  private effect = (effect: Effect): Effect => {
    const moved = effect.motion ? { ...effect, motion: this.motion(effect.motion) } : effect;
    if (moved.type === "go" || moved.type === "open")
      return { ...moved, screen: this.names.piece(moved.screen) };
    if (moved.type === "option")
      return { ...moved, value: this.ofOption(moved.option, moved.value) };
    return moved.type === "seek" ? this.numbers(moved) : moved;
  };

  rule = (rule: Rule): Rule => ({
    ...rule,
    trigger: this.numbers(rule.trigger),
    motion: this.motion(rule.motion),
    ...(rule.back ? { back: this.motion(rule.back) } : {}),
    effects: rule.effects.map(this.effect),
  });

  private step = (step: Step): Step => {
    if (step.do === "screen") return { ...step, screen: this.names.piece(step.screen) };
    if (step.do !== "layer" || typeof step.value !== "string") return step;
    const value = this.ofType(step.key, step.value);
    return typeof value === "string" ? { ...step, value } : step;
  };

  private rehearsal = (rehearsal: Rehearsal): Rehearsal => ({
    ...rehearsal,
    steps: rehearsal.steps.map(this.step),
  });

  private trait = (trait: Trait): Trait =>
    trait.motion ? { ...trait, motion: this.motion(trait.motion) } : trait;

  private sample = (sample: Sample): Sample => ({
    ...sample,
    values: this.changes(sample.values),
  });

  private status = (status: Status): Status => {
    if (typeof status === "string" || status.supersededBy === null) return status;
    return { supersededBy: this.names.piece(status.supersededBy) };
  };

  piece = (piece: Piece): Piece => ({
    ...piece,
    id: this.names.piece(piece.id),
    traits: mapValues(piece.traits, this.trait),
    looks: mapValues(piece.looks, (look) => this.look(look)),
    rules: mapValues(piece.rules, this.rule),
    rehearsals: mapValues(piece.rehearsals, this.rehearsal),
    samples: mapValues(piece.samples, this.sample),
    reference: piece.reference && {
      ...piece.reference,
      picture: this.names.asset(piece.reference.picture),
    },
    ...(piece.status === undefined ? {} : { status: this.status(piece.status) }),
  });

  condition = (when: Condition): Condition =>
    Object.fromEntries(Object.entries(when).map(([id, values]) => [this.names.theme(id), values]));

  /** What a token says, with the tokens it takes it or parts of it from. */
  private inside(value: Token["value"]): Token["value"];
  private inside(value: unknown): unknown;
  private inside(value: unknown): unknown {
    if (typeof value !== "object" || value === null) return value;
    if (isBound(value)) return { token: this.names.token(value.token) };
    if ("alias" in value && typeof value.alias === "string")
      return { alias: this.names.token(value.alias) };
    if (Array.isArray(value)) return value.map((item: unknown) => this.inside(item));
    const entries = Object.entries(value);
    return Object.fromEntries(entries.map(([key, v]) => [key, this.inside(v)]));
  }

  token = (token: Token): Token => ({
    ...token,
    id: this.names.token(token.id),
    value: this.inside(token.value),
    ...(token.looks
      ? {
          looks: mapValues(token.looks, (look) => ({
            ...look,
            when: this.condition(look.when),
            value: this.inside(look.value),
          })),
        }
      : {}),
  });

  group = (group: TokenGroup): TokenGroup => ({ ...group, id: this.names.group(group.id) });
  theme = (theme: Theme): Theme => ({ ...theme, id: this.names.theme(theme.id) });
  asset = (asset: Asset): Asset => ({ ...asset, id: this.names.asset(asset.id) });
}
