/** Parts of a page that are gone through as a whole, in their order. */
const PARTS = "[data-part]";

/** Where one comes into a part: what it is there for, as far as there is any of it. */
const ENTRANCE = "[data-entrance] [tabindex='0']";

const STOPS =
  "a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), [tabindex='0']";

const firstIn = (part: HTMLElement, selector: string): HTMLElement | undefined =>
  [...part.querySelectorAll<HTMLElement>(selector)].find(
    (e) => e.tabIndex >= 0 && e.checkVisibility(),
  );

/** Where one was last in each part. */
const left = new WeakMap<HTMLElement, HTMLElement>();

/** Where one comes to in a part: where one was in it last, else what it is there for. */
const goalIn = (part: HTMLElement): HTMLElement | undefined => {
  const last = left.get(part);
  if (last && part.contains(last) && last.checkVisibility()) return last;
  return firstIn(part, ENTRANCE) ?? firstIn(part, STOPS);
};

/** Goes on to the next part of the page, or back to the one before. */
export const goToPart = (step: 1 | -1): void => {
  const parts = [...document.querySelectorAll<HTMLElement>(PARTS)];
  const { activeElement } = document;
  const at = parts.findIndex((part) => part.contains(activeElement));
  const here = parts[at];
  if (here && activeElement instanceof HTMLElement) left.set(here, activeElement);
  const start = at < 0 && step < 0 ? 0 : at;
  const next = parts[(start + step + parts.length) % parts.length];
  if (next) goalIn(next)?.focus();
};
