import { layout } from "../../layout";
import type { LayoutEnv } from "../../layout";
import {
  Resolver,
  inTheme,
  otherThemes,
  restOf,
  themeText,
  traitsOf,
  variantsOf,
} from "../../looks";
import type { ComputedLayer } from "../../looks";
import { paint } from "../../paint";
import { same } from "../../project";
import type { Piece, Project, Variant } from "../../project";
import { made } from "../differences";
import type { Difference } from "../differences";
import { systemWords } from "../words";
import type { Pair } from "./face";

/** The variant of a later edition that one of an earlier one has become; null where it is gone. */
export const variantNow = (after: Piece, before: Variant): Variant | null => {
  const now: Record<string, string> = {};
  for (const trait of traitsOf(after)) {
    const was = before[trait.id];
    if (was !== undefined && !trait.values[was]) return null;
    now[trait.id] = was ?? restOf(trait);
  }
  return now;
};

const isShown = ({ values }: ComputedLayer): boolean => values.visible && values.opacity > 0;

/** The texts that a tree shows, and what of it is told to assistive technology. */
interface Words {
  readonly texts: readonly string[];
  readonly roles: readonly string[];
  readonly labels: readonly string[];
}

const wordsOf = (tree: ComputedLayer): Words => {
  const words: Record<keyof Words, string[]> = { texts: [], roles: [], labels: [] };
  const walk = (layer: ComputedLayer): void => {
    if (!isShown(layer)) return;
    const { id, kind } = layer.layer;
    const { text, role, label } = layer.values;
    if (kind === "text" && text) words.texts.push(text);
    if (role !== "none") words.roles.push(`${id} ${role}`);
    if (label !== "") words.labels.push(`${id} ${label}`);
    layer.children.forEach(walk);
    if (layer.nested) walk(layer.nested);
  };
  walk(tree);
  return words;
};

/** A layer and all in it, without what it says in words. */
const drawn = (layer: ComputedLayer): unknown => {
  const { text: _text, label: _label, role: _role, ...values } = layer.values;
  return [values, layer.children.map(drawn), layer.nested && drawn(layer.nested)];
};

/** Whether two trees say the same throughout. */
export const sameTree = (a: ComputedLayer, b: ComputedLayer): boolean =>
  a === b ||
  (a.layer.kind === b.layer.kind &&
    same(a.values, b.values) &&
    a.children.length === b.children.length &&
    a.children.every((child, i) => {
      const other = b.children[i];
      return other !== undefined && sameTree(child, other);
    }) &&
    (a.nested && b.nested ? sameTree(a.nested, b.nested) : a.nested === b.nested));

/** In what a variant differs. */
interface Seen {
  readonly looks: boolean;
  readonly size: boolean;
  readonly text: boolean;
  readonly role: boolean;
  readonly spoken: boolean;
}

const nothing: Seen = { looks: false, size: false, text: false, role: false, spoken: false };

const compareTrees = (env: LayoutEnv, a: ComputedLayer, b: ComputedLayer): Seen => {
  if (sameTree(a, b)) return nothing;
  const [before, after] = [layout(env, a), layout(env, b)];
  const [was, is] = [wordsOf(a), wordsOf(b)];
  const isPainted = !same(paint(before), paint(after));
  const said = {
    text: isPainted && !same(was.texts, is.texts),
    role: !same(was.roles, is.roles),
    spoken: !same(was.labels, is.labels),
  };
  const isSaid = said.text || said.role || said.spoken;
  return {
    ...said,
    looks: isPainted && !(isSaid && same(drawn(a), drawn(b))),
    size: before.width !== after.width || before.height !== after.height,
  };
};

interface Side {
  readonly project: Project;
  readonly piece: Piece;
}

/** In what a piece differs in one of its variants; null where one of the two does not have it. */
const compareSeen = (
  env: LayoutEnv,
  before: Side,
  after: Side,
  variant: Variant,
  resolvers: readonly [Resolver, Resolver] = [new Resolver(), new Resolver()],
): Seen | null => {
  const now = variantNow(after.piece, variant);
  const a = resolvers[0].tree(before.project, before.piece.id, variant);
  const b = now && resolvers[1].tree(after.project, after.piece.id, now);
  return a && b ? compareTrees(env, a, b) : null;
};

const parts = ["looks", "size", "text", "role", "spoken"] as const;

const sentence = (part: (typeof parts)[number], name: string, theme: string, n: number): string => {
  const where = theme === "" ? "" : systemWords.inTheme(theme);
  return systemWords.seen[part](name, n, where);
};

/**
 * How a component looks otherwise, in which variants: each part in the first theme in which it
 * does.
 */
export const lookDifferences = (env: LayoutEnv, { before, after }: Pair): Difference[] => {
  const subject = { table: "pieces", id: before.piece.id } as const;
  const found: Difference[] = [];
  for (const theme of [{}, ...otherThemes(after.project)]) {
    const themed = (side: Side): Side => ({ ...side, project: inTheme(side.project, theme) });
    const [was, is] = [themed(before), themed(after)];
    const resolvers = [new Resolver(), new Resolver()] as const;
    const seen = variantsOf(before.piece).map((variant) => ({
      variant,
      in: compareSeen(env, was, is, variant, resolvers),
    }));
    for (const part of parts) {
      const variants = seen.filter((s) => s.in?.[part]).map((s) => s.variant);
      if (variants.length === 0 || found.some((d) => d.kind === part)) continue;
      const text = sentence(part, after.piece.name, themeText(is.project), variants.length);
      found.push(made(part, { subject, variants, theme }, text));
    }
  }
  return found;
};
