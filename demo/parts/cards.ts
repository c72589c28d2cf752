import { sea, shade, style } from "../colours";
import {
  box,
  copy,
  icon,
  line,
  motion,
  spring,
  picture,
  steps,
  text,
  stateTrait,
  trait,
  valueId,
} from "../build";
import type { Drawn, Source } from "../build";
import { full, round } from "./buttons";

/** One sailing: a picture and when it goes. Each copy has its own. */
export const sailingCard: Source = {
  id: "sailing-card",
  kind: "component",
  name: "Sailing card",
  values: {
    width: 220,
    height: 280,
    fill: sea.foam,
    radius: { token: "size-card" },
    clip: true,
    shadow: shade.raised,
  },
  inside: [
    picture("photo", "Photo", { width: 220, height: 170, picture: "picture-gull-isle" }),
    text("name", "Name", { x: 18, y: 186, text: "Gull Isle", style: style.heading, fill: sea.ink }),
    text("time", "Time", {
      x: 18,
      y: 214,
      text: "Leaves 14:20, pier 2",
      style: style.body,
      fill: sea.slate,
    }),
    box(
      "seats",
      "Seats",
      {
        x: 18,
        y: 242,
        widthMode: "fit",
        height: 24,
        arrange: "row",
        align: "centre",
        padding: [0, 10, 0, 10],
        radius: full,
        fill: sea.mist,
      },
      [text("free", "Free seats", { text: "38 seats free", style: style.note, fill: sea.tide })],
    ),
  ],
  options: [
    { id: "photo", name: "Photo", layer: "photo", key: "picture" },
    { id: "name", name: "Name", layer: "name", key: "text" },
    { id: "time", name: "Time", layer: "time", key: "text" },
    { id: "free", name: "Free seats", layer: "free", key: "text" },
  ],
};

const sailing = (
  id: string,
  name: string,
  photo: string,
  title: string,
  time: string,
  free: string,
): Drawn =>
  copy(id, name, {
    component: "sailing-card",
    x: 50,
    y: 24,
    "option:photo": photo,
    "option:name": title,
    "option:time": time,
    "option:free": free,
  });

const front = { x: 50, y: 40, rotation: 0, scale: [1, 1], stack: 3 } as const;
const second = { x: 62, y: 24, rotation: 5, scale: [0.95, 0.95], stack: 2 } as const;
const back = { x: 38, y: 16, rotation: -6, scale: [0.9, 0.9], stack: 1 } as const;

/** The card in front keeps with the hand and flies off the way it is thrown. */
const carried = {
  type: "drag",
  way: "free",
  lean: 12,
  direction: "any",
  travel: 200,
  part: 0.4,
  speed: 500,
  tokens: { travel: "pace-throw", part: "pace-share" },
} as const;
const laid = motion("tween", 320, spring(460, 0.16));

/** Three sailings in a pile; which one lies in front is a trait. */
export const sailingCardDeck: Source = {
  id: "sailing-card-deck",
  kind: "component",
  name: "Sailing card deck",
  values: { width: 320, height: 350 },
  traits: [trait("front", "Front", ["Gull Isle", "Saltholm", "Night boat"])],
  // the front one is thrown to the back; the last one lies there and is drawn out again
  rules: [
    ...[
      ["gull", "Gull Isle", "Saltholm"],
      ["salt", "Saltholm", "Night boat"],
      ["night", "Night boat", "Gull Isle"],
    ].flatMap(([card = "", here = "", next = ""]) => [
      {
        id: `${card}-away`,
        trigger: carried,
        source: card,
        when: { front: here },
        effects: [steps("front", "next")],
        motion: laid,
      },
      {
        id: `${card}-back`,
        trigger: carried,
        source: card,
        when: { front: next },
        effects: [steps("front", "previous")],
        motion: laid,
      },
    ]),
    {
      id: "by-key",
      trigger: { type: "key" as const, key: "ArrowRight" },
      effects: [steps("front", "next")],
      motion: laid,
    },
    {
      id: "back-by-key",
      trigger: { type: "key" as const, key: "ArrowLeft" },
      effects: [steps("front", "previous")],
      motion: laid,
    },
  ],
  inside: [
    sailing(
      "night",
      "Night boat card",
      "picture-night-boat",
      "Night boat",
      "Leaves 23:05, pier 1",
      "12 berths free",
    ),
    sailing(
      "salt",
      "Saltholm card",
      "picture-saltholm",
      "Saltholm",
      "Leaves 15:00, pier 2",
      "51 seats free",
    ),
    sailing(
      "gull",
      "Gull Isle card",
      "picture-gull-isle",
      "Gull Isle",
      "Leaves 14:20, pier 2",
      "38 seats free",
    ),
  ],
  looks: [
    { when: { front: "Gull Isle" }, changes: { gull: front, salt: second, night: back } },
    { when: { front: "Saltholm" }, changes: { salt: front, night: second, gull: back } },
    { when: { front: "Night boat" }, changes: { night: front, gull: second, salt: back } },
  ],
};

const feature = (id: string, words: string): Drawn =>
  box(
    id,
    words,
    { widthMode: "stretch", heightMode: "fit", arrange: "row", gap: 10, align: "centre" },
    [
      icon(`${id}-tick`, "Tick", { width: 16, height: 16, icon: "icon-check2", fill: sea.kelp }),
      text(`${id}-words`, "Words", { text: words, style: style.body, fill: sea.ink }),
    ],
  );

/** Single trip or season pass: a switch inside the card changes price, features and texts. */
export const farePanel: Source = {
  id: "fare-panel",
  kind: "component",
  name: "Fare panel",
  values: {
    width: 300,
    heightMode: "fit",
    arrange: "column",
    gap: 14,
    padding: [22, 22, 22, 22],
    fill: sea.foam,
    radius: round(20),
    shadow: shade.raised,
  },
  traits: [stateTrait("fare", "Fare", ["Single trip", "Season pass"], "checked", "Season pass")],
  rules: [
    {
      id: "other",
      trigger: { type: "click" },
      source: "switch",
      effects: [steps("fare", "opposite")],
      motion: motion("tween", 220, "ease-in-out"),
    },
  ],
  inside: [
    box(
      "head",
      "Head",
      {
        widthMode: "stretch",
        heightMode: "fit",
        arrange: "row",
        align: "centre",
        justify: "between",
      },
      [
        text("title", "Title", { text: "Single trip", style: style.heading, fill: sea.ink }),
        copy("switch", "Season switch", {
          component: "alert-switch",
          "option:labelled": false,
          "option:spoken": "Season pass",
          "trait:alerts": valueId("alerts", "off"),
        }),
      ],
    ),
    box(
      "price",
      "Price",
      { widthMode: "fit", heightMode: "fit", arrange: "row", gap: 6, align: "end" },
      [
        text("amount", "Amount", { text: "14", style: style.number, fill: sea.tide }),
        text("per", "Per", { text: "crowns a crossing", style: style.note, fill: sea.slate }),
      ],
    ),
    line("rule", "Rule", {
      widthMode: "stretch",
      height: 1,
      borderColour: "#1c2f3a1f",
      borderWidth: 1,
    }),
    feature("seat", "A seat in the saloon"),
    feature("bike", "One bicycle"),
    feature("return", "Back until midnight"),
    box(
      "choose",
      "Choose button",
      {
        widthMode: "stretch",
        height: 46,
        arrange: "row",
        align: "centre",
        justify: "centre",
        radius: full,
        fill: sea.tide,
      },
      [
        text("choose-words", "Choose words", {
          text: "Take this trip",
          style: style.button,
          fill: sea.foam,
        }),
      ],
    ),
  ],
  looks: [
    {
      when: { fare: "Season pass" },
      changes: {
        title: { text: "Season pass" },
        switch: { "trait:alerts": valueId("alerts", "on") },
        amount: { text: "420", fill: sea.kelpDark },
        per: { text: "crowns a season" },
        "seat-words": { text: "A seat on every deck" },
        "bike-words": { text: "Bicycle or dog, any time" },
        "return-words": { text: "All crossings till October" },
        choose: { fill: sea.kelpDark },
        "choose-words": { text: "Take the pass" },
      },
    },
  ],
};
