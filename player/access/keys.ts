import type { Act } from "#core/rehearse";
import type { Run } from "#core/runtime";

/** What keys are told to, and what they need to know. */
export interface Keyed {
  run(): Run;
  /** the layer that has the focus when a real element has it; null for the whole */
  stopOf(target: EventTarget | null): string | null;
  /** whether elements are being changed: then nobody has moved the focus */
  isMoving(): boolean;
  /** lets the clock come up to now, does something, and shows what came of it */
  did(act: () => void): void;
  told(act: Act): void;
  /** whether the page's focus came here by a pointer that pressed */
  pointing(): boolean;
  /** whether it came by the keyboard: only then one is shown where it is */
  keyed(keyed: boolean): void;
}

type Field = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;
const isField = (target: EventTarget | null): target is Field =>
  target instanceof HTMLInputElement ||
  target instanceof HTMLTextAreaElement ||
  target instanceof HTMLSelectElement;

/** Keys by which one moves and edits in a line of text. */
const editing: ReadonlySet<string> = new Set([
  "Backspace",
  "Delete",
  "ArrowLeft",
  "ArrowRight",
  "Home",
  "End",
  "Shift",
  "Dead",
  "Process",
  "Unidentified",
]);
const lines: ReadonlySet<string> = new Set(["ArrowUp", "ArrowDown", "PageUp", "PageDown"]);

/** Whether a key is for the field itself: the piece gets what comes of it. */
const isForField = (field: Field, e: KeyboardEvent): boolean => {
  if (e.isComposing || e.key.length === 1 || editing.has(e.key)) return true;
  const isLine = field instanceof HTMLInputElement;
  if (!isLine && lines.has(e.key)) return true;
  if (e.key !== "Enter") return false;
  return field instanceof HTMLSelectElement || (e.shiftKey && !isLine);
};

const onTab = (e: KeyboardEvent, it: Keyed): void => {
  it.keyed(true);
  const next = it.run().nextStop(e.shiftKey ? -1 : 1);
  // past either end the page goes on by itself
  if (next === null) return;
  it.told({ type: "tab", at: it.run().now, back: e.shiftKey });
  it.did(() => it.run().input({ type: "focus", layer: next }));
  e.preventDefault();
};

const onKeyDown = (e: KeyboardEvent, it: Keyed): void => {
  if (e.ctrlKey || e.metaKey || e.altKey) return;
  if (e.key === "Tab") {
    onTab(e, it);
    return;
  }
  const field = isField(e.target) ? e.target : null;
  // while something is filled in, no key is for the page around
  if (field) e.stopPropagation();
  if (field && isForField(field, e)) return;
  if (e.repeat) {
    if (it.run().focus() === null || (e.key !== " " && e.key !== "Enter")) return;
    e.preventDefault();
    e.stopPropagation();
    return;
  }
  it.told({ type: "key", at: it.run().now, key: e.key });
  let isTaken = false;
  it.did(() => {
    isTaken = it.run().key(e.key, "down");
  });
  if (!isTaken) return;
  it.keyed(true);
  e.preventDefault();
  e.stopPropagation();
};

/**
 * The Tab key goes through what can be used, and on into the page; other keys go to the piece
 * first, but for those by which a real field is filled in.
 */
export const listenToKeys = (frame: HTMLElement, signal: AbortSignal, it: Keyed): void => {
  frame.addEventListener(
    "focusin",
    (e) => {
      if (it.isMoving()) return;
      // only a focus that came by the keyboard shows where it is
      if (!it.pointing()) it.keyed(true);
      const stop = it.stopOf(e.target);
      const isNew = stop !== null && stop !== it.run().focus();
      it.did(() => {
        if (isNew) it.run().input({ type: "focus", layer: stop });
      });
    },
    { signal },
  );
  frame.addEventListener(
    "focusout",
    (e) => {
      const isInside = e.relatedTarget instanceof Node && frame.contains(e.relatedTarget);
      if (it.isMoving() || isInside) return;
      it.keyed(false);
      it.did(() => it.run().input({ type: "focus", layer: null }));
    },
    { signal },
  );
  frame.addEventListener("keydown", (e) => onKeyDown(e, it), { signal });
  frame.addEventListener(
    "keyup",
    (e) => {
      if (!isField(e.target)) it.did(() => it.run().key(e.key, "up"));
    },
    { signal },
  );
};
