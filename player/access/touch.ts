import { chainOf, rulesOf } from "#core/machine";
import { ROOT } from "#core/project";
import type { Project } from "#core/project";
import { scrollerFor } from "#core/runtime";
import type { Run } from "#core/runtime";

/** Whether a finger that moves from a place moves something of the piece: a scroller, a drag. px */
const movesThere = (project: Project, run: Run, x: number, y: number): boolean => {
  const scene = run.scene();
  const hit = run.hit(x, y);
  if (!scene || !hit) return false;
  if ([true, false].some((isAcross) => scrollerFor(scene, hit.path, isAcross))) return true;
  const chain = new Set(chainOf(project, run.inside, hit.path));
  return run
    .copies()
    .some(({ path, piece }) =>
      rulesOf(project, piece).some(
        (r) => r.trigger.type === "drag" && chain.has(`${path}/${r.source ?? ROOT}`),
      ),
    );
};

/** What a finger is asked of. */
export interface Touched {
  shown(): { readonly project: Project; readonly run: Run };
  /** where a touch is, px of the piece */
  place(touch: Touch): [number, number];
}

/**
 * A finger moves the piece where there is something to be moved; elsewhere the page around, as
 * where a screen is taller than the phone.
 */
export const listenToTouch = (frame: HTMLElement, signal: AbortSignal, it: Touched): void => {
  let isOurs = false;
  frame.addEventListener(
    "touchstart",
    ({ touches: [touch] }) => {
      const { project, run } = it.shown();
      isOurs = touch !== undefined && movesThere(project, run, ...it.place(touch));
    },
    { signal, passive: true },
  );
  frame.addEventListener(
    "touchmove",
    (e) => {
      if (isOurs && e.cancelable) e.preventDefault();
    },
    { signal, passive: false },
  );
};
