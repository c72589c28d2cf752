import { accept, inOrder, remove, set } from "#core/project";
import type { Op, Project, Token } from "#core/project";
import { kelpwayKit } from "./kit";

/** An edition of the kit: what it is called, and the project as it was then. */
export interface DemoEdition {
  readonly number: string;
  readonly name: string;
  readonly project: Project;
}

/** What a project was before something was done to it: the steps lead back. */
const before = (project: Project, ops: readonly Op[]): Project => {
  const result = accept(project, { label: "Back", ops });
  if (!result.ok) throw new Error(result.error);
  return result.project;
};

/** What shows the first deck shows the one that was given up, too. */
const bowOps = ({ pieces }: Project): Op[] =>
  inOrder(pieces["deck-tabs"]?.looks ?? {})
    .filter(({ when }) => when["deck"]?.includes("deck-car"))
    .map(({ id, when }) =>
      set(["pieces", "deck-tabs", "looks", id, "when"], {
        ...when,
        deck: [...(when["deck"] ?? []), "deck-bow"],
      }),
    );

const startsInTheMiddle = {
  id: "starts-in-the-middle",
  name: "Starts in the middle",
  order: "a1",
  steps: [{ do: "trait", at: "", trait: "side", value: "side-middle" }],
};

/**
 * The kit before the new piers: the bow was open, seats began in the middle, the note of a pier had
 * another name, kelp was greyer, and the button to board was taller.
 */
const nightBoats = (): Project => {
  const kit = kelpwayKit();
  return before(kit, [
    set(["pieces", "deck-tabs", "traits", "deck", "values", "deck-bow"], {
      id: "deck-bow",
      name: "Bow",
      order: "a9",
    }),
    ...bowOps(kit),
    set(["pieces", "seat-side-chooser", "traits", "side", "rest"], "side-middle"),
    set(["pieces", "seat-plan", "traits", "side", "rest"], "side-middle"),
    set(["pieces", "seat-side-chooser", "rehearsals", startsInTheMiddle.id], startsInTheMiddle),
    set(["pieces", "pier-pin", "options", "note", "name"], "Line"),
    set(["tokens", "colour-kelp", "value"], "#4b8f77"),
    set(["pieces", "board-now-button", "looks", "base", "changes", "root", "height"], 108),
    set(["pieces", "board-now-button", "looks", "base", "changes", "body", "height"], 68),
  ]);
};

const withoutNight = ({ looks, ...token }: Token): Token => {
  const others = Object.entries(looks ?? {}).filter(([, look]) => !("theme" in look.when));
  return others.length > 0 ? { ...token, looks: Object.fromEntries(others) } : token;
};

/** The kit before the night boats: there was no night, and no season to pay for at once. */
const springTimetable = (): Project => {
  const kit = nightBoats();
  const themed = Object.values(kit.tokens).filter((token) => token.looks !== undefined);
  return before(kit, [
    ...themed.map((token) => set(["tokens", token.id], withoutNight(token))),
    remove(["themes", "theme"]),
    remove(["pieces", "fare-panel"]),
    set(["pieces", "crew-chat", "name"], "Chat"),
  ]);
};

/** The editions of the kit, the first one first; the last is the kit as it is. */
export const kelpwayEditions = (): readonly DemoEdition[] => [
  { number: "1.0.0", name: "Spring timetable", project: springTimetable() },
  { number: "1.1.0", name: "Night boats", project: nightBoats() },
  { number: "2.0.0", name: "New piers", project: kelpwayKit() },
];
