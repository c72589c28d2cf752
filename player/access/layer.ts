import { accessTree } from "#core/access";
import type { AccessNode } from "#core/access";
import type { State } from "#core/machine";
import type { Project } from "#core/project";
import type { Goal, Run } from "#core/runtime";
import { dress, fieldElement, fillField } from "./field";
import type { FieldElement } from "./field";
import { keep } from "../keep";

/** What was told, and of what. */
interface About extends Pick<State, "traits" | "overlays" | "forms"> {
  readonly goal: Goal;
  readonly project: Project;
}

interface Told {
  node: AccessNode;
  readonly element: HTMLElement;
}

/** What real elements tell the player. */
export interface AccessListener {
  /** assistive technology clicks a layer */
  clicked(path: string): void;
  /** a field says something else */
  filled(path: string, text: string): void;
}

const make = (node: AccessNode): HTMLElement => {
  if (node.field) return fieldElement(node.field);
  return document.createElement(node.role === "text" ? "span" : "div");
};

/** Whether an element that stands for one node can stand for another. */
const isAlike = (a: AccessNode, b: AccessNode): boolean =>
  a.field?.by === b.field?.by &&
  a.field?.isMultiline === b.field?.isMultiline &&
  (a.role === "text") === (b.role === "text");

const place = (element: HTMLElement, { bounds, field }: AccessNode, around: AccessNode | null) => {
  const { style } = element;
  const [x, y] = field ? [field.map[4], field.map[5]] : [bounds.x, bounds.y];
  style.left = `${x - (around?.bounds.x ?? 0)}px`;
  style.top = `${y - (around?.bounds.y ?? 0)}px`;
  if (field) return;
  style.width = `${bounds.width}px`;
  style.height = `${bounds.height}px`;
};

/**
 * The elements by which a painted scene reaches assistive technology and the keyboard: one for each
 * control, text and field, where it is painted, unseen but for the field that is filled in.
 */
export class AccessLayer {
  readonly element = document.createElement("div");
  #told = new Map<string, Told>();
  /** the elements that can have the focus, by the layers that have it then */
  #stops = new Map<string, HTMLElement>();
  #paths = new WeakMap<Element, AccessNode>();
  #about: About | null = null;

  constructor(listener: AccessListener) {
    this.element.className = "access";
    this.element.style.cssText = "position:absolute;left:0;top:0;transform-origin:0 0;width:0";
    this.element.addEventListener("click", (e) => {
      // a real pointer goes through to what is painted: this click has none
      const node = this.nodeAt(e.target);
      if (node?.path && !node.field) listener.clicked(node.path);
    });
    const filled = (e: Event): void => {
      const node = this.nodeAt(e.target);
      // only fields are given text by somebody
      if (node?.field && node.path !== null)
        listener.filled(node.path, (e.target as FieldElement).value);
    };
    this.element.addEventListener("input", filled);
  }

  /** What an element stands for. */
  nodeAt(target: EventTarget | null): AccessNode | null {
    const element = target instanceof Element ? target : null;
    for (let at = element; at && at !== this.element; at = at.parentElement) {
      const node = this.#paths.get(at);
      if (node && (node.stop !== null || node.path !== null)) return node;
    }
    return null;
  }

  /** The element that has the focus when a layer has it. */
  elementOf(stop: string): HTMLElement | null {
    return this.#stops.get(stop) ?? null;
  }

  /** Whether there is anything to stop at. */
  get hasStops(): boolean {
    return this.#stops.size > 0;
  }

  setPlace(margin: number, scale: number): void {
    const { style } = this.element;
    const place = `scale(${scale}) translate(${margin}px, ${margin}px)`;
    if (style.transform !== place) style.transform = place;
  }

  /** Brings the elements to what is told now; those that stay keep their focus. */
  show(project: Project, run: Run): void {
    const goal = run.goal();
    const { traits, overlays, forms } = run.inside;
    const about = this.#about;
    const isSame = about?.goal === goal && about.project === project && about.traits === traits;
    if (!goal || (isSame && about.overlays === overlays && about.forms === forms)) return;
    this.#about = { goal, project, traits, overlays, forms };
    this.#draw(accessTree(project, run.inside, goal.scene, (path) => goal.isFocusable(path)));
  }

  #draw(nodes: readonly AccessNode[]): void {
    const before = this.#told;
    this.#told = new Map();
    this.#stops = new Map();
    this.#fill(this.element, nodes, null, before);
    for (const [key, { element }] of before) if (!this.#told.has(key)) element.remove();
  }

  #fill(
    parent: HTMLElement,
    nodes: readonly AccessNode[],
    around: AccessNode | null,
    before: ReadonlyMap<string, Told>,
  ): void {
    for (const [i, node] of nodes.entries()) {
      const known = before.get(node.key);
      const isKept = known !== undefined && isAlike(known.node, node);
      if (known && !isKept) known.element.remove();
      const element = isKept ? known.element : make(node);
      this.#told.set(node.key, { node, element });
      this.#paths.set(element, node);
      if (node.stop !== null) this.#stops.set(node.stop, element);
      this.#write(element, node, isKept ? known.node : null);
      place(element, node, around);
      this.#fill(element, node.children, node, before);
      // what is put elsewhere loses its focus: what goes makes way first
      for (let at = parent.childNodes[i]; at && at !== element; at = parent.childNodes[i]) {
        if (isKept && this.#isGoing(at, nodes)) at.remove();
        else break;
      }
      if (parent.childNodes[i] !== element)
        parent.insertBefore(element, parent.childNodes[i] ?? null);
    }
  }

  #isGoing(at: ChildNode, nodes: readonly AccessNode[]): boolean {
    const node = at instanceof Element ? this.#paths.get(at) : undefined;
    return !node || !nodes.some((n) => n.key === node.key);
  }

  #write(element: HTMLElement, node: AccessNode, before: AccessNode | null): void {
    if (node.role === "text") {
      if (element.textContent !== node.name) element.textContent = node.name;
      return;
    }
    if (node.stop === null) element.removeAttribute("tabindex");
    else keep(element, "tabindex", "0");
    if (node.name === "") element.removeAttribute("aria-label");
    else keep(element, "aria-label", node.name);
    for (const key of Object.keys(before?.states ?? {}))
      if (!(key in node.states)) element.removeAttribute(key);
    for (const [key, value] of Object.entries(node.states)) keep(element, key, value);
    if (node.field) {
      // made for a field of this kind
      fillField(element as FieldElement, node.field);
      dress(element, node.field);
    } else keep(element, "role", node.role);
  }
}
