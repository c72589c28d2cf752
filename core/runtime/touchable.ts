import { clipsChildren, hitTest, intersect, mapOf, mapPoint, spotBounds, unite } from "../layout";
import type { Affine, Hit, LayoutBox, Rect } from "../layout";
import { liveCopies, listeningLayers } from "../machine";
import type { ActiveInstance, Path, State } from "../machine";
import { ROOT } from "../project";
import type { Project } from "../project";
import type { Fill, LayerValues } from "../properties";

/** Shapes and boxes hide what lies beneath them from the pointer where they are filled. */
const solid: ReadonlySet<string> = new Set(["box", "ellipse", "polygon", "path", "compound"]);

export const isClear = (fill: Fill | undefined): boolean =>
  fill === undefined || fill === "none" || (typeof fill === "string" && /^#.{6}00$/.test(fill));

const hasBorder = ({ borderColour, borderWidth = 0 }: LayerValues): boolean =>
  borderWidth > 0 && !isClear(borderColour);

/** Whether one sees by itself how large a frame is. */
const isPainted = (values: LayerValues): boolean =>
  !isClear(values.fill) || hasBorder(values) || (values.shadow ?? []).length > 0;

/** Whether a layer wants the pointer for what it is, whatever rules say. */
const isMade = ({ entry = "nobody", scrolls = "no", plays = 0, sends }: LayerValues): boolean =>
  entry !== "nobody" || scrolls !== "no" || plays > 0 || sends;

const isEntry = ({ values }: LayoutBox): boolean => (values.entry ?? "nobody") !== "nobody";

/** Whether a box is painted around one entry: both are one field. */
const isField = ({ values, children }: LayoutBox): boolean =>
  isPainted(values) && children.filter(isEntry).length === 1;

/** The upright box around a box of a layer, px of where the layer's map leads. */
const boundsIn = ({ x, y, width, height }: Rect, map: Affine): Rect => {
  const corners = [
    mapPoint(map, x, y),
    mapPoint(map, x + width, y),
    mapPoint(map, x + width, y + height),
    mapPoint(map, x, y + height),
  ];
  const xs = corners.map((c) => c[0]);
  const ys = corners.map((c) => c[1]);
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return { x: left, y: top, width: Math.max(...xs) - left, height: Math.max(...ys) - top };
};

const grown = (r: Rect, by: number): Rect => ({
  x: r.x - by,
  y: r.y - by,
  width: r.width + 2 * by,
  height: r.height + 2 * by,
});

/** How a layer comes to the walk down the tree. */
interface Around {
  readonly prefix: string;
  readonly copy: ActiveInstance | undefined;
  readonly map: Affine | undefined;
  /** whether what is around it can be seen */
  readonly isSeen: boolean;
  /** whether it takes up any room */
  readonly hasRoom: boolean;
  /** whether it has any that is not cut off: what is inside it may stick out of that */
  readonly isThere: boolean;
  readonly isNever: boolean;
  /** what is cut off around it, px of the scene; null where nothing is */
  readonly clip: Rect | null;
}

/** How what is inside a layer comes to the walk, in the same piece; it is the layer's own case, too. */
const goingInto = (box: LayoutBox, around: Around): Around => {
  const { values } = box;
  const map = mapOf(box, around.map);
  const bounds = spotBounds({ width: box.width, height: box.height, map });
  const clipped = around.clip && intersect(around.clip, bounds);
  const isCutOff = clipped !== null && (clipped.width < 0 || clipped.height < 0);
  const hasRoom = around.hasRoom && values.scale[0] !== 0 && values.scale[1] !== 0;
  // what is scrolled out of sight can be scrolled to: it is not cut off
  const cuts = values.clip === true && (values.scrolls ?? "no") === "no";
  // named one by one: this is done for every layer, and a spread copy is many times slower
  return {
    prefix: around.prefix,
    copy: around.copy,
    map,
    isSeen: around.isSeen && values.opacity > 0,
    hasRoom,
    isThere: hasRoom && !isCutOff,
    isNever: values.pointer === "never" || (around.isNever && values.pointer !== "always"),
    clip: cuts ? (clipped ?? bounds) : around.clip,
  };
};

/** What a layer takes of the pointer: its shape, or what can be seen of what is in it. */
type Takes = "shape" | "union";

/**
 * What of a scene takes the pointer and can have the keyboard's focus. It is judged by the scene
 * that is being gone to, so that what fades out lets go at once; where things are is asked of what
 * is on screen.
 */
export class Touchable {
  readonly #takes = new Map<Path, Takes>();
  /** where the layers that take the pointer are */
  readonly #spots = new Map<Path, { readonly box: LayoutBox; readonly map: Affine | undefined }>();
  readonly #focusable = new Set<Path>();
  readonly #seen = new Set<Path>();
  readonly #fields = new Map<Path, Path>();
  readonly #copies: ReadonlyMap<Path, ActiveInstance>;

  constructor(
    private readonly project: Project,
    private readonly state: State,
    readonly scene: LayoutBox,
  ) {
    this.#copies = new Map(liveCopies(project, state).map((c) => [c.path, c]));
    const none = {
      prefix: "",
      map: undefined,
      isSeen: true,
      hasRoom: true,
      isThere: true,
      isNever: false,
    };
    const copy = this.#copies.get(state.screen);
    this.#visit(scene, { ...none, copy, clip: null });
  }

  /** The copies that are part of the scene. */
  get copies(): readonly ActiveInstance[] {
    return [...this.#copies.values()];
  }

  /** The layers that take the pointer. */
  get takers(): readonly Path[] {
    return [...this.#takes.keys()];
  }

  /** What a pointer at a place of the scene meets; px. */
  hit(scene: LayoutBox, x: number, y: number): Hit | null {
    return hitTest(scene, x, y, "", {
      area: (path, placed) => {
        const takes = this.#takes.get(path) ?? null;
        return takes === "union" ? this.areaOf(path, placed) : takes;
      },
    });
  }

  /** Whether a layer can be seen, and takes the pointer itself. */
  takesPointer(path: Path): boolean {
    return this.#takes.has(path);
  }

  /** The area in which a layer takes the pointer, px of its own; null where it does not. */
  areaOf(path: Path, placed: LayoutBox): Rect | null {
    const takes = this.#takes.get(path);
    if (!takes) return null;
    const whole = { x: 0, y: 0, width: placed.width, height: placed.height };
    const area = takes === "union" ? this.#union(path, placed) : whole;
    return area && grown(area, placed.values.touch);
  }

  /** The upright box around that area, px of the scene. */
  boundsOf(path: Path): Rect | null {
    const spot = this.#spots.get(path);
    const area = spot && this.areaOf(path, spot.box);
    return spot?.map && area ? boundsIn(area, spot.map) : null;
  }

  /** The box that is the field of an entry; the entry itself where none is painted around it. */
  fieldOf(path: Path): Path {
    return this.#fields.get(path) ?? path;
  }

  /** Whether the keyboard's focus can be on a layer: whether one can see it, or scroll to it. */
  isFocusable(path: Path): boolean {
    return this.#focusable.has(path);
  }

  #visit(box: LayoutBox, around: Around): void {
    const path = around.prefix + box.layer.id;
    const inside = goingInto(box, around);
    if (inside.isThere) this.#note(path, box, inside);
    for (const child of box.children) this.#visit(child, inside);
    if (!box.nested) return;
    const copy = this.#copies.get(`${this.state.screen}/${path}`);
    this.#visit(box.nested, { ...inside, prefix: `${path}/`, copy });
  }

  #note(path: Path, box: LayoutBox, { copy, map, isSeen, isNever }: Around): void {
    const isAlways = box.values.pointer === "always";
    if (isSeen) this.#seen.add(path);
    const entry = isField(box) ? box.children.find(isEntry) : undefined;
    if (entry) this.#fields.set(path.slice(0, -box.layer.id.length) + entry.layer.id, path);
    if (isSeen || isAlways) this.#focusable.add(path);
    const takes = isSeen && !isNever ? this.#takesOf(box, copy) : null;
    const taken = isAlways ? "shape" : takes;
    if (!taken) return;
    this.#takes.set(path, taken);
    this.#spots.set(path, { box, map });
  }

  /** What a layer that can be seen takes by itself; null when the pointer goes through it. */
  #takesOf(box: LayoutBox, copy: ActiveInstance | undefined): Takes | null {
    const { layer, values, nested } = box;
    const listens =
      isMade(values) || (copy && listeningLayers(this.project, copy.piece).has(layer.id));
    const isFrame = layer.id === ROOT && layer.parent === null && copy !== undefined;
    if (isFrame && !isPainted(values)) return listens ? "union" : null;
    if (nested && listens) return isPainted(nested.values) ? "shape" : "union";
    // the border around an entry is its field's
    if (listens || isField(box)) return "shape";
    return solid.has(layer.kind) && !isClear(values.fill) ? "shape" : null;
  }

  /** The box around all that can be seen in a layer, px of its own. */
  #union(path: Path, box: LayoutBox): Rect | null {
    const prefix = path.slice(0, path.length - box.layer.id.length);
    const rects = box.children.flatMap((c) => this.#shown(c, prefix, undefined) ?? []);
    const nested = box.nested && this.#shown(box.nested, `${path}/`, undefined);
    return unite(nested ? [...rects, nested] : rects);
  }

  /** The box around what is painted of a layer and in it, px of where the map leads. */
  #shown(box: LayoutBox, prefix: string, around: Affine | undefined): Rect | null {
    const path = prefix + box.layer.id;
    if (!this.#seen.has(path) || box.presence === 0) return null;
    const map = mapOf(box, around);
    const bounds = spotBounds({ width: box.width, height: box.height, map });
    const isGroup = box.layer.kind === "box" || box.nested !== null;
    if (!isGroup || isPainted(box.values) || clipsChildren(box)) return bounds;
    const rects = box.children.flatMap((c) => this.#shown(c, prefix, map) ?? []);
    const nested = box.nested && this.#shown(box.nested, `${path}/`, map);
    return unite(nested ? [...rects, nested] : rects);
  }
}
