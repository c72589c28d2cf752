import { withBox } from "#core/layout";
import type { LayoutBox } from "#core/layout";
import type { AccessNode } from "#core/access";
import type { Project } from "#core/project";
import { answering } from "#core/runtime";
import type { Run } from "#core/runtime";
import { addStyle } from "../frame";
import type { Frame } from "../frame";
import { keep } from "../keep";
import { listenToKeys } from "./keys";
import type { Keyed } from "./keys";
import { AccessLayer } from "./layer";
import type { AccessListener } from "./layer";
import { Lights } from "./lights";
import { FocusRing } from "./ring";
import { css } from "./style";
import { listenToTouch } from "./touch";
import type { Touched } from "./touch";

/** How a piece is shown. */
interface View {
  readonly project: Project;
  readonly run: Run;
  readonly scene: LayoutBox | null;
  /** room around the piece, px of the piece */
  readonly margin: number;
  /** px on screen per px of the piece */
  readonly scale: number;
  /** whether the page's focus came by the keyboard */
  readonly keyed: boolean;
}

/** All by which a running piece is used without a pointer: elements, keys, and where the focus is. */
export class Access {
  readonly #layer: AccessLayer;
  /** around what the keyboard's focus is on, whatever the piece itself does to show it */
  readonly #ring: FocusRing;
  readonly #lights: Lights;

  constructor(
    private readonly frame: Frame,
    signal: AbortSignal,
    it: Omit<Keyed, "stopOf" | "isMoving"> & AccessListener & Touched,
  ) {
    addStyle(css);
    this.#layer = new AccessLayer(it);
    this.#ring = new FocusRing(frame.svg);
    this.#lights = new Lights(frame.svg);
    frame.element.append(this.#layer.element);
    listenToTouch(frame.element, signal, it);
    listenToKeys(frame.element, signal, {
      ...it,
      stopOf: (target) => this.nodeAt(target)?.stop ?? null,
      isMoving: () => frame.isMoving,
    });
  }

  /** What an element stands for. */
  nodeAt(target: EventTarget | null): AccessNode | null {
    return this.#layer.nodeAt(target);
  }

  /** Brings elements to what is shown, and the page's focus to the machine's. */
  show({ project, run, scene, margin, scale, keyed }: View, takesFocus: boolean): void {
    const { frame } = this;
    const layer = this.#layer;
    const hadFocus = frame.hasFocus;
    // while something is dragged, nobody tabs or listens
    if (!run.inside.pointer.drag) {
      layer.setPlace(margin, scale);
      frame.moving(() => layer.show(project, run));
    }
    const isOwnStop = run.usable() && !layer.hasStops;
    keep(frame.element, "tabindex", isOwnStop ? "0" : "-1");
    const focus = run.focus();
    if (hadFocus && takesFocus) frame.giveFocus(focus === null ? null : layer.elementOf(focus));
    this.#ring.show(scene, run, keyed);
  }

  /** Lights up everything that answers now, and says how much that is. */
  lightUp(project: Project, run: Run): number {
    const scene = run.scene();
    const goal = run.goal();
    if (!scene || !goal) return 0;
    const paths = answering(project, run.inside, goal);
    this.#lights.show(scene, paths);
    return paths.length;
  }

  clear(): void {
    this.#lights.clear();
  }

  /** A scene without the text of the field that is filled in: that shows it itself. */
  withoutFilled(scene: LayoutBox): LayoutBox {
    const node = this.frame.hasFocus ? this.nodeAt(document.activeElement) : null;
    if (node?.field?.by !== "typing" || node.path === null) return scene;
    return withBox(scene, node.path, (box) => ({ ...box, lines: [] }));
  }
}
