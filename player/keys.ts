import type { Act } from "#core/rehearse";
import type { Run } from "#core/runtime";

/** What keys are told to, and what they need to know. */
export interface Keyed {
  run(): Run;
  /** lets the clock come up to now, does something, and shows what came of it */
  did(act: () => void): void;
  told(act: Act): void;
  /** whether the page's focus came here by a pointer that pressed */
  pointing(): boolean;
  /** whether it came by the keyboard: only then one is shown where it is */
  keyed(keyed: boolean): void;
}

/**
 * The Tab key goes through what can be used, and on into the page; other keys go to the piece
 * first.
 */
export const listenToKeys = (svg: SVGSVGElement, signal: AbortSignal, it: Keyed): void => {
  svg.addEventListener(
    "focus",
    (e) => {
      // only a focus that came by the keyboard shows where it is, from the side it came from
      if (it.pointing()) return;
      it.keyed(true);
      const from = e.relatedTarget;
      const back =
        from instanceof Node &&
        (svg.compareDocumentPosition(from) & Node.DOCUMENT_POSITION_FOLLOWING) !== 0;
      it.did(() => it.run().tab(back ? -1 : 1));
    },
    { signal },
  );
  svg.addEventListener(
    "blur",
    () => {
      it.keyed(false);
      it.did(() => it.run().input({ type: "focus", layer: null }));
    },
    { signal },
  );
  svg.addEventListener(
    "keydown",
    (e) => {
      if (e.ctrlKey || e.metaKey || e.altKey) return;
      if (e.key === "Tab") {
        it.told({ type: "tab", at: it.run().now, back: e.shiftKey });
        it.keyed(true);
        let moved = false;
        it.did(() => {
          moved = it.run().tab(e.shiftKey ? -1 : 1);
        });
        if (moved) e.preventDefault();
        return;
      }
      // while something is filled in, keys held down go on, and none is for the page around
      const isFilling = it.run().filling();
      if (isFilling) e.stopPropagation();
      if (e.repeat && !isFilling) {
        if (it.run().focus() === null || (e.key !== " " && e.key !== "Enter")) return;
        e.preventDefault();
        e.stopPropagation();
        return;
      }
      it.told({ type: "key", at: it.run().now, key: e.key });
      let taken = false;
      it.did(() => {
        taken = it.run().key(e.key, "down");
      });
      if (!taken) return;
      it.keyed(true);
      e.preventDefault();
      e.stopPropagation();
    },
    { signal },
  );
  svg.addEventListener("keyup", (e) => it.did(() => it.run().key(e.key, "up")), { signal });
};
