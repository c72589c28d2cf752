/** What one can go to by keyboard and that does not take letters, so that keys go on working. */
const GOALS =
  "a[href], button:not([disabled]), input[type=checkbox]:not([disabled]), input[type=radio]:not([disabled]), [tabindex]";

const CHOICES = "select:not([disabled])";

/** Whether they can be seen is asked later, of few: to ask it of all has the page laid out anew. */
const goalsIn = (host: ParentNode): HTMLElement[] => [
  ...host.querySelectorAll<HTMLElement>(`${GOALS}, ${CHOICES}`),
];

/** Where the focus was: the elements around it, and what could have been gone to instead. */
interface Place {
  readonly element: HTMLElement;
  /** innermost first, without the page itself */
  readonly around: readonly HTMLElement[];
  readonly goals: ReadonlyMap<HTMLElement, number>;
}

const placeOf = (element: HTMLElement): Place => {
  const around: HTMLElement[] = [];
  for (let e = element.parentElement; e && e !== document.body; e = e.parentElement) around.push(e);
  return { element, around, goals: new Map(goalsIn(document).map((goal, i) => [goal, i])) };
};

/**
 * What came in the place of what is gone; else what followed it, else what stood before it. A
 * choice, which takes letters, only where it has just come.
 */
const goalNear = (place: Place, host: HTMLElement): HTMLElement | undefined => {
  const now = goalsIn(host).filter((goal) => !goal.matches(CHOICES) || !place.goals.has(goal));
  const rank = (goal: HTMLElement): number => place.goals.get(goal) ?? -1;
  const at = rank(place.element);
  const isSeen = (goal: HTMLElement): boolean => goal.checkVisibility();
  return (
    now.find((goal) => !place.goals.has(goal) && isSeen(goal)) ??
    now.find((goal) => rank(goal) > at && isSeen(goal)) ??
    now.findLast((goal) => rank(goal) < at && isSeen(goal))
  );
};

/** Whether what had the focus cannot have it any more, and nothing else took it. */
const isLost = ({ element }: Place): boolean => {
  const { activeElement } = document;
  const nowhere = activeElement === null || activeElement === document.body;
  const gone = !element.isConnected || element.matches(":disabled");
  return gone && (nowhere || activeElement === element);
};

/**
 * Keeps the focus from falling to the page when what had it goes away or is switched off: what
 * stands nearest has it then (WCAG 2.4.3). Answers how to stop.
 */
export const keepFocus = (): (() => void) => {
  let last: Place | null = null;
  let frame = 0;
  const onFocus = (e: FocusEvent) => {
    last = e.target instanceof HTMLElement && e.target !== document.body ? placeOf(e.target) : null;
  };
  const mend = () => {
    frame = 0;
    if (!last || !isLost(last)) return;
    const place = last;
    for (const host of place.around) {
      const goal = host.isConnected ? goalNear(place, host) : undefined;
      if (!goal) continue;
      goal.focus({ preventScroll: true });
      return;
    }
    // the whole page went away
    document.querySelector<HTMLElement>("h1[tabindex]")?.focus();
  };
  const observer = new MutationObserver(() => {
    // one look a frame, after whoever removed it could give the focus to something else
    if (last && frame === 0 && isLost(last)) frame = requestAnimationFrame(mend);
  });
  document.addEventListener("focusin", onFocus);
  observer.observe(document.body, {
    subtree: true,
    childList: true,
    attributeFilter: ["disabled"],
  });
  return () => {
    document.removeEventListener("focusin", onFocus);
    observer.disconnect();
    cancelAnimationFrame(frame);
  };
};
