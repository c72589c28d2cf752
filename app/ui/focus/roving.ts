/** What one can go to in a toolbar; fields keep their own stops, because arrows are theirs. */
const STOPS = "button:not([disabled]), a[href], input[type=checkbox]:not([disabled])";

/** What opens in a toolbar and is not of it. */
const OPENED = "[role=menu], .panel";

/** The parts of a toolbar one goes along, in their order. */
export const stopsIn = (host: HTMLElement): HTMLElement[] =>
  [...host.querySelectorAll<HTMLElement>(STOPS)].filter((stop) => !stop.closest(OPENED));

/** Makes one part the toolbar's stop of the Tab key: the given one, else the one that was, else the first. */
export const rove = (host: HTMLElement, wanted?: Element): void => {
  const stops = stopsIn(host);
  const current =
    stops.find((stop) => stop === wanted) ??
    stops.find((stop) => stop.dataset.stop === "here") ??
    stops[0];
  for (const stop of stops) {
    const here = stop === current;
    if (here) stop.dataset.stop = "here";
    else delete stop.dataset.stop;
    const index = here ? 0 : -1;
    if (stop.tabIndex !== index) stop.tabIndex = index;
  }
};

/** Where a key leads from a part of a toolbar; null where it leads nowhere. */
export const nextStop = (
  stops: readonly HTMLElement[],
  from: HTMLElement,
  key: string,
): HTMLElement | null => {
  const at = stops.indexOf(from);
  if (at < 0) return null;
  const count = stops.length;
  switch (key) {
    case "ArrowRight":
      return stops[(at + 1) % count] ?? null;
    case "ArrowLeft":
      return stops[(at + count - 1) % count] ?? null;
    case "Home":
      return stops[0] ?? null;
    case "End":
      return stops[count - 1] ?? null;
    default:
      return null;
  }
};
