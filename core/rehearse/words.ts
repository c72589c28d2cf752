import type { Id } from "../basics";
import { keyName } from "../describe";
import { componentsAt, overlayOf } from "../machine";
import { ROOT } from "../project";
import type { Piece, Project, Step } from "../project";
import { labelOf } from "../properties";

export const isSimple = (value: unknown): value is string | number | boolean =>
  ["string", "number", "boolean"].includes(typeof value);

/** A yes or no, a number or a text as it is said. */
export const simpleText = (value: string | number | boolean): string => {
  if (typeof value === "boolean") return value ? "yes" : "no";
  return String(value);
};

/** Follows a path of copies from a piece; the last part may be a layer. */
const follow = (
  project: Project,
  piece: Piece | undefined,
  path: string,
): { names: string[]; piece: Piece | undefined } => {
  const names: string[] = [];
  let at = piece;
  for (const part of path === "" ? [] : path.split("/")) {
    const over = overlayOf(part);
    if (over !== null) {
      at = project.pieces[over];
      if (at) names.push(at.name);
      continue;
    }
    const layer = at?.layers[part];
    if (part !== ROOT || names.length === 0)
      names.push(part === ROOT ? "the whole piece" : (layer?.name ?? "a removed layer"));
    at = at && layer?.kind === "instance" ? componentsAt(project, at, part)[0] : at;
  }
  return { names, piece: at };
};

/** A layer's path in words: "Switch › Knob". */
export const pathText = (project: Project, piece: Piece, path: string): string =>
  follow(project, piece, path).names.join(" › ") || "the whole piece";

/** The piece a copy's path leads to. */
export const pieceAtPath = (project: Project, piece: Piece, at: string): Piece | undefined =>
  follow(project, piece, at).piece;

const valueName = (project: Project, piece: Piece, at: string, trait: Id, value: Id): string => {
  const t = pieceAtPath(project, piece, at)?.traits[trait];
  return `${at ? `${pathText(project, piece, at)}: ` : ""}${t?.name ?? "a removed trait"} is ${t?.values[value]?.name ?? "a removed value"}`;
};

const ms = (n: number): string => `${Math.round(n)} ms`;

/** A step as a sentence. */
export const stepText = (project: Project, piece: Piece, step: Step): string => {
  const layer = (path: string) => pathText(project, piece, path);
  switch (step.do) {
    case "point":
      return step.layer === null
        ? "move the pointer off it"
        : `move the pointer to ${layer(step.layer)}`;
    case "press":
      return "press";
    case "release":
      return "let go";
    case "click":
      return `click ${layer(step.layer)}`;
    case "tap":
      return `tap ${layer(step.layer)} with a finger`;
    case "drag": {
      const dx = Math.round(step.by[0]);
      const dy = Math.round(step.by[1]);
      return `drag ${layer(step.layer)} ${[dx && `${Math.abs(dx)} px ${dx < 0 ? "left" : "right"}`, dy && `${Math.abs(dy)} px ${dy < 0 ? "up" : "down"}`].filter(Boolean).join(", ") || "nowhere"} in ${ms(step.ms)}`;
    }
    case "key":
      return `press the key ${keyName(step.key)}`;
    case "tab":
      return step.back ? "go back with Shift and Tab" : "go on with Tab";
    case "focus":
      return step.layer === null ? "take the focus away" : `go to ${layer(step.layer)} by keyboard`;
    case "wait":
      return `wait ${ms(step.ms)}`;
    case "scroll":
      return `scroll ${layer(step.layer)} by ${step.by} px`;
    case "answer":
      return `let forms ${step.well ? "succeed" : "fail"} from now on`;
    case "settle":
      return "wait until nothing moves";
    case "show":
      return `switch by hand: ${valueName(project, piece, step.at, step.trait, step.value)}`;
    case "trait":
      return `expect that ${valueName(project, piece, step.at, step.trait, step.value)}`;
    case "text":
      return `expect that “${step.text}” ${step.shown ? "can be read" : "cannot be read"}`;
    case "screen":
      return `expect to be on ${project.pieces[step.screen]?.name ?? "a removed screen"}`;
    case "layer": {
      if (step.key === "visible")
        return `expect that ${layer(step.layer)} is ${step.value ? "there" : "gone"}`;
      const label = labelOf(step.key) ?? step.key;
      return `expect that the ${label} of ${layer(step.layer)} is ${simpleText(step.value)}${typeof step.value === "number" && step.within > 0 ? ` ± ${step.within}` : ""}`;
    }
  }
};

/** Whether a step expects something, and does nothing itself. */
export const expects = (step: Step): boolean =>
  ["trait", "text", "layer", "screen"].includes(step.do);
