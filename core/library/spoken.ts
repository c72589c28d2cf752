import { accessTree, attributeFor, controls, practiceFor } from "../access";
import type { AccessNode, PracticeKey } from "../access";
import type { Id } from "../basics";
import { effectText, keyName } from "../describe";
import type { LayoutEnv } from "../layout";
import { traitsOf } from "../looks";
import { rulesOf, start, step } from "../machine";
import type { State } from "../machine";
import type { Piece, Project } from "../project";
import type { Role } from "../properties";
import { Run } from "../runtime";
import { libraryWords } from "./words";

/** A key that a component hears, and what comes of it. */
export interface HeardKey {
  readonly keys: readonly string[];
  readonly does: string;
}

/** What assistive technology is told of a part of a component, and what the practice wants of it. */
export interface SpokenPart {
  readonly role: Role | "text" | "field";
  readonly name: string;
  /** the attributes of WAI-ARIA it has at rest */
  readonly states: Readonly<Record<string, string>>;
  readonly keys: readonly HeardKey[];
  /** what the practice for its role wants and is not there; the optional apart */
  readonly missing: readonly string[];
  readonly optional: readonly string[];
}

const usual = [
  "Enter",
  " ",
  "ArrowLeft",
  "ArrowRight",
  "ArrowUp",
  "ArrowDown",
  "Home",
  "End",
  "PageUp",
  "PageDown",
  "Escape",
] as const;

/** The keys that may do something in a piece. */
const keysOf = (project: Project, piece: Piece): readonly string[] => [
  ...new Set([
    ...usual,
    ...rulesOf(project, piece).flatMap((r) =>
      r.trigger.type === "key" && r.trigger.key ? [r.trigger.key] : [],
    ),
  ]),
];

/** What the rules do that a key fires while a layer has the focus. */
const heardAt = (project: Project, piece: Piece, focused: State, key: string): string => {
  const down = step(project, focused, { type: "key", key, phase: "down" });
  const up = step(project, down.state, { type: "key", key, phase: "up" });
  const texts = [...down.events, ...up.events].flatMap((event) => {
    if (event.type !== "fired") return [];
    const rule = project.pieces[event.path.split("/")[0] ?? ""]?.rules[event.rule];
    // a copy inside says what it does on its own page
    if (event.path !== piece.id || !rule) return [libraryWords.insideCopy];
    return rule.effects.map((effect) => effectText(project, piece, effect));
  });
  return [...new Set(texts)].join(", ");
};

/**
 * The states a key may be pressed in: at rest, and with each value of each trait in place of that,
 * so that a key that closes what is open is found.
 */
const situations = (project: Project, piece: Piece): readonly State[] => {
  const rest = start(project, piece.id);
  const others = traitsOf(piece).flatMap((trait) =>
    Object.keys(trait.values).map(
      (value) => step(project, rest, { type: "show", at: piece.id, trait: trait.id, value }).state,
    ),
  );
  return [rest, ...others];
};

const heardKeys = (project: Project, piece: Piece, stop: string): readonly HeardKey[] => {
  const focused = situations(project, piece).map(
    (state) => step(project, state, { type: "focus", layer: stop }).state,
  );
  const by = new Map<string, string[]>();
  for (const key of keysOf(project, piece)) {
    const does = focused.map((state) => heardAt(project, piece, state, key)).find(Boolean);
    if (does) by.set(does, [...(by.get(does) ?? []), key]);
  }
  return [...by].map(([does, keys]) => ({ keys, does }));
};

const wanting = ({ keys, does }: PracticeKey): string =>
  libraryWords.wants(keys.map(keyName).join(libraryWords.or), libraryWords.does[does]);

/** What the practice for a role wants of a part; WAI-ARIA Authoring Practices. */
const gapsOf = (
  { role, name, states }: Pick<AccessNode, "role" | "name" | "states">,
  heard: readonly HeardKey[],
): Pick<SpokenPart, "missing" | "optional"> => {
  if (role === "text" || role === "field") return { missing: [], optional: [] };
  const practice = practiceFor(role);
  const known = new Set(heard.flatMap((h) => h.keys));
  const unheard = (practice?.keys ?? []).filter((k) => !k.keys.some((key) => known.has(key)));
  const isStateless = (practice?.states ?? []).some((state) => {
    const attribute = attributeFor(role, state);
    return attribute !== null && !(attribute in states);
  });
  return {
    missing: [
      ...unheard.filter((k) => k.optional !== true).map(wanting),
      ...(isStateless ? [libraryWords.noState] : []),
      ...(controls.has(role) && name === "" ? [libraryWords.noName] : []),
    ],
    optional: unheard.filter((k) => k.optional === true).map(wanting),
  };
};

const textIn = (node: AccessNode): string =>
  node.role === "text" ? node.name : node.children.map(textIn).filter(Boolean).join(" ");

/**
 * What assistive technology is told of a component at rest, part by part, and which keys its parts
 * hear; found by running it. Empty where it says nothing.
 */
export const spokenParts = (env: LayoutEnv, project: Project, id: Id): readonly SpokenPart[] => {
  const piece = project.pieces[id];
  const run = new Run(env, project, id);
  const goal = run.goal();
  if (!piece || !goal) return [];
  const parts: SpokenPart[] = [];
  const visit = (node: AccessNode) => {
    if (node.role !== "text") {
      const name = node.name || textIn(node);
      const keys = node.stop === null ? [] : heardKeys(project, piece, node.stop);
      const { role, states } = node;
      parts.push({ role, name, states, keys, ...gapsOf({ role, name, states }, keys) });
    }
    node.children.forEach(visit);
  };
  accessTree(project, run.inside, goal.scene, (path) => goal.isFocusable(path)).forEach(visit);
  return parts;
};
