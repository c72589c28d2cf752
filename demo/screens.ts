import { OPTION, TRAIT } from "#core/properties";
import type { SpecifiedValue } from "#core/properties";
import { sea, shade, style } from "./colours";
import { box, copy, ellipse, icon, motion, shape, stateTrait, steps, text, valueId } from "./build";
import type { Drawn, Source } from "./build";

const row = (id: string, y: number, words: string, on: boolean): Drawn =>
  copy(id, words, {
    component: "alert-switch",
    x: 214,
    y,
    [OPTION + "words"]: words,
    [OPTION + "labelled"]: false,
    [OPTION + "spoken"]: words,
    [TRAIT + "alerts"]: valueId("alerts", on ? "on" : "off"),
  });

const settingRow = (id: string, y: number, words: string, note: string, on: boolean): Drawn[] => [
  text(`${id}-title`, `${words} title`, {
    x: 40,
    y: y + 6,
    text: words,
    size: 17,
    weight: "500",
    fill: sea.ink,
  }),
  text(`${id}-note`, `${words} note`, { x: 40, y: y + 30, text: note, size: 13, fill: sea.slate }),
  { ...row(id, y, words, on), values: { ...row(id, y, words, on).values, x: 276 } },
];

const card = (id: string, name: string, y: number, height: number): Drawn =>
  box(id, name, {
    x: 20,
    y,
    width: 350,
    height,
    radius: { token: "size-card" },
    fill: sea.foam,
    shadow: [{ x: 0, y: 2, blur: 10, spread: 0, colour: "#1c2f3a14" }],
  });

const ridge = (id: string, name: string, values: Record<string, SpecifiedValue>): Drawn =>
  shape(id, name, values);

/** Settings of one trip: three switches, a tick box, and the way to the cabin. */
export const tripSettings: Source = {
  id: "trip-settings",
  kind: "screen",
  name: "Trip settings",
  values: { width: 390, height: 844, fill: sea.sand, clip: true },
  inside: [
    box("head", "Head", { width: 390, height: 188, fill: sea.tide, clip: true }, [
      ellipse("sun", "Sun", { x: 292, y: 44, width: 58, height: 58, fill: sea.sun }),
      ridge("far", "Far hills", {
        x: -20,
        y: 92,
        width: 430,
        height: 110,
        fill: "#1f6170",
        shape: "M0 60 C20 0 35 20 50 45 C65 70 80 10 100 40 L100 100 L0 100 Z",
      }),
      ridge("near", "Waves", {
        x: -20,
        y: 142,
        width: 430,
        height: 60,
        fill: "#2b8085",
        shape: "M0 40 C15 0 25 0 40 35 C55 70 65 10 80 20 C90 25 95 45 100 35 L100 100 L0 100 Z",
      }),
      text("title", "Title", {
        x: 24,
        y: 54,
        text: "Trip settings",
        size: 28,
        weight: "600",
        fill: sea.foam,
      }),
      text("subtitle", "Subtitle", {
        x: 24,
        y: 92,
        text: "Saltholm to Gull Isle, 14:20",
        size: 15,
        fill: "#d5e6e6",
      }),
    ]),
    card("alerts", "Alerts card", 208, 236),
    ...settingRow("dock", 224, "Dock alerts", "When your berth changes", true),
    ...settingRow("delays", 300, "Delay alerts", "Ten minutes or more", false),
    ...settingRow("weather", 376, "Weather alerts", "Strong wind on the sound", false),
    card("luggage", "Luggage card", 464, 76),
    copy("bicycle", "Bicycle", { component: "bicycle-tick-box", x: 30, y: 480 }),
    box(
      "cabin",
      "Cabin link",
      {
        x: 20,
        y: 560,
        width: 350,
        height: 64,
        radius: { token: "size-card" },
        fill: sea.tide,
        role: "link",
      },
      [
        text("cabin-label", "Cabin link label", {
          x: 22,
          y: 21,
          text: "Cabin climate",
          size: 17,
          weight: "500",
          fill: sea.foam,
        }),
        shape("cabin-arrow", "Arrow", {
          x: 314,
          y: 25,
          width: 8,
          height: 14,
          shape: "M0 0 L100 50 L0 100",
          borderColour: sea.foam,
          borderWidth: 2.5,
        }),
      ],
    ),
    box(
      "tell",
      "Tell us link",
      {
        x: 20,
        y: 644,
        width: 350,
        height: 56,
        radius: { token: "size-card" },
        fill: sea.foam,
        role: "button",
      },
      [
        text("tell-label", "Tell us label", {
          x: 22,
          y: 17,
          text: "Tell us about the crossing",
          size: 17,
          weight: "500",
          fill: sea.tide,
        }),
      ],
    ),
  ],
  rules: [
    {
      id: "to-notice",
      trigger: { type: "click" },
      source: "tell",
      effects: [{ type: "open", screen: "notice" }],
      motion: motion("tween", 220, "ease-out"),
    },
    {
      id: "to-cabin",
      trigger: { type: "click" },
      source: "cabin",
      effects: [{ type: "go", screen: "cabin-climate" }],
      motion: motion("fade", 260, "ease-in-out"),
    },
  ],
};

const climate = (id: string, y: number, words: string, note: string, on: boolean): Drawn[] => [
  card(`${id}-card`, `${words} card`, y - 12, 84),
  ...settingRow(id, y, words, note, on),
];

/** Three independent switches: all eight combinations from three placed copies. */
export const cabinClimate: Source = {
  id: "cabin-climate",
  kind: "screen",
  name: "Cabin climate",
  values: { width: 390, height: 844, fill: sea.mist, clip: true },
  inside: [
    box(
      "back",
      "Back",
      { x: 16, y: 44, width: 112, height: 40, radius: [20, 20, 20, 20], role: "link" },
      [
        shape("back-arrow", "Back arrow", {
          x: 12,
          y: 13,
          width: 8,
          height: 14,
          shape: "M100 0 L0 50 L100 100",
          borderColour: sea.tide,
          borderWidth: 2.5,
        }),
        text("back-label", "Back label", {
          x: 32,
          y: 9,
          text: "Settings",
          size: 16,
          weight: "500",
          fill: sea.tide,
        }),
      ],
    ),
    text("title", "Title", {
      x: 24,
      y: 98,
      text: "Cabin 214",
      size: 28,
      weight: "600",
      fill: sea.ink,
    }),
    text("subtitle", "Subtitle", {
      x: 24,
      y: 136,
      text: "Port side, upper deck",
      size: 15,
      fill: sea.slate,
    }),
    ellipse("porthole", "Porthole", {
      x: 125,
      y: 176,
      width: 140,
      height: 140,
      fill: "#9fd0d6",
      borderColour: sea.tide,
      borderWidth: 12,
    }),
    shape("horizon", "Horizon", {
      x: 137,
      y: 246,
      width: 116,
      height: 58,
      fill: "#2b8085",
      shape: "M0 10 C20 -8 30 20 50 8 C70 -4 80 16 100 8 C97 60 75 100 50 100 C25 100 3 60 0 10 Z",
    }),
    ...climate("heating", 356, "Heating", "Twenty-one degrees", true),
    ...climate("air", 452, "Fresh air", "From the sun deck", false),
    ...climate("light", 548, "Night light", "Low, by the door", false),
  ],
  rules: [
    {
      id: "to-settings",
      trigger: { type: "click" },
      source: "back",
      effects: [{ type: "back" }],
      motion: motion("fade", 260, "ease-in-out"),
    },
  ],
};

/** The notice over another screen; a cross inside the component closes it. */
export const noticeScreen: Source = {
  id: "notice",
  kind: "screen",
  name: "Notice",
  values: { width: 342, height: 330 },
  overlay: { place: "centre", dim: 0.45, closes: true },
  inside: [copy("form", "Service notice", { component: "service-notice", x: 0, y: 0 })],
  rules: [
    {
      id: "closed",
      trigger: { type: "signal", signal: "closed" },
      source: "form",
      effects: [{ type: "close" }],
      motion: motion("tween", 180, "ease-in"),
    },
  ],
};

/** Buying a ticket: decks, fare and the buttons of the kit on one screen. */
export const ticketScreen: Source = {
  id: "ticket",
  kind: "screen",
  name: "Ticket",
  values: { width: 390, height: 844, fill: sea.sand, clip: true },
  inside: [
    copy("menu", "Menu", { component: "menu-button", x: 14, y: 36 }),
    text("title", "Title", {
      x: 88,
      y: 52,
      text: "To Gull Isle",
      style: style.title,
      fill: sea.ink,
    }),
    text("back", "Back", {
      x: 88,
      y: 88,
      text: "‹ All piers",
      style: style.note,
      fill: sea.slate,
      touch: 10,
      role: "link",
    }),
    copy("bell", "Bell", { component: "route-bell", x: 306, y: 32 }),
    copy("decks", "Decks", { component: "deck-tabs", x: 24, y: 112 }),
    copy("follow", "Follow", { component: "follow-crossing-button", x: 250, y: 470 }),
    text("seats", "Seats title", {
      x: 24,
      y: 484,
      text: "Where will you sit?",
      style: style.heading,
      fill: sea.ink,
    }),
    copy("plan", "Seats", {
      component: "seat-plan",
      x: 65,
      y: 528,
      scale: [0.7, 0.7],
      pivot: [0, 0],
    }),
    copy("board", "Board", { component: "board-now-button", x: 83, y: 752 }),
  ],
  rules: [
    {
      id: "back",
      trigger: { type: "click" },
      source: "back",
      effects: [{ type: "back" }],
      motion: { ...motion("slide", 300, [0.2, 0.8, 0.2, 1]), to: "right" },
    },
  ],
};

/** The pier: a map with pins, the dock bar below, and the crew's chat that a button brings up. */
export const saltholmPier: Source = {
  id: "saltholm-pier",
  kind: "screen",
  name: "Saltholm pier",
  values: { width: 390, height: 844, fill: sea.sky, clip: true },
  traits: [stateTrait("chat", "Chat", ["closed", "open"], "expanded", "open")],
  rules: [
    {
      id: "chat",
      trigger: { type: "click" },
      source: "crew",
      effects: [steps("chat", "opposite")],
      motion: motion("tween", 260, "ease-in-out"),
    },
    // the dock bar leads on; where one comes back to, it shows where one is
    ...(
      [
        ["home", { type: "go", screen: "trip-settings" }],
        ["ticket", { type: "go", screen: "ticket" }],
        ["crew", steps("chat", "opposite")],
      ] as const
    ).map(([signal, leads]) => ({
      id: `dock-${signal}`,
      trigger: { type: "signal" as const, signal },
      source: "dock",
      effects: [
        {
          type: "nested" as const,
          layer: "dock",
          trait: "place",
          to: { value: valueId("place", "Map") },
        },
        leads,
      ],
      motion: { ...motion("slide", 360, [0.2, 0.8, 0.2, 1]), to: "left" as const },
    })),
    {
      id: "to-gull",
      trigger: { type: "signal", signal: "chosen" },
      source: "gull",
      effects: [{ type: "go", screen: "ticket" }],
      motion: { ...motion("slide", 360, [0.2, 0.8, 0.2, 1]), to: "left" },
    },
  ],
  inside: [
    shape("island", "Island", {
      x: -30,
      y: 120,
      width: 300,
      height: 330,
      shape: "M30 0 C60 -6 80 14 88 40 C96 66 100 90 70 98 C40 106 4 94 0 60 C-4 30 8 4 30 0 Z",
      fill: "#cfe0b8",
      borderColour: sea.sand,
      borderWidth: 10,
      borderAt: "outside",
    }),
    shape("isle", "Gull Isle", {
      x: 250,
      y: 420,
      width: 190,
      height: 190,
      shape: "M50 0 C84 0 100 24 96 56 C92 88 70 100 44 98 C14 96 0 70 6 42 C10 16 24 0 50 0 Z",
      fill: "#cfe0b8",
      borderColour: sea.sand,
      borderWidth: 10,
      borderAt: "outside",
    }),
    shape("route", "Route", {
      x: 186,
      y: 300,
      width: 104,
      height: 190,
      shape: "M0 0 C20 60 70 40 100 100",
      borderColour: sea.foam,
      borderWidth: 4,
      borderStyle: "dashed",
    }),
    copy("saltholm", "Saltholm pin", {
      component: "pier-pin",
      x: 86,
      y: 174,
      [TRAIT + "bubble"]: valueId("bubble", "open"),
    }),
    copy("gull", "Gull Isle pin", {
      component: "pier-pin",
      x: 190,
      y: 376,
      [OPTION + "name"]: "Gull Isle",
      [OPTION + "note"]: "Four a day",
      [OPTION + "photo"]: {
        kind: "picture",
        picture: "picture-gull-isle",
        fit: "cover",
        focus: [30, 60],
      },
    }),
    box(
      "head",
      "Head",
      {
        x: 20,
        y: 48,
        width: 350,
        height: 56,
        radius: { token: "size-card" },
        fill: sea.foam,
        shadow: shade.card,
        arrange: "row",
        align: "centre",
        justify: "between",
        padding: [0, 8, 0, 18],
      },
      [
        text("title", "Title", { text: "Piers", style: style.heading, fill: sea.ink }),
        box(
          "crew",
          "Crew button",
          {
            width: 40,
            height: 40,
            radius: [20, 20, 20, 20],
            fill: sea.tide,
            role: "button",
            label: "Talk to the crew",
          },
          [
            icon("crew-icon", "Chat icon", {
              x: 10,
              y: 10,
              width: 20,
              height: 20,
              icon: "icon-chat-dots",
              fill: sea.foam,
            }),
          ],
        ),
      ],
    ),
    copy("chat", "Crew chat", {
      component: "crew-chat",
      x: 60,
      y: 300,
      opacity: 0,
      visible: false,
    }),
    copy("dock", "Dock bar", {
      component: "harbour-dock-bar",
      x: 16,
      y: 712,
      [TRAIT + "place"]: valueId("place", "Map"),
    }),
  ],
  looks: [
    {
      when: { chat: "open" },
      changes: { chat: { opacity: 1, visible: true }, crew: { fill: sea.kelpDark } },
    },
  ],
};
