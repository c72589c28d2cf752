import { spotAt } from "#core/layout";
import type { LayoutBox } from "#core/layout";

/** How long what answers is lit, ms. */
const LIT = 1100;
/** How far a ring is from what it is around, px. */
const FAR = 4;
const SVG = "http://www.w3.org/2000/svg";

/** Rings that run once round everything that answers, and go. */
export class Lights {
  #lit: SVGGElement | null = null;
  #timeout = 0;

  constructor(private readonly svg: SVGSVGElement) {}

  /** Lights layers up where they are now; those that are not in the scene are passed over. */
  show(scene: LayoutBox, paths: readonly string[]): void {
    this.clear();
    const group = document.createElementNS(SVG, "g");
    group.setAttribute("class", "answering");
    group.setAttribute("pointer-events", "none");
    for (const path of paths) {
      const spot = spotAt(scene, path);
      if (!spot) continue;
      const ring = document.createElementNS(SVG, "rect");
      const size = { width: spot.width + 2 * FAR, height: spot.height + 2 * FAR };
      const all = {
        x: -FAR,
        y: -FAR,
        ...size,
        rx: 8,
        pathLength: 1,
        fill: "none",
        stroke: "#d9622b",
        "stroke-width": 2.5,
        transform: `matrix(${spot.map.join(" ")})`,
      };
      for (const [key, value] of Object.entries(all)) ring.setAttribute(key, String(value));
      group.append(ring);
    }
    this.svg.append(group);
    this.#lit = group;
    this.#timeout = window.setTimeout(() => this.clear(), LIT);
  }

  clear(): void {
    window.clearTimeout(this.#timeout);
    this.#lit?.remove();
    this.#lit = null;
  }
}
