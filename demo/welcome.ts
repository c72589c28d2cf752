import { findingId } from "#core/checks";
import { TRAIT } from "#core/properties";
import { raw, sea, shade, style } from "./colours";
import {
  becomes,
  box,
  copy,
  ellipse,
  icon,
  lane,
  motion,
  shape,
  spring,
  text,
  stateTrait,
  trait,
  valueId,
} from "./build";
import type { Drawn, Source } from "./build";

const WAVE = 130;
/**
 * A strip of waves one longer than the screen is wide, so that it can move by one and look the
 * same.
 */
const waves = (id: string, name: string, y: number, fill: string, opacity: number): Drawn => {
  const n = 4;
  const step = 100 / n;
  const top = Array.from(
    { length: n },
    (_, i) =>
      `C${i * step + step * 0.25} 0 ${i * step + step * 0.25} 0 ${i * step + step / 2} 12 C${i * step + step * 0.75} 24 ${i * step + step * 0.75} 24 ${(i + 1) * step} 12`,
  ).join(" ");
  return shape(id, name, {
    x: 0,
    y,
    width: WAVE * n,
    height: 150,
    shape: `M0 12 ${top} L100 100 L0 100 Z`,
    fill,
    opacity,
  });
};

const tabs = [
  ["today", "Today", "icon-sun"],
  ["trips", "Trips", "icon-ticket-perforated"],
] as const;
const tabBox = ([id, name, sign]: (typeof tabs)[number], i: number): Drawn =>
  box(
    `${id}-tab`,
    `${name} tab`,
    {
      x: 4 + i * 151,
      y: 4,
      width: 151,
      height: 44,
      arrange: "row",
      align: "centre",
      justify: "centre",
      gap: 8,
      role: "tab",
      label: name,
    },
    [
      icon(`${id}-sign`, `${name} sign`, { width: 18, height: 18, icon: sign, fill: sea.foam }),
      text(`${id}-words`, `${name} words`, { text: name, style: style.button, fill: sea.foam }),
    ],
  );

const sailing = (id: string, y: number, to: string, when: string): Drawn =>
  box(
    id,
    `${to} row`,
    {
      x: 0,
      y,
      width: 310,
      height: 62,
      radius: [16, 16, 16, 16],
      fill: sea.foam,
      shadow: shade.card,
    },
    [
      icon(`${id}-sign`, "Ship", {
        x: 16,
        y: 19,
        width: 24,
        height: 24,
        icon: "icon-life-preserver",
        fill: sea.lagoon,
      }),
      text(`${id}-to`, "To", { x: 54, y: 11, text: to, style: style.heading, fill: sea.ink }),
      text(`${id}-when`, "When", { x: 54, y: 36, text: when, style: style.note, fill: sea.slate }),
    ],
  );

const away = (y: number) => ({ y, opacity: 0 });
/** What flies in, in this order, and from how far below, px. */
const pieces = ["sun", "title", "line", "cards", "tabs"] as const;

/** From blank, pieces fly in one after another; then two tabs; and small waves that never stop. */
export const welcome: Source = {
  accepted: [
    {
      id: findingId("no-way-back", "arrived", valueId("arrived", "yes")),
      reason: "One arrives once; the screen is blank only at the beginning.",
    },
  ],
  id: "welcome",
  kind: "screen",
  name: "Welcome",
  values: {
    width: 390,
    height: 844,
    fill: { token: "gradient-morning" },
    clip: true,
  },
  traits: [
    trait("arrived", "Arrived", ["no", "yes"]),
    stateTrait("tab", "Tab", ["Today", "Trips"], "selected"),
  ],
  inside: [
    ellipse("sun", "Sun", { x: 255, y: 70, width: 96, height: 96, fill: raw.sun }),
    text("title", "Title", {
      x: 40,
      y: 120,
      text: "Good morning,\nislander",
      style: style.title,
      fill: sea.ink,
    }),
    text("line", "Line", {
      x: 40,
      y: 200,
      text: "Three boats leave today.",
      style: style.body,
      fill: sea.slate,
    }),
    box("cards", "Cards", { x: 40, y: 250, width: 310, height: 210, clip: false }, [
      box("today", "Today page", { width: 310, height: 210 }, [
        sailing("gull", 0, "Gull Isle", "14:20, pier 2"),
        sailing("saltholm", 74, "Saltholm", "15:00, pier 2"),
        sailing("night", 148, "Night boat", "23:05, pier 1"),
      ]),
      box("trips", "Trips page", { x: 40, width: 310, height: 210, opacity: 0, visible: false }, [
        sailing("booked", 0, "Saltholm and back", "Saturday, two seats"),
        sailing("past", 74, "Gull Isle", "Last week, one bicycle"),
      ]),
    ]),
    box("sea", "Sea", { x: 0, y: 640, width: 390, height: 204, clip: true }, [
      waves("far", "Far waves", 20, raw.sky, 0.8),
      waves("near", "Near waves", 54, raw.lagoon, 1),
    ]),
    box(
      "tabs",
      "Tabs",
      {
        x: 40,
        y: 560,
        width: 310,
        height: 52,
        radius: [26, 26, 26, 26],
        fill: sea.tide,
        shadow: shade.float,
        role: "tablist",
        label: "Pages",
      },
      [
        box("mark", "Mark", {
          x: 4,
          y: 4,
          width: 151,
          height: 44,
          radius: [22, 22, 22, 22],
          fill: sea.lagoon,
        }),
        ...tabs.map(tabBox),
      ],
    ),
    copy("dock", "Dock bar", {
      component: "harbour-dock-bar",
      x: 16,
      y: 716,
      [`${TRAIT}place`]: valueId("place", "Home"),
    }),
  ],
  looks: [
    {
      when: { arrived: "no" },
      changes: {
        sun: { ...away(180), scale: [0.4, 0.4] },
        title: away(170),
        line: away(250),
        cards: away(330),
        tabs: away(640),
        dock: { y: 860 },
      },
    },
    {
      when: { tab: "Trips" },
      changes: {
        mark: { x: 155 },
        today: { x: -40, opacity: 0, visible: false },
        trips: { x: 0, opacity: 1, visible: true },
      },
    },
  ],
  rules: [
    {
      id: "arrive",
      trigger: { type: "delay", ms: 250, tokens: { ms: "pace-beat" } },
      when: { arrived: "no" },
      effects: [becomes("arrived", "yes")],
      motion: {
        ...motion("tween", 420, "ease-out"),
        lanes: [
          ...pieces.flatMap((id, i) => [
            lane(id, null, i * 110, 0, spring(620, 0.22)),
            lane(id, "opacity", i * 110, 260, "ease-out"),
          ]),
          lane("dock", null, 620, 0, spring(620, 0.18)),
        ],
      },
    },
    {
      id: "waves",
      trigger: { type: "delay", ms: 0 },
      effects: [{ type: "stir" }],
      motion: {
        ...motion("tween", 100),
        lanes: [
          lane("far", "x", 0, 7000, "linear", [{ at: 1, value: -WAVE, easing: "linear" }], 0),
          lane("near", "x", 0, 4600, "linear", [{ at: 1, value: -WAVE, easing: "linear" }], 0),
        ],
      },
    },
    ...tabs.map(([id, name]) => ({
      id: `show-${id}`,
      trigger: { type: "click" as const },
      source: `${id}-tab`,
      effects: [becomes("tab", name)],
      motion: {
        ...motion("tween", 240, "ease-in-out"),
        lanes: [
          // what goes is gone before what comes can be read
          lane("mark", null, 0, 0, spring(420, 0.2)),
          ...tabs.map(([other]) =>
            lane(
              other,
              null,
              other === id ? 110 : 0,
              other === id ? 200 : 110,
              other === id ? "ease-out" : "ease-in",
            ),
          ),
        ],
      },
    })),
  ],
};
