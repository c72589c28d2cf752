import type { Id } from "../basics";
import { conditionText } from "../looks";
import {
  brokenRule,
  componentsAt,
  overlayOf,
  resolveNumbers,
  troubleText,
  usualDrag,
} from "../machine";
import type { MachineEvent, Path } from "../machine";
import { lengthOf, swingOf } from "../motion";
import type {
  Easing,
  Effect,
  EffectOf,
  EffectType,
  Motion,
  Piece,
  Project,
  Rule,
  Trait,
  TraitTarget,
  TriggerType,
} from "../project";
import type { SpecifiedValue } from "../properties";

const triggerWords: Readonly<Record<TriggerType, string>> = {
  click: "is clicked",
  double: "is double-clicked",
  press: "is pressed",
  release: "is released",
  hold: "is held",
  enter: "gets the pointer",
  leave: "loses the pointer",
  hover: "is hovered",
  focus: "gets focus",
  blur: "loses focus",
  key: "gets a key press",
  signal: "sends",
  delay: "has waited",
  settled: "settles",
  drag: "is dragged",
  played: "starts playing",
  paused: "is paused",
  reached: "reaches",
  ended: "ends",
  typed: "is edited",
  sent: "is submitted",
  succeeded: "is submitted successfully",
  failed: "fails to submit",
  seen: "scrolls into view",
};

export const triggerText = (type: TriggerType): string => triggerWords[type];

const short = (n: number): number => Math.round(n * 100) / 100;

/** A curve in words: "ease-out", "spring, 24 % bounce", "cubic Bézier 0.3 0 0.2 1". */
export const easingText = (easing: Easing): string => {
  if (typeof easing === "string") return easing;
  if (!("kind" in easing)) return `cubic Bézier ${easing.map(short).join(" ")}`;
  switch (easing.kind) {
    case "steps":
      return `${easing.count} steps`;
    case "bounce":
      return `bounce, ${easing.times} times`;
    case "windup":
      return "wind up";
    case "spring": {
      const b = swingOf(easing).bounciness;
      return b > 0.005 ? `spring, ${Math.round(b * 100)} % bounce` : "spring, no bounce";
    }
  }
};

/** A motion in words: "tween 200 ms ease-in-out". */
export const motionText = (m: Motion): string =>
  m.kind === "cut"
    ? "cut"
    : `${m.kind}${m.to ? ` ${m.to}` : ""} ${Math.round(lengthOf(m))} ms ${easingText(m.easing)}${m.delay ? ` after ${Math.round(m.delay)} ms` : ""}${m.lanes?.length ? `, ${m.lanes.length} lane${m.lanes.length === 1 ? "" : "s"}` : ""}`;

const targetText = (trait: Trait | undefined, to: TraitTarget): string => {
  if (!trait) {
    return "set a deleted trait";
  }
  return "value" in to
    ? `${trait.name} becomes ${trait.values[to.value]?.name ?? "a deleted value"}`
    : `${trait.name} becomes the ${to.step} value`;
};

/** What an option is given, in words. */
const valueText = (project: Project, value: SpecifiedValue): string => {
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (typeof value !== "string")
    return typeof value === "object" && "token" in value
      ? (project.tokens[value.token]?.name ?? "a deleted token")
      : "a fill";
  return (
    project.pieces[value]?.name ??
    project.assets[value]?.name ??
    (value.startsWith("#") || value === "none" ? value : `“${value}”`)
  );
};

const screenName = (project: Project, id: Id): string =>
  project.pieces[id]?.name ?? "a deleted screen";

const layerName = (piece: Piece, id: Id, gone: string): string => piece.layers[id]?.name ?? gone;

/** What the components that can stand in a copy have of something, in words. */
const ofCopy = <T>(project: Project, piece: Piece, copy: Id, find: (c: Piece) => T | undefined) =>
  componentsAt(project, piece, copy)
    .map(find)
    .find((found) => found !== undefined);

type EffectWords<K extends EffectType> = (
  effect: EffectOf<K>,
  piece: Piece,
  project: Project,
) => string;

const effectWords: { readonly [K in EffectType]: EffectWords<K> } = {
  set: ({ trait, to }, piece) => targetText(piece.traits[trait], to),
  nested: ({ layer, trait, to }, piece, project) => {
    const found = ofCopy(project, piece, layer, (c) => c.traits[trait]);
    return `in ${layerName(piece, layer, "a deleted copy")} ${targetText(found, to)}`;
  },
  option: ({ layer, option, value }, piece, project) => {
    const found = ofCopy(project, piece, layer, (c) => c.options[option]);
    const name = found?.name ?? "a deleted option";
    return `in ${layerName(piece, layer, "a deleted copy")} ${name} becomes ${valueText(project, value)}`;
  },
  go: ({ screen }, _piece, project) => `go to ${screenName(project, screen)}`,
  back: () => "go back",
  open: ({ screen }, _piece, project) => `show ${screenName(project, screen)} as overlay`,
  close: () => "close the overlay",
  clip: ({ layer, act }, piece) =>
    `${act === "turn" ? "toggle play and pause of" : act} ${layerName(piece, layer, "a deleted clip")}`,
  seek: (effect, piece, project) =>
    `move ${layerName(piece, effect.layer, "a deleted clip")} to ${resolveNumbers(project, effect).ms} ms`,
  stir: () => "animate lanes only",
  scroll: ({ layer }, piece) => `scroll to ${layerName(piece, layer, "a deleted layer")}`,
  empty: () => "reset the form",
  raise: ({ signal }, piece) => `send ${piece.signals[signal]?.name ?? "a deleted signal"}`,
  address: ({ to }) => `open ${to}`,
};

const wordsFor = <K extends EffectType>(effect: EffectOf<K>): EffectWords<K> =>
  effectWords[effect.type];

/** An effect in words: "Pressed becomes yes". */
export const effectText = (project: Project, piece: Piece, effect: Effect): string =>
  wordsFor(effect)(effect, piece, project);

/** What a rule listens for, in words: "is held for 500 ms", "gets the Enter key", "sends middle". */
const listenText = (project: Project, piece: Piece, { trigger: said, source }: Rule): string => {
  const trigger = resolveNumbers(project, said);
  if (trigger.type === "hold") return `is held for ${trigger.ms ?? 0} ms`;
  if (trigger.type === "drag" && trigger.way === "free")
    return `is dragged freely ${trigger.direction ?? usualDrag.direction}${trigger.direction === "any" ? "where" : ""} ${trigger.travel ?? usualDrag.travel} px`;
  if (trigger.type === "drag")
    return `is dragged ${trigger.direction ?? usualDrag.direction}${trigger.direction === "any" ? "where" : ""} ${trigger.travel ?? usualDrag.travel} px`;
  if (trigger.type === "reached") return `reaches ${trigger.ms ?? 0} ms`;
  if (trigger.type === "key") return `gets the ${keyName(trigger.key ?? "?")} key`;
  if (trigger.type === "signal")
    return `sends ${
      componentsAt(project, piece, source ?? "")
        .map((c) => c.signals[trigger.signal ?? ""]?.name)
        .find(Boolean) ?? "a deleted signal"
    }`;
  return triggerText(trigger.type);
};

/** A key by a name one can read. */
export const keyName = (key: string): string => {
  if (key === " ") {
    return "Space";
  }
  return key.length === 1 ? key.toUpperCase() : key.replace(/^Arrow/, "Arrow ");
};

/** What a rule waits for, as the beginning of its sentence. */
const headText = (project: Project, piece: Piece, rule: Rule): string => {
  if (rule.trigger.type === "delay")
    return `After ${resolveNumbers(project, rule.trigger).ms ?? 0} ms`;
  if (rule.trigger.type === "settled") return "When the piece settles";
  const source =
    rule.source === null
      ? "the whole piece"
      : (piece.layers[rule.source]?.name ?? "a deleted layer");
  return `When ${source} ${listenText(project, piece, rule)}`;
};

/** What a rule heard, in a word of the log. */
const heardText = (project: Project, piece: Piece, rule: Rule, trigger: string): string => {
  if (rule.trigger.type === "key") return `key ${keyName(rule.trigger.key ?? "")}`;
  return rule.trigger.type === "signal" ? listenText(project, piece, rule) : trigger;
};

/** A rule as one sentence. */
export const ruleText = (project: Project, piece: Piece, rule: Rule): string => {
  const when = conditionText(piece, rule.when);
  const head = headText(project, piece, rule);
  const effects =
    rule.effects.map((e) => effectText(project, piece, e)).join(", ") || "no effect yet";
  return `${head}${when ? `, while ${when}` : ""} → ${effects}${rule.undo ? ", reverts when it ends" : ""}, ${motionText(rule.motion)}${rule.undo && rule.back ? `, return ${motionText(rule.back)}` : ""}`;
};

/** A line of Try's log. */
export interface LogLine {
  readonly at: number;
  readonly text: string;
  readonly tone: "plain" | "quiet" | "warn";
}

const pieceAt = (project: Project, event: MachineEvent, path: Path): Piece | undefined => {
  const parts = path.split("/");
  let piece = project.pieces[parts[0] ?? event.state.screen];
  for (const part of parts.slice(1)) {
    const over = overlayOf(part);
    if (over !== null) {
      piece = project.pieces[over];
      continue;
    }
    const id =
      piece &&
      Object.values(piece.looks)
        .map((l) => l.changes[part]?.component)
        .find((c) => typeof c === "string");
    piece = typeof id === "string" ? project.pieces[id] : undefined;
  }
  return piece;
};

/** The layer names along a path, without the shown piece: "Dock alerts › Track". */
const placeText = (project: Project, path: Path): string => {
  const parts = path.split("/");
  const names: string[] = [];
  let piece = project.pieces[parts[0] ?? ""];
  for (const part of parts.slice(1)) {
    const over = overlayOf(part);
    if (over !== null) {
      piece = project.pieces[over];
      if (piece) names.push(piece.name);
      continue;
    }
    const layer = piece?.layers[part];
    if (!layer) break;
    if (layer.parent !== null) names.push(layer.name);
    const id =
      piece &&
      Object.values(piece.looks)
        .map((l) => l.changes[part]?.component)
        .find((c) => typeof c === "string");
    piece = typeof id === "string" ? project.pieces[id] : undefined;
  }
  return names.join(" › ");
};

type Of<K extends MachineEvent["type"]> = Extract<MachineEvent, { type: K }>;
type Sets = readonly { readonly trait: Id; readonly to: Id }[];

/** The words of one moment: what is named is looked up as it is then. */
class Moment {
  constructor(
    readonly project: Project,
    readonly event: MachineEvent,
  ) {}

  piece(path: Path): Piece | undefined {
    return pieceAt(this.project, this.event, path);
  }

  within(path: Path): string {
    const place = placeText(this.project, path);
    return place ? `${place}: ` : "";
  }

  sets(path: Path, list: Sets): string {
    const traits = this.piece(path)?.traits ?? {};
    const words = list.map(({ trait, to }) => {
      const found = traits[trait];
      return `${found?.name ?? "?"} ${found?.values[to]?.name ?? "?"}`;
    });
    return words.join(", ") || "nothing changed";
  }

  rule(path: Path, id: Id): string {
    const piece = this.piece(path);
    const rule = piece?.rules[id];
    return piece && rule ? `“${ruleText(this.project, piece, rule)}”` : "a rule";
  }

  layer(path: Path, id: Id): string {
    return this.piece(path)?.layers[id]?.name ?? "?";
  }

  screen(id: Id): string {
    return this.project.pieces[id]?.name ?? "?";
  }
}

const firedText = (m: Moment, event: Of<"fired">): string => {
  const piece = m.piece(event.path);
  const rule = piece?.rules[event.rule];
  const inner = event.inner.map(
    (i) => `${placeText(m.project, i.path)}: ${m.sets(i.path, i.sets)}`,
  );
  const end = ` · ${motionText(event.motion)}`;
  if (!piece || !rule) return `${m.within(event.path)}${event.trigger} → ${inner.join(", ")}${end}`;
  const source = rule.source ? `${m.layer(event.path, rule.source)} ` : "";
  const isSetting = rule.effects.some((e) => e.type === "set");
  const others = rule.effects.filter((e) => e.type !== "set" && e.type !== "nested");
  const did = [
    ...(isSetting ? [m.sets(event.path, event.sets)] : []),
    ...inner,
    ...others.map((e) => effectText(m.project, piece, e)),
  ];
  const heard = heardText(m.project, piece, rule, event.trigger);
  return `${m.within(event.path)}${source}${heard} → ${did.join(", ")}${end}`;
};

const sentText = (m: Moment, event: Of<"sending">): string => {
  const fields = event.fields.map((f) => `${m.layer(event.path, f.layer)} “${f.text}”`);
  return `${m.within(event.path)}submitted: ${fields.join(", ") || "nothing"}`;
};

const silent = (): null => null;

/** What is said of each kind of event: null for what is not worth a line. */
const eventTexts: {
  readonly [K in MachineEvent["type"]]: (m: Moment, event: Of<K>) => string | null;
} = {
  fired: firedText,
  lost: (m, event) =>
    `${m.within(event.path)}${m.rule(event.path, event.rule)} did not run: ${m.rule(event.path, event.to)} wins`,
  undone: (m, event) => `${m.within(event.path)}${m.sets(event.path, event.sets)} · reverted`,
  shown: (m, event) => `${m.within(event.path)}${m.sets(event.path, event.sets)} · set by you`,
  filled: (m, event) =>
    `${m.within(event.path)}${m.layer(event.path, event.layer)} edited: “${event.text}”`,
  sending: sentText,
  clip: (m, event) => `${m.within(event.path)}${m.layer(event.path, event.layer)} ${event.what}`,
  opened: (m, event) => `${m.screen(event.screen)} opened as an overlay`,
  closed: (m, event) => `${m.screen(event.screen)} closed`,
  navigated: (m, event) => `now on ${m.screen(event.to)}`,
  loop: (m, event) =>
    `endless loop stopped: ${event.rules.map((r) => m.rule(r.path, r.rule)).join("; ")}`,
  leftPressed: () => "no click: the pointer left before release",
  signalled: (m, event) =>
    `${m.within(event.path)}sends ${m.piece(event.path)?.signals[event.signal]?.name ?? "?"}`,
  address: (m, event) => `${m.within(event.path)}would open ${event.to}`,
  dropped: (m, event) =>
    event.done ? null : `${m.within(event.path)}drag cancelled: released too early`,
  missed: silent,
  dragging: silent,
  scrolled: silent,
  scrollTo: silent,
};

const tones: Readonly<Partial<Record<MachineEvent["type"], LogLine["tone"]>>> = {
  lost: "warn",
  loop: "warn",
  leftPressed: "warn",
  shown: "quiet",
  filled: "quiet",
  clip: "quiet",
  signalled: "quiet",
  address: "quiet",
  dropped: "quiet",
};

/** What happened, in words; null for what is not worth a line. */
export const eventText = (project: Project, event: MachineEvent): LogLine | null => {
  const { type, at } = event;
  // the table has each kind's own function under its name
  const words = eventTexts[type] as (m: Moment, event: MachineEvent) => string | null;
  const text = words(new Moment(project, event), event);
  return text === null ? null : { at, text, tone: tones[type] ?? "plain" };
};

/** A rule's trouble as a short sentence for the rule list; null when it works. */
export const ruleTrouble = (project: Project, piece: Piece, rule: Rule): string | null => {
  const reason = brokenRule(project, piece, rule);
  return reason && `Does not work: ${troubleText(reason)}.`;
};
