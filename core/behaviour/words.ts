import { conditionText } from "../looks/variants";
import type { Easing, Effect, Motion, Piece, Project, Rule, TriggerType } from "../project/types";
import { brokenRule } from "./piece";
import type { Happening, Path } from "./types";

const triggerWords: Readonly<Record<TriggerType, string>> = {
  click: "is clicked", press: "is pressed", release: "is released", enter: "is entered", leave: "is left", hover: "is hovered", delay: "has waited",
};

export const triggerText = (type: TriggerType): string => triggerWords[type];

const easingText = (easing: Easing): string => (typeof easing === "string" ? easing : `bézier ${easing.map((n) => Math.round(n * 100) / 100).join(" ")}`);

/** A motion in words: "tween 200 ms ease-in-out". */
export const motionText = (m: Motion): string =>
  m.kind === "cut" ? "cut" : `${m.kind} ${Math.round(m.duration)} ms ${easingText(m.easing)}${m.delay ? ` after ${Math.round(m.delay)} ms` : ""}`;

/** An effect in words: "Pressed becomes yes". */
export const effectText = (project: Project, piece: Piece, effect: Effect): string => {
  if (effect.type === "go") return `go to ${project.pieces[effect.screen]?.name ?? "a removed screen"}`;
  if (effect.type === "back") return "go back";
  const trait = piece.traits[effect.trait];
  if (!trait) return "a removed trait changes";
  return "value" in effect.to ? `${trait.name} becomes ${trait.values[effect.to.value]?.name ?? "a removed value"}` : `${trait.name} becomes the ${effect.to.step}`;
};

/** A rule as one sentence. */
export const ruleText = (project: Project, piece: Piece, rule: Rule): string => {
  const source = rule.source === null ? "the whole piece" : (piece.layers[rule.source]?.name ?? "a removed layer");
  const when = conditionText(piece, rule.when);
  const head = rule.trigger.type === "delay" ? `After ${rule.trigger.ms ?? 0} ms` : `When ${source} ${triggerText(rule.trigger.type)}`;
  const effects = rule.effects.map((e) => effectText(project, piece, e)).join(", ") || "nothing yet";
  return `${head}${when ? `, while ${when}` : ""} → ${effects}${rule.undo ? ", undone when it ends" : ""}, ${motionText(rule.motion)}`;
};

/** A line of Try's log. */
export interface LogLine { readonly at: number; readonly text: string; readonly tone: "plain" | "quiet" | "warn" }

const pieceAt = (project: Project, h: Happening, path: Path): Piece | undefined => {
  const parts = path.split("/");
  let piece = project.pieces[parts[0] ?? h.state.screen];
  for (const part of parts.slice(1)) {
    const id = piece && Object.values(piece.looks).map((l) => l.changes[part]?.component).find((c) => typeof c === "string");
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
    const layer = piece?.layers[part];
    if (!layer) break;
    if (layer.parent !== null) names.push(layer.name);
    const id = piece && Object.values(piece.looks).map((l) => l.changes[part]?.component).find((c) => typeof c === "string");
    piece = typeof id === "string" ? project.pieces[id] : undefined;
  }
  return names.join(" › ");
};

/** What happened, in words; null for what is not worth a line. */
export const happeningText = (project: Project, h: Happening): LogLine | null => {
  const line = (text: string, tone: LogLine["tone"] = "plain"): LogLine => ({ at: h.at, text, tone });
  const sets = (path: Path, list: readonly { trait: string; from: string; to: string }[]): string => {
    const piece = pieceAt(project, h, path);
    return list.map((s) => `${piece?.traits[s.trait]?.name ?? "?"} ${piece?.traits[s.trait]?.values[s.to]?.name ?? "?"}`).join(", ") || "no change";
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
      return line(`${within(h.path)}${source}${h.trigger} → ${rule?.effects.some((e) => e.type === "set") ? sets(h.path, h.sets) : "next screen"} · ${motionText(h.motion)}`);
    }
    case "lost": return line(`${within(h.path)}lost: ${named(h.path, h.rule)} to ${named(h.path, h.to)}`, "warn");
    case "undone": return line(`${within(h.path)}${sets(h.path, h.sets)} · undone`);
    case "shown": return line(`${within(h.path)}${sets(h.path, h.sets)} · by hand`, "quiet");
    case "went": return line(`now on ${project.pieces[h.to]?.name ?? "?"}`);
    case "loop": return line(`a loop without end, stopped: ${h.rules.map((r) => named(r.path, r.rule)).join("; ")}`, "warn");
    case "leftPressed": return line("no release: the pointer had left", "warn");
    case "missed": return null;
  }
};

/** A rule's trouble as a short sentence for the rule list; null when it works. */
export const ruleTrouble = (project: Project, piece: Piece, rule: Rule): string | null => {
  const reason = brokenRule(project, piece, rule);
  return reason && `Does nothing: ${reason}.`;
};
