import { spotAt } from "#core/layout";
import type { LayoutBox, ShownBox } from "#core/layout";
import type { Run } from "#core/runtime";
import { keep } from "../keep";

/** How far the ring is from what it is around, px. */
const FAR = 3;

/** Where the ring goes: around a layer, or around everything. */
const ringPlace = (
  scene: LayoutBox,
  path: string | null,
): Pick<ShownBox, "width" | "height" | "map"> | undefined => {
  if (path !== null) return spotAt(scene, path);
  return { width: scene.width, height: scene.height, map: [1, 0, 0, 1, 0, 0] };
};

/** The ring around what the keyboard's focus is on. */
export class FocusRing {
  readonly #ring = document.createElementNS("http://www.w3.org/2000/svg", "rect");

  constructor(private readonly svg: SVGSVGElement) {
    for (const [k, v] of Object.entries({
      class: "focus-ring",
      fill: "none",
      stroke: "#1f6f5c",
      "stroke-width": "2",
      "pointer-events": "none",
      rx: "4",
      visibility: "hidden",
    }))
      this.#ring.setAttribute(k, v);
    svg.append(this.#ring);
  }

  /**
   * Puts it around the focused layer; where only keys of the whole piece are listened for, the
   * whole piece has the focus.
   */
  show(scene: LayoutBox | null, run: Run, keyed: boolean): void {
    const focus = run.focus();
    const isShown = focus === null ? keyed : run.inside.keyboard.shown;
    // one sees the whole of a field
    const around = focus === null ? null : (run.goal()?.fieldOf(focus) ?? focus);
    const spot = scene && isShown ? ringPlace(scene, around) : undefined;
    keep(this.#ring, "visibility", spot ? "visible" : "hidden");
    if (!spot) return;
    for (const [k, v] of Object.entries({
      x: -FAR,
      y: -FAR,
      width: spot.width + 2 * FAR,
      height: spot.height + 2 * FAR,
      transform: `matrix(${spot.map.join(" ")})`,
    }))
      keep(this.#ring, k, String(v));
    if (this.svg.lastChild !== this.#ring) this.svg.append(this.#ring);
  }
}
