import type { Id } from "../basics";
import { mapOf, spotBounds } from "../layout";
import type { Affine, LayoutBox } from "../layout";
import { focusStops, isNavigation, isPressed, liveCopies, overlayPart, rulesOf } from "../machine";
import type { ActiveInstance, Path, State } from "../machine";
import { ROOT, byOrder } from "../project";
import type { Project, Rule, TriggerType } from "../project";
import type { Role } from "../properties";
import { fieldOf } from "./field";
import { grouped } from "./group";
import { controls, isNamedByContents, needsName } from "./roles";
import { neededBy, statesOf } from "./states";
import type { AccessNode, States } from "./types";

/** Triggers by which something is done, not only shown. */
const doing: ReadonlySet<TriggerType> = new Set(["click", "double", "press", "release", "hold"]);

/** A running copy, and what its root is: that speaks for all of it. */
interface Copy {
  readonly live: ActiveInstance | undefined;
  readonly rootRole: Role;
}

/** A layer on the walk down the tree. */
interface Stop {
  readonly box: LayoutBox;
  readonly path: Path;
  readonly map: Affine;
  readonly copy: Copy;
  /** of a component's root, the layer that places it: both are one thing */
  readonly placed: Stop | null;
}

const areTexts = (nodes: readonly AccessNode[]): boolean =>
  nodes.some((n) => (n.role === "text" ? n.name.trim() !== "" : areTexts(n.children)));

const areControls = (nodes: readonly AccessNode[]): boolean =>
  nodes.some((n) => n.stop !== null || areControls(n.children));

const boundsOf = ({ box, map }: Stop) => spotBounds({ width: box.width, height: box.height, map });

const textOf = (stop: Stop): AccessNode | null => {
  const text = stop.box.layer.kind === "text" ? (stop.box.values.text ?? "") : "";
  if (text.trim() === "") return null;
  return {
    key: `${stop.path}:text`,
    path: stop.path,
    role: "text",
    name: text,
    states: {},
    stop: null,
    bounds: boundsOf(stop),
    field: null,
    children: [],
  };
};

/** Tells what is in a scene. */
class Teller {
  readonly #copies: ReadonlyMap<Path, ActiveInstance>;
  readonly #stops: ReadonlySet<Path>;

  constructor(
    private readonly project: Project,
    private readonly state: State,
    private readonly isThere: (path: Path) => boolean,
  ) {
    this.#copies = new Map(liveCopies(project, state).map((c) => [c.path, c]));
    this.#stops = new Set(focusStops(project, state).filter(isThere));
  }

  /** What is in front: the shown piece, or the overlay that must be answered first. */
  tell(scene: LayoutBox): readonly AccessNode[] {
    const { screen, overlays } = this.state;
    const front = overlays.at(-1);
    const name = this.project.pieces[front?.screen ?? screen]?.name ?? "";
    if (front) return this.#overlay(scene, overlayPart(front.screen), name);
    const base = scene.layer.id === ROOT ? scene : scene.children.find((c) => c.layer.id === ROOT);
    if (!base) return [];
    return grouped(this.#visit(this.#rootStop(base, "", mapOf(base), null)), "none", name);
  }

  #overlay(scene: LayoutBox, part: Id, name: string): readonly AccessNode[] {
    const over = scene.children.find((c) => c.layer.id === part);
    if (!over?.nested) return [];
    const map = mapOf(over);
    const inside = this.#visit(
      this.#rootStop(over.nested, `${part}/`, mapOf(over.nested, map), null),
    );
    const [only] = inside;
    // it may say itself what it is
    if (only && inside.length === 1 && (only.role === "dialog" || only.role === "menu"))
      return [only];
    const { width, height } = over;
    const dialog: AccessNode = {
      key: part,
      path: null,
      role: "dialog",
      name,
      states: { "aria-modal": "true" },
      stop: null,
      bounds: spotBounds({ width, height, map }),
      field: null,
      children: grouped(inside, "dialog", name),
    };
    return [dialog];
  }

  /** The root of the shown piece or of a placed copy. */
  #rootStop(box: LayoutBox, prefix: string, map: Affine, placed: Stop | null): Stop {
    const path = prefix + box.layer.id;
    const at = prefix.slice(0, -1);
    const { screen } = this.state;
    const live = this.#copies.get(at === "" ? screen : `${screen}/${at}`);
    const isDoing = [path, ...(placed ? [placed.path] : [])].some((p) => this.#doing(p).length);
    const said = saidRole(box, placed);
    const rootRole = said === "none" && isDoing ? "button" : said;
    return { box, path, map, copy: { live, rootRole }, placed };
  }

  #visit(stop: Stop): readonly AccessNode[] {
    const { box, path, map } = stop;
    if (box.nested) {
      const inner = mapOf(box.nested, map);
      return this.#visit(this.#rootStop(box.nested, `${path}/`, inner, stop));
    }
    const prefix = path.slice(0, path.length - box.layer.id.length);
    const children = box.children
      .toSorted((a, b) => byOrder(a.layer, b.layer))
      .flatMap((child) =>
        this.#visit({
          box: child,
          path: prefix + child.layer.id,
          map: mapOf(child, map),
          copy: stop.copy,
          placed: null,
        }),
      );
    if (!this.isThere(path)) return children;
    return this.#field(stop) ?? this.#thing(stop, children);
  }

  #field(stop: Stop): readonly AccessNode[] | null {
    const { box, path, map } = stop;
    const text = this.state.forms.entries[`${this.state.screen}/${path}`] ?? "";
    const field = fieldOf(box, map, text);
    if (!field) return null;
    const name = box.values.label || box.layer.name;
    const bounds = boundsOf(stop);
    const states = this.#states(stop, "none");
    return [
      { key: path, path, role: "field", name, states, stop: path, bounds, field, children: [] },
    ];
  }

  /** A layer as one thing, or what is in it where it is nothing by itself. */
  #thing(stop: Stop, children: readonly AccessNode[]): readonly AccessNode[] {
    const { box, path, placed } = stop;
    const text = textOf(stop);
    const inside = text ? [text, ...children] : children;
    const focus = [path, ...(placed ? [placed.path] : [])].find((p) => this.#stops.has(p)) ?? null;
    const said = saidRole(box, placed);
    const role = said === "none" ? this.#implied(stop, focus, inside) : said;
    if (role === "none") return inside;
    // a control cannot hold another: what is in it would not be heard
    const held = controls.has(role) && areControls(inside) ? "group" : role;
    const name = nameOf(stop, held, inside);
    return [
      {
        key: path,
        path,
        role: held,
        name,
        states: { ...neededBy(held, stop.copy.live), ...this.#states(stop, held) },
        stop: focus,
        bounds: boundsOf(stop),
        field: null,
        children: held === "img" ? [] : grouped(inside, held, name || box.layer.name),
      },
    ];
  }

  /** What is said of a layer by its own copy, and of a copy by the piece it is placed in. */
  #states({ box, copy, placed }: Stop, role: Role): States {
    const own = copy.live
      ? statesOf(this.project, copy.live, box.layer.id, role, copy.rootRole)
      : {};
    const around = placed?.copy.live;
    const outer = around
      ? statesOf(this.project, around, placed.box.layer.id, role, placed.copy.rootRole)
      : {};
    return { ...own, ...outer };
  }

  /** What a layer is by what it does, where nobody has said what it is. */
  #implied(stop: Stop, focus: Path | null, inside: readonly AccessNode[]): Role {
    const rules = [stop.path, ...(stop.placed ? [stop.placed.path] : [])].flatMap((p) =>
      this.#doing(p),
    );
    if (focus === null && rules.length === 0) return labelOf(stop) === "" ? "none" : "group";
    if (rules.length === 0 || areControls(inside)) return "group";
    return rules.every((r) => r.effects.every(isNavigation)) ? "link" : "button";
  }

  /** The rules by which something is done with a layer. */
  #doing(path: Path): readonly Rule[] {
    const cut = path.lastIndexOf("/");
    const { screen } = this.state;
    const live = this.#copies.get(cut < 0 ? screen : `${screen}/${path.slice(0, cut)}`);
    if (!live) return [];
    const id = path.slice(cut + 1);
    return rulesOf(this.project, live.piece).filter(
      (r) => (r.source ?? ROOT) === id && isPressed(r) && doing.has(r.trigger.type) && !r.undo,
    );
  }
}

const saidRole = (box: LayoutBox, placed: Stop | null): Role => {
  const outer = placed?.box.values.role ?? "none";
  return outer === "none" ? box.values.role : outer;
};

const labelOf = ({ box, placed }: Stop): string => placed?.box.values.label || box.values.label;

const nameOf = (stop: Stop, role: Role, inside: readonly AccessNode[]): string => {
  const label = labelOf(stop);
  if (label !== "") return label;
  if (!needsName(role) || (isNamedByContents(role) && areTexts(inside))) return "";
  const { box, placed, copy } = stop;
  if (placed) return placed.box.layer.name;
  return box.layer.id === ROOT && copy.live ? copy.live.piece.name : box.layer.name;
};

/**
 * What assistive technology is told of a scene at rest: roles, names, states and fields in the
 * order of the tree, which is that of the Tab key. What is not there (by `isThere`) is left out; of
 * what lies over one another only the front is told.
 */
export const accessTree = (
  project: Project,
  state: State,
  scene: LayoutBox,
  isThere: (path: Path) => boolean,
): readonly AccessNode[] => new Teller(project, state, isThere).tell(scene);
