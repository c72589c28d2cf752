import { sea, shade, style } from "../colours";
import {
  becomes,
  box,
  copy,
  ellipse,
  motion,
  picture,
  steps,
  text,
  stateTrait,
  trait,
  valueId,
} from "../build";
import type { Drawn, Source } from "../build";
import { full, round } from "./buttons";

const decks = [
  [
    "car",
    "Car",
    "picture-car-deck",
    "Car deck",
    "Drive on from lane 1 to 6. Stay by your car until it has stopped.",
  ],
  [
    "saloon",
    "Saloon",
    "picture-saloon",
    "Saloon",
    "Warm seats by the portholes, coffee until ten, quiet after the bell.",
  ],
  [
    "sun",
    "Sun",
    "picture-sun-deck",
    "Sun deck",
    "Deck chairs are free. Hold on to your hat past Gull Isle.",
  ],
] as const;

/** Three decks of which one is shown: a tab, a picture and a text each. */
export const deckTabs: Source = {
  id: "deck-tabs",
  kind: "component",
  name: "Deck tabs",
  values: {
    width: 342,
    height: 352,
    fill: sea.foam,
    radius: { token: "size-card" },
    clip: true,
    shadow: shade.card,
  },
  traits: [stateTrait("deck", "Deck", ["Car", "Saloon", "Sun"], "selected")],
  inside: [
    box(
      "tabs",
      "Tabs",
      { x: 0, y: 0, width: 342, height: 52, arrange: "row", role: "tablist", label: "Decks" },
      decks.map(([id, name]) =>
        box(
          `${id}-tab`,
          `${name} tab`,
          {
            widthMode: "stretch",
            height: 52,
            arrange: "row",
            align: "centre",
            justify: "centre",
            opacity: 0.75,
            role: "tab",
            label: name,
          },
          [text(`${id}-word`, `${name} word`, { text: name, style: style.button, fill: sea.tide })],
        ),
      ),
    ),
    box("mark", "Mark", { x: 20, y: 48, width: 74, height: 4, radius: full, fill: sea.buoy }),
    box(
      "pages",
      "Pages",
      { x: 0, y: 52, width: 342, height: 300, clip: true },
      decks.map(([id, , image, title, words], i) =>
        box(`${id}-page`, `${title} page`, { x: i * 342, y: 0, width: 342, height: 300 }, [
          picture(`${id}-picture`, `${title} picture`, {
            width: 342,
            height: 190,
            picture: image,
            focus: [50, 70],
          }),
          text(`${id}-title`, `${title} title`, {
            x: 20,
            y: 206,
            text: title,
            style: style.heading,
            fill: sea.ink,
          }),
          text(`${id}-words`, `${title} words`, {
            x: 20,
            y: 234,
            width: 302,
            widthMode: "fixed",
            text: words,
            style: style.body,
            fill: sea.slate,
          }),
        ]),
      ),
    ),
  ],
  rules: [
    ...decks.map(([id, name]) => ({
      id: `show-${id}`,
      trigger: { type: "click" as const },
      source: `${id}-tab`,
      effects: [becomes("deck", name)],
      motion: motion("tween", 280, "ease-in-out"),
    })),
    {
      id: "forward",
      trigger: { type: "key", key: "ArrowRight" },
      source: "tabs",
      effects: [steps("deck", "next")],
      motion: motion("tween", 280, "ease-in-out"),
    },
    {
      id: "backward",
      trigger: { type: "key", key: "ArrowLeft" },
      source: "tabs",
      effects: [steps("deck", "previous")],
      motion: motion("tween", 280, "ease-in-out"),
    },
  ],
  looks: decks.map(([id, name], i) => ({
    when: { deck: name },
    changes: {
      [`${id}-tab`]: { opacity: 1 },
      ...(i > 0 ? { mark: { x: 20 + i * 114 } } : {}),
      ...(i > 0
        ? Object.fromEntries(decks.map(([other], k) => [`${other}-page`, { x: (k - i) * 342 }]))
        : {}),
    },
  })),
};

const sides = ["Port", "Middle", "Starboard"] as const;

/** Three places to sit; the one chosen is lit. */
export const seatSideChooser: Source = {
  id: "seat-side-chooser",
  kind: "component",
  name: "Seat side chooser",
  values: {
    width: 300,
    height: 56,
    fill: sea.mist,
    radius: full,
    role: "radiogroup",
    label: "Side of the ship",
  },
  traits: [stateTrait("side", "Side", sides, "checked")],
  inside: [
    box("pill", "Pill", {
      x: 4,
      y: 4,
      width: 97,
      height: 48,
      radius: full,
      fill: sea.foam,
      shadow: shade.raised,
    }),
    ...sides.map((side, i): Drawn =>
      box(
        side.toLowerCase(),
        side,
        {
          x: 4 + i * 97.5,
          y: 4,
          width: 97,
          height: 48,
          arrange: "row",
          align: "centre",
          justify: "centre",
          role: "radio",
          label: side,
        },
        [
          text(`${side.toLowerCase()}-word`, `${side} word`, {
            text: side,
            style: style.button,
            size: 15,
            fill: sea.slate,
          }),
        ],
      ),
    ),
  ],
  signals: sides.map((side) => ({ id: side.toLowerCase(), name: side.toLowerCase() })),
  rules: sides.map((side) => ({
    id: `sit-${side.toLowerCase()}`,
    trigger: { type: "click" as const },
    source: side.toLowerCase(),
    effects: [becomes("side", side), { type: "raise" as const, signal: side.toLowerCase() }],
    motion: motion("tween", 220, "ease-in-out"),
  })),
  looks: sides.map((side, i) => ({
    when: { side },
    changes: {
      ...(i > 0 ? { pill: { x: 4 + i * 97.5 } } : {}),
      [`${side.toLowerCase()}-word`]: { fill: sea.tide },
    },
  })),
};

const sideOf = (column: number): string => {
  if (column < 2) return "port";
  return column < 5 ? "middle" : "starboard";
};

const seat = (row: number, column: number): Drawn => {
  const side = sideOf(column);
  const x = 26 + column * 36 + (column >= 2 ? 18 : 0) + (column >= 5 ? 18 : 0);
  const taken = (row * 7 + column * 5) % 4 === 0;
  return box(`${side}-${row}${column}`, `Seat ${row + 1}${"ABCDEFG"[column] ?? ""}`, {
    x,
    y: 20 + row * 38,
    width: 28,
    height: 30,
    radius: [9, 9, 4, 4],
    fill: taken ? sea.rope : sea.sky,
  });
};
const block = (side: string, columns: readonly number[]): Drawn =>
  box(
    `${side}-block`,
    `${side[0]?.toUpperCase()}${side.slice(1)} seats`,
    { x: 0, y: 0, width: 332, height: 190, opacity: 0.45 },
    [0, 1, 2, 3].flatMap((row) => columns.map((column) => seat(row, column))),
  );

/**
 * The seat plan around the chooser: the seats of the chosen side come forward and the deck leans
 * towards them.
 */
export const seatPlan: Source = {
  id: "seat-plan",
  kind: "component",
  name: "Seat plan",
  values: { width: 372, height: 330, fill: sea.sand, radius: round(20), clip: true },
  traits: [trait("side", "Side", sides)],
  inside: [
    box(
      "deck",
      "Deck",
      {
        x: 20,
        y: 84,
        width: 332,
        height: 226,
        fill: sea.foam,
        radius: [120, 120, 18, 18],
        borderColour: sea.tide,
        borderWidth: 3,
        clip: true,
      },
      [
        box("seats", "Seats", { x: 0, y: 26, width: 332, height: 190 }, [
          block("port", [0, 1]),
          block("middle", [2, 3, 4]),
          block("starboard", [5, 6]),
        ]),
        ellipse("lamp", "Lamp", {
          x: 4,
          y: -40,
          width: 120,
          height: 260,
          fill: "#f0c04e40",
          blur: 22,
        }),
      ],
    ),
    copy("chooser", "Side chooser", {
      component: "seat-side-chooser",
      x: 36,
      y: 16,
      "trait:side": valueId("side", "Port"),
    }),
  ],
  rules: sides.map((side) => ({
    id: `lean-${side.toLowerCase()}`,
    trigger: { type: "signal" as const, signal: side.toLowerCase() },
    source: "chooser",
    effects: [becomes("side", side)],
    motion: motion("tween", 320, "ease-in-out"),
  })),
  looks: [
    { when: { side: "Port" }, changes: { "port-block": { opacity: 1 } } },
    {
      when: { side: "Middle" },
      changes: {
        "middle-block": { opacity: 1 },
        lamp: { x: 106 },
        seats: { x: 0 },
        chooser: { "trait:side": valueId("side", "Middle") },
      },
    },
    {
      when: { side: "Starboard" },
      changes: {
        "starboard-block": { opacity: 1 },
        lamp: { x: 208 },
        chooser: { "trait:side": valueId("side", "Starboard") },
      },
    },
  ],
};
