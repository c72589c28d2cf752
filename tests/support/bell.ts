import { becomes, motion, piece, trait } from "../../demo/build";
import type { Source } from "../../demo/build";
import { routeBell } from "../../demo/parts/pins";
import type { Piece } from "#core/project";

const wiggle = ["still", "left", "right", "back"] as const;
const beat = (from: (typeof wiggle)[number], to: (typeof wiggle)[number]) => ({
  id: `wiggle-${from}`,
  trigger: { type: "delay" as const, ms: 80 },
  when: { wiggle: from },
  effects: [becomes("wiggle", to)],
  motion: motion("tween", 90, "ease-in-out"),
});

/** The Route bell with its wiggle and its swell as variants, as one may also build it. */
const source: Source = {
  id: "route-bell",
  kind: "component",
  name: "Route bell",
  values: { width: 72, height: 72 },
  traits: [
    trait("rings", "Rings", ["no", "yes"]),
    trait("contact", "Contact", ["none", "hovered"]),
    trait("wiggle", "Wiggle", wiggle),
    trait("swell", "Swell", ["no", "yes"]),
  ],
  rules: [
    {
      id: "hover",
      trigger: { type: "hover" },
      effects: [becomes("contact", "hovered")],
      undo: true,
      motion: motion("tween", 120),
    },
    {
      id: "wiggle",
      trigger: { type: "enter" },
      when: { swell: "no" },
      effects: [becomes("wiggle", "left")],
      motion: motion("tween", 70),
    },
    beat("left", "right"),
    beat("right", "back"),
    beat("back", "still"),
    {
      id: "fill",
      trigger: { type: "click" },
      when: { rings: "no" },
      effects: [becomes("rings", "yes"), becomes("swell", "yes"), becomes("wiggle", "still")],
      motion: motion("tween", 140),
    },
    {
      id: "settle",
      trigger: { type: "settled" },
      when: { swell: "yes" },
      effects: [becomes("swell", "no")],
      motion: motion("tween", 260, [0.3, 1.6, 0.5, 1]),
    },
    {
      id: "empty",
      trigger: { type: "click" },
      when: { rings: "yes" },
      effects: [becomes("rings", "no"), becomes("swell", "no"), becomes("wiggle", "still")],
      motion: motion("tween", 140),
    },
  ],
  inside: routeBell.inside,
  looks: [
    ...(routeBell.looks ?? []),
    { when: { wiggle: "left" }, changes: { bell: { rotation: -14 } } },
    { when: { wiggle: "right" }, changes: { bell: { rotation: 12 } } },
    { when: { wiggle: "back" }, changes: { bell: { rotation: -7 } } },
    {
      when: { swell: "yes" },
      changes: { bell: { scale: [1.22, 1.22] }, ground: { scale: [1.08, 1.08] } },
    },
  ],
  unused: [
    { wiggle: ["left", "right", "back"], swell: "yes" },
    { rings: "no", swell: "yes" },
  ],
};

export const bellOfVariants = (order: string): Piece => piece(source, order);
