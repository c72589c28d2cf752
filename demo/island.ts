import { FORMAT, orderAfter } from "#core/project";
import type { Adoption, Motion, Piece, Project, Step, Token } from "#core/project";
import { OPTION, TRAIT } from "#core/properties";
import { box, copy, ellipse, piece, text } from "./build";
import type { Drawn, Source } from "./build";

/** What the app calls the system it uses. */
const KIT = "kit";
const of = (id: string): string => `${KIT}.${id}`;
const token = (id: string) => ({ token: of(id) });

const calm: Motion = {
  kind: "slide",
  duration: 260,
  delay: 0,
  easing: "ease-in-out",
  token: of("motion-calm"),
};

const title = (words: string): Drawn =>
  text("title", "Title", { text: words, style: token("style-title"), fill: token("colour-ink") });
const note = (id: string, name: string, words: string): Drawn =>
  text(id, name, {
    text: words,
    style: token("style-body"),
    fill: token("colour-slate"),
    width: 342,
    widthMode: "fixed",
  });

/** A phone with what it shows in a column, and a bar to go on by below it. */
const page = (id: string, name: string, words: string, inside: readonly Drawn[]): Source => ({
  id,
  kind: "screen",
  name,
  values: { width: 390, height: 844, fill: token("colour-sand"), clip: true },
  inside: [
    box(
      "page",
      "Page",
      {
        x: 24,
        y: 36,
        width: 342,
        widthMode: "fixed",
        heightMode: "fit",
        arrange: "column",
        gap: 12,
      },
      [title(words), ...inside],
    ),
    copy("bar", "Dock bar", { component: of("harbour-dock-bar"), x: 16, y: 728 }),
  ],
});

const goes = (id: string, signal: string, screen: string) => ({
  id,
  source: "bar",
  trigger: { type: "signal" as const, signal },
  effects: [{ type: "go" as const, screen }],
  motion: calm,
});

const starts = (at: string, trait: string, value: string): Step => ({
  do: "trait",
  at,
  trait,
  value,
});

const today: Source = {
  ...page("today", "Today", "Good morning", [
    note("next", "Next crossing", "The 8:40 to Gull Isle leaves from berth 3."),
    copy("sailings", "Sailings", { component: of("sailing-card-deck") }),
    copy("board", "Board now", {
      component: of("board-now-button"),
      [OPTION + "words"]: "Board the 8:40",
    }),
    copy("delays", "Delay alerts", {
      component: of("alert-switch"),
      [OPTION + "words"]: "Delays",
      [TRAIT + "alerts"]: "alerts-on",
    }),
    copy("hint", "Quay note", { component: "quay-note" }),
  ]),
  rules: [goes("to-ship", "ticket", "ship"), goes("to-piers", "map", "piers")],
  rehearsals: [
    {
      name: "Tickets lead to the ship",
      steps: [
        { do: "click", layer: "bar/ticket" },
        { do: "settle" },
        { do: "screen", screen: "ship" },
      ],
    },
  ],
};

const ship: Source = {
  ...page("ship", "On board", "On board", [
    note("gate", "Gate", "Walk on over the bow until five minutes before we leave."),
    copy("decks", "Decks", { component: of("deck-tabs"), [TRAIT + "deck"]: "deck-bow" }),
    box(
      "seat",
      "Seat",
      { width: 342, height: 92, radius: token("size-card"), fill: token("colour-foam") },
      [
        text("seat-words", "Seat words", {
          x: 20,
          y: 8,
          text: "Your seat",
          style: token("style-note"),
          fill: token("colour-slate"),
        }),
        copy("side", "Side", { component: of("seat-side-chooser"), x: 20, y: 30 }),
      ],
    ),
  ]),
  rules: [goes("to-today", "home", "today"), goes("to-piers", "map", "piers")],
  rehearsals: [
    {
      name: "A seat in the middle is kept for you",
      steps: [starts("side", "side", "side-middle")],
    },
  ],
};

const pin = (id: string, name: string, words: string): Drawn =>
  copy(id, name, { component: of("pier-pin"), [OPTION + "name"]: name, [OPTION + "note"]: words });

const piers: Source = {
  ...page("piers", "Piers", "Piers", [
    pin("saltholm", "Saltholm", "Boats every 20 min"),
    pin("gull", "Gull Isle", "Boats every 40 min"),
    copy("bell", "Bell", { component: of("route-bell") }),
    note("ring", "Bell words", "Ring, and we tell you when your boat is in sight."),
  ]),
  rules: [goes("to-today", "home", "today"), goes("to-ship", "ticket", "ship")],
};

const quayNote: Source = {
  id: "quay-note",
  kind: "component",
  name: "Quay note",
  values: {
    width: 342,
    height: 44,
    radius: token("size-control"),
    fill: { token: "quay" },
  },
  inside: [
    ellipse("dot", "Dot", { x: 14, y: 14, width: 16, height: 16, fill: token("colour-sun") }),
    text("words", "Words", {
      x: 42,
      y: 12,
      text: "Gates close 5 min before",
      style: token("style-note"),
      fill: token("colour-chalk"),
    }),
  ],
  options: [{ id: "words", name: "Words", layer: "words", key: "text" }],
};

/** A colour of the app that is one of the kit's. */
const quay: Token = {
  id: "quay",
  type: "colour",
  name: "Quay",
  group: "",
  order: "a0",
  value: { alias: of("colour-kelp") },
};

/** The passengers' app of Kelpway Ferries, made with one of the kit's editions. */
export const islandApp = (
  edition: Pick<Adoption, "system" | "name" | "number" | "edition">,
): Project => {
  const pieces: Piece[] = [];
  for (const source of [quayNote, today, ship, piers])
    pieces.push(piece(source, orderAfter(pieces)));
  return {
    format: FORMAT,
    name: "Island app",
    start: "today",
    pieces: Object.fromEntries(pieces.map((p) => [p.id, p])),
    tokens: { [quay.id]: quay },
    groups: {},
    themes: {},
    assets: {},
    adoptions: { [KIT]: { id: KIT, order: "a0", ...edition } },
  };
};
