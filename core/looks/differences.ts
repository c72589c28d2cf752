import { childrenOf } from "./tree";
import { originOf } from "./cascade";
import type { Named } from "./tokens";
import type { Id } from "../basics";
import { ROOT } from "../project";
import type { Layer, Piece, Project, Variant } from "../project";
import { OPTION, TRAIT, choiceText, isBound, labelOf, showValue } from "../properties";
import type { SpecifiedValue } from "../properties";
import { looksWords } from "./words";

/** A property in which a layer differs between two variants. */
export interface Difference {
  readonly layer: Layer;
  readonly key: string;
  readonly from: SpecifiedValue | undefined;
  readonly to: SpecifiedValue | undefined;
}

/**
 * In what two variants differ, in the order of the tree from front to back, then of the registry.
 */
export const differencesBetween = (
  named: Named,
  piece: Piece,
  a: Variant,
  b: Variant,
): Difference[] => {
  const out: Difference[] = [];
  const visit = (id: Id) => {
    const layer = piece.layers[id];
    if (!layer) return;
    const keys = new Set(
      Object.values(piece.looks).flatMap((l) => Object.keys(l.changes[id] ?? {})),
    );
    for (const key of keys) {
      const from = originOf(named, piece, a, layer, key).value;
      const to = originOf(named, piece, b, layer, key).value;
      if (JSON.stringify(from) !== JSON.stringify(to)) out.push({ layer, key, from, to });
    }
    for (const child of [...(childrenOf(piece).get(id) ?? [])].reverse()) visit(child.id);
  };
  visit(ROOT);
  return out;
};

/** A value in words for a sentence. */
const words = (project: Project, key: string, said: SpecifiedValue | undefined): string => {
  if (said === undefined) return looksWords.noOwnValue;
  if (isBound(said)) return project.tokens[said.token]?.name ?? looksWords.deletedToken;
  if (typeof said === "string" && (key === "icon" || key === "picture"))
    return project.assets[said]?.name ?? "none";
  if (typeof said === "string" && key === "text") return `“${said}”`;
  if (typeof said === "string") return choiceText(key, said);
  return showValue(said);
};

/**
 * A difference as a sentence part: "Knob: x from 4 to 32". What has no words of its own is called
 * changed.
 */
export const differenceText = (project: Project, d: Difference): string => {
  if (d.key === "visible") return looksWords.is(d.layer.name, d.to !== false);
  if (d.key === "shape") return looksWords.differentShape(d.layer.name);
  if (d.key.startsWith(TRAIT) || d.key.startsWith(OPTION))
    return looksWords.setDifferently(d.layer.name);
  return looksWords.fromTo(
    d.layer.name,
    labelOf(d.key) ?? d.key,
    words(project, d.key, d.from),
    words(project, d.key, d.to),
  );
};
