import { isOneOf, present } from "../basics";
import type { Id } from "../basics";
import { findBox } from "../layout";
import type { LayoutBox } from "../layout";
import type { Motion } from "../project";
import { labelOf } from "../properties";
import type { Value } from "../properties";
import { equal, geometry, mixableOf, sameWords } from "./boxes";
import { Mover } from "./mover";
import { motionWords } from "./words";

/**
 * A layer of a piece that a change moves, and by which of its properties; "presence" where it
 * appears or vanishes.
 */
export interface Moving {
  readonly layer: Id;
  readonly name: string;
  readonly keys: readonly string[];
}

const cut: Motion = { kind: "cut", duration: 0, delay: 0, easing: "linear" };

const layersOf = (root: LayoutBox): Map<Id, LayoutBox> => {
  const out = new Map<Id, LayoutBox>();
  const visit = (p: LayoutBox) => {
    out.set(p.layer.id, p);
    p.children.forEach(visit);
  };
  visit(root);
  return out;
};

/** What changes of what a layer holds: which component, the words on it, or something inside it. */
const contentKeys = (a: LayoutBox, b: LayoutBox): string[] => {
  if (a.values.component !== b.values.component) return ["component"];
  const isRewrapped = !sameWords(a.lines, b.lines) && equal(a.values.text, b.values.text);
  return [...(isRewrapped ? ["text"] : []), ...(a.nested !== b.nested ? ["inside"] : [])];
};

const changedKeys = (a: LayoutBox, b: LayoutBox): string[] => [
  ...geometry.filter((k) => a[k] !== b[k]),
  ...mixableOf(b)
    .filter(({ key }) => !equal(a.values[key], b.values[key]))
    .map((m) => m.key),
  ...contentKeys(a, b),
];

/**
 * The piece's own layers that differ between two of its scenes or that lanes name, in the order of
 * the tree as it is painted, front first.
 */
export const movingLayers = (from: LayoutBox, to: LayoutBox, motion: Motion): Moving[] => {
  const before = layersOf(from);
  const after = layersOf(to);
  const out: Moving[] = [];
  for (const [layer, p] of [...new Map([...before, ...after])].reverse()) {
    const a = before.get(layer);
    const b = after.get(layer);
    const said = (motion.lanes ?? []).filter((l) => l.layer === layer);
    const keys = a && b ? changedKeys(a, b) : ["presence"];
    const extra = said.flatMap((l) => (l.key !== null && !keys.includes(l.key) ? [l.key] : []));
    if (keys.length + said.length > 0)
      out.push({ layer, name: p.layer.name, keys: [...keys, ...extra] });
  }
  return out;
};

/**
 * One step of a change: to which scene, with which motion; in the copy at a path, on which screen.
 */
export interface ChangeStep {
  readonly to: LayoutBox;
  readonly motion: Motion;
  readonly within?: string;
  readonly subject?: string;
}

/** Whether layers change places in depth on the way. */
export const restacks = (from: LayoutBox, to: LayoutBox): boolean => {
  const before = new Map([...layersOf(from)].map(([id], i) => [id, i]));
  const order = [...layersOf(to).keys()].flatMap((id) => before.get(id) ?? []);
  return order.some((at, i) => i > 0 && at < present(order[i - 1]));
};

/**
 * A change that can be looked at at any moment, forwards and backwards. Its steps are all set off
 * at once, in order.
 */
export class Change {
  private mover: Mover | null = null;
  private at = 0;
  constructor(
    private readonly from: LayoutBox,
    private readonly steps: readonly ChangeStep[],
    /** the screen it begins on */ private readonly subject = "",
  ) {}

  /** What is on screen so long (ms) after it was set off. */
  frame(ms: number): LayoutBox {
    if (!this.mover || ms < this.at) {
      this.mover = new Mover();
      this.mover.retarget(this.from, cut, 0, this.subject);
      for (const { to, motion, within, subject } of this.steps)
        this.mover.retarget(to, motion, 0, subject ?? this.subject, within);
    }
    this.at = ms;
    return this.mover.sample(ms) ?? this.from;
  }

  /** The middle of a layer at even moments of a time, px of the piece: the path it takes. */
  path(layer: Id, until: number, moments: number): (readonly [number, number])[] {
    const change = new Change(this.from, this.steps, this.subject);
    return Array.from({ length: moments + 1 }, (_, i) =>
      middleOf(change.frame((until * i) / moments), layer),
    ).flatMap((p) => (p ? [p] : []));
  }
}

const middleOf = (root: LayoutBox, layer: Id): readonly [number, number] | null => {
  const found = findBox(root, layer);
  return (
    found && [found.x - root.x + found.placed.width / 2, found.y - root.y + found.placed.height / 2]
  );
};

/** The value a layer has for a lane's key in a scene; undefined where it is not there. */
export const laneValue = (scene: LayoutBox, layer: Id, key: string): Value | undefined => {
  const found = findBox(scene, layer)?.placed;
  return found && valueOfKey(found, key);
};

/** The value a placed layer has for a lane's key. */
export const valueOfKey = (found: LayoutBox, key: string): Value | undefined => {
  if (isOneOf(geometry, key)) {
    return found[key];
  }
  return key === "presence" ? found.presence : found.values[key];
};

/** What a lane's key is called. */
export const laneLabel = (key: string): string => {
  if (key === "presence") {
    return "appears";
  }
  return key === "inside" ? motionWords.contents : (labelOf(key) ?? key);
};
