import { raw, sea, shade, style } from "../colours";
import {
  becomes,
  box,
  compound,
  curve,
  ellipse,
  icon,
  lane,
  motion,
  namedPose,
  picture,
  polygon,
  settling,
  spring,
  steps,
  text,
  stateTrait,
  trait,
} from "../build";
import type { Drawn, Source } from "../build";
import { full } from "./buttons";

const calm = "ease-in-out";

/**
 * A bell for one route: entering makes it wiggle once, a click fills it with a swell that settles,
 * another empties it.
 */
export const routeBell: Source = {
  id: "route-bell",
  kind: "component",
  name: "Route bell",
  values: { width: 72, height: 72, role: "button", label: "Route alerts" },
  traits: [
    stateTrait("rings", "Rings", ["no", "yes"], "pressed", "yes"),
    trait("contact", "Contact", ["none", "hovered"]),
  ],
  rules: [
    {
      id: "hover",
      trigger: { type: "hover" },
      effects: [becomes("contact", "hovered")],
      undo: true,
      motion: motion("tween", 120),
    },
    // once for each time it is entered, whatever it is then
    {
      id: "wiggle",
      trigger: { type: "enter" },
      effects: [{ type: "stir" }],
      motion: {
        ...motion("tween", 560),
        lanes: [
          lane("bell", "rotation", 0, 560, "ease-out", [
            { at: 0.18, value: -15, easing: "ease-out" },
            { at: 0.42, value: 12, easing: calm },
            { at: 0.64, value: -7, easing: calm },
            { at: 0.83, value: 3, easing: calm },
          ]),
        ],
      },
    },
    {
      id: "fill",
      trigger: { type: "click" },
      when: { rings: "no" },
      effects: [becomes("rings", "yes")],
      motion: {
        ...motion("tween", 160),
        lanes: [
          lane("bell", "scale", 0, 620, settling, [
            { at: 0.2, value: [1.24, 1.24], easing: "ease-out" },
          ]),
          lane("ground", "scale", 0, 620, settling, [
            { at: 0.24, value: [1.09, 1.09], easing: "ease-out" },
          ]),
          lane("dot", "scale", 120, 420, settling),
        ],
      },
    },
    {
      id: "empty",
      trigger: { type: "click" },
      when: { rings: "yes" },
      effects: [becomes("rings", "no")],
      motion: motion("tween", 160),
    },
  ],
  inside: [
    ellipse("ground", "Ground", {
      x: 8,
      y: 8,
      width: 56,
      height: 56,
      fill: sea.foam,
      borderColour: "#1c2f3a26",
      borderWidth: 1.5,
    }),
    icon("bell", "Bell", {
      x: 22,
      y: 21,
      width: 28,
      height: 28,
      icon: "icon-bell",
      fill: sea.ink,
      pivot: [50, 8],
    }),
    ellipse("dot", "Dot", {
      x: 44,
      y: 17,
      width: 12,
      height: 12,
      fill: sea.buoy,
      borderColour: sea.foam,
      borderWidth: 2,
      scale: [0, 0],
    }),
  ],
  looks: [
    {
      when: { rings: "yes" },
      changes: {
        bell: { icon: "icon-bell-fill", fill: sea.buoy },
        ground: { fill: "#fdeee5", borderColour: sea.buoy },
        dot: { scale: [1, 1] },
      },
    },
    { when: { contact: "hovered" }, changes: { ground: { borderColour: sea.ink } } },
    {
      when: { rings: "yes", contact: "hovered" },
      changes: { ground: { borderColour: sea.buoyDark }, bell: { fill: sea.buoyDark } },
    },
  ],
};

const places = [
  ["home", "Home", "icon-house-door"],
  ["map", "Map", "icon-map"],
  ["ticket", "Tickets", "icon-ticket-perforated"],
  ["crew", "Crew", "icon-people"],
] as const;
const STEP = 88;
const FIRST = 47;
const middle = (i: number) => FIRST + i * STEP;

const place = ([id, name, sign]: (typeof places)[number], i: number): Drawn[] => [
  // the icon lies above its label, so that a finger on the label finds the icon's touch area
  text(`${id}-label`, `${name} label`, {
    x: middle(i) - 40,
    y: 80,
    width: 80,
    widthMode: "fixed",
    alignText: "centre",
    text: name,
    style: style.note,
    fill: sea.foam,
    opacity: 0,
  }),
  icon(id, `${name} icon`, {
    x: middle(i) - 12,
    y: 52,
    width: 24,
    height: 24,
    icon: sign,
    fill: sea.sky,
    touch: 20,
    role: "link",
    label: name,
  }),
];

/**
 * Four places; a notch in the bar and a glowing disc lie where one is. The notch is subtracted from
 * the bar and can be edited.
 */
export const harbourDockBar: Source = {
  id: "harbour-dock-bar",
  kind: "component",
  name: "Harbour dock bar",
  values: { width: 358, height: 112 },
  traits: [
    stateTrait(
      "place",
      "Place",
      places.map(([, name]) => name),
      "current",
    ),
  ],
  rules: places.map(([id, name]) => ({
    id: `to-${id}`,
    trigger: { type: "click" as const },
    source: id,
    // whatever is around answers, and leads there
    effects: [becomes("place", name), { type: "raise" as const, signal: id }],
    motion: {
      ...motion("tween", 300, "ease-in-out"),
      lanes: [
        // notch, disc and glow go as one; icons change colour as the disc leaves them and comes to
        // them
        ...["notch", "disc", "glow"].map((part) => lane(part, null, 0, 0, spring(520, 0.22))),
        ...places.flatMap(([other]) => [
          lane(`${other}-label`, null, other === id ? 160 : 0, 180, "ease-out"),
          lane(other, "fill", other === id ? 150 : 0, 110, "ease-out"),
        ]),
        ...places.map(([other]) =>
          lane(other, "y", other === id ? 90 : 0, 0, spring(420, other === id ? 0.35 : 0.1)),
        ),
      ],
    },
  })),
  signals: places.map(([id, name]) => ({ id, name })),
  inside: [
    compound(
      "bar",
      "Bar",
      {
        x: 0,
        y: 32,
        width: 358,
        height: 80,
        combine: "subtracted",
        fill: sea.tide,
        shadow: shade.float,
      },
      [
        box("slab", "Slab", { width: 358, height: 80, radius: [22, 22, 22, 22], fill: sea.foam }),
        ellipse("notch", "Notch", {
          x: middle(0) - 36,
          y: -36,
          width: 72,
          height: 68,
          fill: sea.foam,
        }),
      ],
    ),
    ellipse("glow", "Glow", {
      x: middle(0) - 30,
      y: 0,
      width: 60,
      height: 60,
      fill: raw.sun,
      blur: 14,
      opacity: 0.65,
    }),
    ellipse("disc", "Disc", {
      x: middle(0) - 26,
      y: 4,
      width: 52,
      height: 52,
      fill: {
        kind: "radial",
        centre: [0.5, 0.3],
        radii: [0.7, 0.7],
        stops: [
          { at: 0, colour: "#ffe09a" },
          { at: 1, colour: raw.sun },
        ],
      },
    }),
    ...places.flatMap(place),
  ],
  looks: places.map(([id, name], i) => ({
    when: { place: name },
    changes: {
      ...(i > 0
        ? { notch: { x: middle(i) - 36 }, glow: { x: middle(i) - 30 }, disc: { x: middle(i) - 26 } }
        : {}),
      // the disc is as light at night
      [id]: { y: 18, fill: raw.ink },
      [`${id}-label`]: { opacity: 1 },
    },
  })),
};

/**
 * A pin on the map; a tap lets a bubble with picture and name snap out. The bubble is a box and a
 * tip united.
 */
export const pierPin: Source = {
  id: "pier-pin",
  kind: "component",
  name: "Pier pin",
  values: { width: 200, height: 132 },
  traits: [stateTrait("bubble", "Bubble", ["closed", "open"], "expanded", "open")],
  rules: [
    {
      id: "tap",
      trigger: { type: "click" },
      source: "pin",
      effects: [steps("bubble", "opposite")],
      motion: {
        ...motion("tween", 240, "ease-out"),
        lanes: [
          lane("bubble", "presence", 0, 0, curve("Spring")),
          lane("photo", "scale", 0, 420, "linear", [
            { at: 0.2, value: [0.6, 0.6], easing: "linear" },
            { at: 1, value: [1, 1], easing: curve("Overshoot") },
          ]),
        ],
      },
    },
    {
      id: "choose",
      trigger: { type: "click" },
      source: "bubble",
      when: { bubble: "open" },
      effects: [{ type: "raise", signal: "chosen" }],
      motion: motion("cut", 0),
    },
  ],
  signals: [{ id: "chosen", name: "chosen" }],
  inside: [
    box(
      "bubble",
      "Bubble",
      {
        x: 10,
        y: 8,
        width: 180,
        height: 84,
        pivot: [50, 116],
        visible: false,
        comesFrom: namedPose("pops up"),
        role: "button",
      },
      [
        compound(
          "shape",
          "Bubble shape",
          {
            x: 0,
            y: 0,
            width: 180,
            height: 84,
            combine: "united",
            fill: sea.foam,
            shadow: shade.raised,
          },
          [
            box("card", "Card", {
              width: 180,
              height: 72,
              radius: [16, 16, 16, 16],
              fill: sea.foam,
            }),
            polygon("tip", "Tip", {
              x: 78,
              y: 66,
              width: 24,
              height: 18,
              rotation: 180,
              fill: sea.foam,
              rounding: 3,
            }),
          ],
        ),
        ellipse("photo", "Photo", {
          x: 10,
          y: 10,
          width: 52,
          height: 52,
          fill: { kind: "picture", picture: "picture-saltholm", fit: "cover", focus: [22, 60] },
          borderColour: sea.sky,
          borderWidth: 2,
        }),
        text("name", "Name", {
          x: 72,
          y: 14,
          text: "Saltholm",
          style: style.heading,
          fill: sea.ink,
        }),
        text("note", "Note", {
          x: 72,
          y: 40,
          text: "Every 20 min",
          style: style.note,
          fill: sea.slate,
        }),
      ],
    ),
    ellipse("shadow", "Ground shadow", {
      x: 88,
      y: 122,
      width: 24,
      height: 7,
      fill: "#1c2f3a59",
      blur: 3,
    }),
    box(
      "pin",
      "Pin",
      { x: 82, y: 94, width: 36, height: 34, role: "button", label: "Pier on the map" },
      [
        polygon("point", "Point", {
          x: 9,
          y: 20,
          width: 18,
          height: 14,
          rotation: 180,
          fill: sea.buoy,
          rounding: 2,
        }),
        ellipse("head", "Head", { x: 4, y: 0, width: 28, height: 28, fill: sea.buoy }),
        ellipse("hole", "Hole", { x: 12, y: 8, width: 12, height: 12, fill: sea.foam }),
      ],
    ),
  ],
  looks: [
    {
      when: { bubble: "open" },
      changes: {
        bubble: { visible: true },
        head: { fill: sea.tide },
        point: { fill: sea.tide },
      },
    },
  ],
  options: [
    { id: "name", name: "Name", layer: "name", key: "text" },
    { id: "note", name: "Note", layer: "note", key: "text" },
    { id: "photo", name: "Photo", layer: "photo", key: "fill" },
  ],
};

/** A round portrait with a ring. */
export const portrait = (
  id: string,
  name: string,
  values: Record<string, number>,
  of: string,
): Drawn =>
  picture(id, name, {
    ...values,
    picture: of,
    radius: full,
    borderColour: sea.foam,
    borderWidth: 2,
    borderAt: "outside",
  });
