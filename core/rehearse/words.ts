import type { Id } from "../basics";
import { keyName } from "../describe";
import { componentsAt, overlayOf } from "../machine";
import { ROOT } from "../project";
import type { Piece, Project, Step } from "../project";
import { labelOf } from "../properties";

/** Why a step of a rehearsal failed, as people read it. */
export const rehearseWords = {
  // rehearse.ts
  tabKeyFindsNothing: "the Tab key finds nothing to focus",
  layerNotVisible: "the layer is not visible",
  neverSettles: "it never settles",
  copyNotVisible: "that copy is not visible",
  is: (trait: string | undefined, value: string | undefined) =>
    trait === undefined ? "the trait is deleted" : `${trait} is ${value ?? "deleted"}`,
  visible: (name: undefined | string) => `${name ?? "another screen"} is visible`,
  nothingVisible: "nothing is visible",
  textVisible: "the text is visible",
  textNotVisible: "the text is not visible",
  itIs: (value: string | null) => `it is ${value ?? "another value"}`,
};

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
      names.push(part === ROOT ? "the whole piece" : (layer?.name ?? "a deleted layer"));
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
  return `${at ? `${pathText(project, piece, at)}: ` : ""}${t?.name ?? "a deleted trait"} is ${t?.values[value]?.name ?? "a deleted value"}`;
};

const ms = (n: number): string => `${Math.round(n)} ms`;

/** How far a drag goes, in words: "40 px left, 8 px down". */
const wayText = ([across, down]: readonly [number, number]): string => {
  const dx = Math.round(across);
  const dy = Math.round(down);
  const parts = [
    dx ? `${Math.abs(dx)} px ${dx < 0 ? "left" : "right"}` : "",
    dy ? `${Math.abs(dy)} px ${dy < 0 ? "up" : "down"}` : "",
  ];
  return parts.filter(Boolean).join(", ") || "nowhere";
};

type StepKind = Step["do"];
type StepOf<K extends StepKind> = Extract<Step, { readonly do: K }>;
type StepWords<K extends StepKind> = (step: StepOf<K>, names: Names) => string;

/** Calls what a step is about by its name. */
class Names {
  constructor(
    private readonly project: Project,
    private readonly piece: Piece,
  ) {}

  layer(path: string): string {
    return pathText(this.project, this.piece, path);
  }
  screen(id: Id): string {
    return this.project.pieces[id]?.name ?? "a deleted screen";
  }
  value({ at, trait, value }: { at: string; trait: Id; value: Id }): string {
    return valueName(this.project, this.piece, at, trait, value);
  }
}

const layerWords: StepWords<"layer"> = ({ layer, key, value, within }, names) => {
  if (key === "visible")
    return `expect ${names.layer(layer)} to be ${value ? "visible" : "hidden"}`;
  const about = typeof value === "number" && within > 0 ? ` ± ${within}` : "";
  return `expect the ${labelOf(key) ?? key} of ${names.layer(layer)} to be ${simpleText(value)}${about}`;
};

const stepWords: { readonly [K in StepKind]: StepWords<K> } = {
  point: ({ layer }, names) =>
    layer === null ? "move the pointer away" : `move the pointer to ${names.layer(layer)}`,
  press: () => "press",
  release: () => "release",
  click: ({ layer }, names) => `click ${names.layer(layer)}`,
  tap: ({ layer }, names) => `tap ${names.layer(layer)}`,
  drag: (step, names) => `drag ${names.layer(step.layer)} ${wayText(step.by)} in ${ms(step.ms)}`,
  key: ({ key }) => `press ${keyName(key)}`,
  fill: ({ layer, text }, names) =>
    text === "" ? `clear ${names.layer(layer)}` : `enter “${text}” in ${names.layer(layer)}`,
  tab: ({ back }) => (back ? "press Shift+Tab" : "press Tab"),
  focus: ({ layer }, names) => (layer === null ? "remove focus" : `focus ${names.layer(layer)}`),
  wait: (step) => `wait ${ms(step.ms)}`,
  scroll: ({ layer, by }, names) => `scroll ${names.layer(layer)} by ${by} px`,
  answer: ({ well }) => `make forms ${well ? "succeed" : "fail"} from here`,
  settle: () => "wait until motion settles",
  show: (step, names) => `set ${names.value(step)}`,
  trait: (step, names) => `expect ${names.value(step)}`,
  text: ({ text, shown }) => `expect “${text}” to be ${shown ? "visible" : "not visible"}`,
  screen: ({ screen }, names) => `expect to be on ${names.screen(screen)}`,
  layer: layerWords,
};

/** A step as a sentence. */
export const stepText = (project: Project, piece: Piece, step: Step): string => {
  // the table has each kind's words under its name; several kinds share a form of step
  const words = stepWords[step.do] as (step: Step, names: Names) => string;
  return words(step, new Names(project, piece));
};

/** Whether a step expects something, and does nothing itself. */
export const expects = (step: Step): boolean =>
  ["trait", "text", "layer", "screen"].includes(step.do);
