import { conditionText } from "../looks/variants";
import { lengthOf } from "../motion/timing";
import { swingOf } from "../motion/spring";
import type {
  Easing,
  Effect,
  Motion,
  Piece,
  Project,
  Rule,
  Trait,
  TraitTarget,
  TriggerType,
} from "../project/types";
import type { Said } from "../properties/types";
import { usualDrag } from "./drag";
import { brokenRule, componentsAt } from "./piece";
import { overlayOf } from "./surface";
import type { Happening, Path } from "./types";

const triggerWords: Readonly<Record<TriggerType, string>> = {
  click: "is clicked",
  double: "is clicked twice",
  press: "is pressed",
  release: "is released",
  hold: "is held",
  enter: "is entered",
  leave: "is left",
  hover: "is hovered",
  focus: "is focused",
  blur: "loses the focus",
  key: "gets a key",
  signal: "says",
  delay: "has waited",
  settled: "has settled",
  drag: "is dragged",
  played: "starts playing",
  paused: "is paused",
  reached: "has played to",
  ended: "has ended",
  typed: "is filled in",
  sent: "is sent",
  succeeded: "was sent and taken",
  failed: "could not be sent",
  seen: "comes into sight",
};

export const triggerText = (type: TriggerType): string => triggerWords[type];

const short = (n: number): number => Math.round(n * 100) / 100;

/** A curve in words: "ease-out", "spring, 24 % bouncy", "bézier 0.3 0 0.2 1". */
export const easingText = (easing: Easing): string => {
  if (typeof easing === "string") return easing;
  if (!("kind" in easing)) return `bézier ${easing.map(short).join(" ")}`;
  switch (easing.kind) {
    case "steps":
      return `in ${easing.count} steps`;
    case "bounce":
      return `bouncing ${easing.times} times`;
    case "windup":
      return "winding up";
    case "spring": {
      const b = swingOf(easing).bounciness;
      return b > 0.005 ? `spring, ${Math.round(b * 100)} % bouncy` : "spring without bounce";
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
    return "a removed trait changes";
  }
  return "value" in to
    ? `${trait.name} becomes ${trait.values[to.value]?.name ?? "a removed value"}`
    : `${trait.name} becomes the ${to.step}`;
};

/** What an option is given, in words. */
const valueText = (project: Project, value: Said): string => {
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (typeof value !== "string")
    return typeof value === "object" && "token" in value
      ? (project.tokens[value.token]?.name ?? "a removed token")
      : "a fill";
  return (
    project.pieces[value]?.name ??
    project.assets[value]?.name ??
    (value.startsWith("#") || value === "none" ? value : `“${value}”`)
  );
};

/** An effect in words: "Pressed becomes yes". */
export const effectText = (project: Project, piece: Piece, effect: Effect): string => {
  switch (effect.type) {
    case "go":
      return `go to ${project.pieces[effect.screen]?.name ?? "a removed screen"}`;
    case "back":
      return "go back";
    case "stir":
      return "stir";
    case "open":
      return `open ${project.pieces[effect.screen]?.name ?? "a removed screen"} over it`;
    case "close":
      return "close the overlay";
    case "scroll":
      return `scroll to ${piece.layers[effect.layer]?.name ?? "a removed layer"}`;
    case "empty":
      return "empty the form";
    case "clip":
      return `${effect.act === "turn" ? "play or pause" : effect.act} ${piece.layers[effect.layer]?.name ?? "a removed clip"}`;
    case "seek":
      return `go to ${effect.ms} ms of ${piece.layers[effect.layer]?.name ?? "a removed clip"}`;
    case "option": {
      const option = componentsAt(project, piece, effect.layer)
        .map((c) => c.options[effect.option])
        .find(Boolean);
      return `in ${piece.layers[effect.layer]?.name ?? "a removed copy"} ${option?.name ?? "a removed option"} becomes ${valueText(project, effect.value)}`;
    }
    case "set":
      return targetText(piece.traits[effect.trait], effect.to);
    case "nested":
      return `in ${piece.layers[effect.layer]?.name ?? "a removed copy"} ${targetText(
        componentsAt(project, piece, effect.layer)
          .map((c) => c.traits[effect.trait])
          .find(Boolean),
        effect.to,
      )}`;
    case "raise":
      return `say ${piece.signals[effect.signal]?.name ?? "a removed signal"}`;
    case "address":
      return `open ${effect.to}`;
  }
};

/** What a rule listens for, in words: "is held 500 ms", "gets the key Enter", "says middle". */
export const listenText = (project: Project, piece: Piece, { trigger, source }: Rule): string => {
  if (trigger.type === "hold") return `is held ${trigger.ms ?? 0} ms`;
  if (trigger.type === "drag")
    return `is dragged ${trigger.direction ?? usualDrag.direction}${trigger.direction === "any" ? "where" : ""} ${trigger.travel ?? usualDrag.travel} px`;
  if (trigger.type === "reached") return `has played to ${trigger.ms ?? 0} ms`;
  if (trigger.type === "key") return `gets the key ${keyName(trigger.key ?? "?")}`;
  if (trigger.type === "signal")
    return `says ${
      componentsAt(project, piece, source ?? "")
        .map((c) => c.signals[trigger.signal ?? ""]?.name)
        .find(Boolean) ?? "a removed signal"
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
  if (rule.trigger.type === "delay") return `After ${rule.trigger.ms ?? 0} ms`;
  if (rule.trigger.type === "settled") return "When the piece has settled";
  const source =
    rule.source === null
      ? "the whole piece"
      : (piece.layers[rule.source]?.name ?? "a removed layer");
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
    rule.effects.map((e) => effectText(project, piece, e)).join(", ") || "nothing yet";
  return `${head}${when ? `, while ${when}` : ""} → ${effects}${rule.undo ? ", undone when it ends" : ""}, ${motionText(rule.motion)}`;
};

/** A line of Try's log. */
export interface LogLine {
  readonly at: number;
  readonly text: string;
  readonly tone: "plain" | "quiet" | "warn";
}

const pieceAt = (project: Project, h: Happening, path: Path): Piece | undefined => {
  const parts = path.split("/");
  let piece = project.pieces[parts[0] ?? h.state.screen];
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

/** What happened, in words; null for what is not worth a line. */
export const happeningText = (project: Project, h: Happening): LogLine | null => {
  const line = (text: string, tone: LogLine["tone"] = "plain"): LogLine => ({
    at: h.at,
    text,
    tone,
  });
  const sets = (
    path: Path,
    list: readonly { trait: string; from: string; to: string }[],
  ): string => {
    const piece = pieceAt(project, h, path);
    return (
      list
        .map(
          (s) =>
            `${piece?.traits[s.trait]?.name ?? "?"} ${piece?.traits[s.trait]?.values[s.to]?.name ?? "?"}`,
        )
        .join(", ") || "no change"
    );
  };
  const within = (path: Path): string => {
    const place = placeText(project, path);
    return place ? `${place}: ` : "";
  };
  const named = (path: Path, rule: string): string => {
    const piece = pieceAt(project, h, path);
    const r = piece?.rules[rule];
    return piece && r ? `“${ruleText(project, piece, r)}”` : "a rule";
  };
  switch (h.type) {
    case "fired": {
      const piece = pieceAt(project, h, h.path);
      const rule = piece?.rules[h.rule];
      const source = rule?.source ? `${piece?.layers[rule.source]?.name ?? ""} ` : "";
      const heard = rule && piece ? heardText(project, piece, rule, h.trigger) : h.trigger;
      const did = [
        ...(rule?.effects.some((e) => e.type === "set") ? [sets(h.path, h.sets)] : []),
        ...h.inner.map((i) => `${placeText(project, i.path)}: ${sets(i.path, i.sets)}`),
        ...(piece && rule
          ? rule.effects
              .filter((e) => e.type !== "set" && e.type !== "nested")
              .map((e) => effectText(project, piece, e))
          : []),
      ];
      return line(
        `${within(h.path)}${source}${heard} → ${did.join(", ")} · ${motionText(h.motion)}`,
      );
    }
    case "lost":
      return line(
        `${within(h.path)}lost: ${named(h.path, h.rule)} to ${named(h.path, h.to)}`,
        "warn",
      );
    case "undone":
      return line(`${within(h.path)}${sets(h.path, h.sets)} · undone`);
    case "shown":
      return line(`${within(h.path)}${sets(h.path, h.sets)} · by hand`, "quiet");
    case "filled":
      return line(
        `${within(h.path)}${pieceAt(project, h, h.path)?.layers[h.layer]?.name ?? "?"} filled in: “${h.text}”`,
        "quiet",
      );
    case "sending":
      return line(
        `${within(h.path)}sent: ${h.fields.map((f) => `${pieceAt(project, h, h.path)?.layers[f.layer]?.name ?? "?"} “${f.text}”`).join(", ") || "nothing"}`,
      );
    case "clip":
      return line(
        `${within(h.path)}${pieceAt(project, h, h.path)?.layers[h.layer]?.name ?? "?"} ${h.what}`,
        "quiet",
      );
    case "opened":
      return line(`${project.pieces[h.screen]?.name ?? "?"} lies over it`);
    case "closed":
      return line(`${project.pieces[h.screen]?.name ?? "?"} closed`);
    case "went":
      return line(`now on ${project.pieces[h.to]?.name ?? "?"}`);
    case "loop":
      return line(
        `a loop without end, stopped: ${h.rules.map((r) => named(r.path, r.rule)).join("; ")}`,
        "warn",
      );
    case "leftPressed":
      return line("no release: the pointer had left", "warn");
    case "raised":
      return line(
        `${within(h.path)}says ${pieceAt(project, h, h.path)?.signals[h.signal]?.name ?? "?"}`,
        "quiet",
      );
    case "address":
      return line(`${within(h.path)}would open ${h.to}`, "quiet");
    case "dropped":
      return h.done ? null : line(`${within(h.path)}dragged, and let go too early`, "quiet");
    case "missed":
    case "dragging":
    case "scrolled":
    case "scrollTo":
      return null;
  }
};

/** A rule's trouble as a short sentence for the rule list; null when it works. */
export const ruleTrouble = (project: Project, piece: Piece, rule: Rule): string | null => {
  const reason = brokenRule(project, piece, rule);
  return reason && `Does nothing: ${reason}.`;
};
