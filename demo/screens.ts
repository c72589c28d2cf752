import type { Value } from "#core/properties";
import { OPTION, TRAIT } from "#core/properties";
import { sea } from "./colours";
import { box, copy, ellipse, motion, shape, text, valueId } from "./build";
import type { Drawn, Source } from "./build";

const row = (id: string, y: number, words: string, on: boolean): Drawn =>
  copy(id, words, { component: "alert-switch", x: 214, y, [OPTION + "words"]: words, [OPTION + "labelled"]: false, [TRAIT + "alerts"]: valueId("alerts", on ? "on" : "off") });

const settingRow = (id: string, y: number, words: string, note: string, on: boolean): Drawn[] => [
  text(`${id}-title`, `${words} title`, { x: 40, y: y + 6, text: words, size: 17, weight: "500", fill: sea.ink }),
  text(`${id}-note`, `${words} note`, { x: 40, y: y + 30, text: note, size: 13, fill: sea.slate }),
  { ...row(id, y, words, on), values: { ...row(id, y, words, on).values, x: 276 } },
];

const card = (id: string, name: string, y: number, height: number): Drawn =>
  box(id, name, { x: 20, y, width: 350, height, radius: [18, 18, 18, 18], fill: sea.foam, shadow: [{ x: 0, y: 2, blur: 10, spread: 0, colour: "#1c2f3a14" }] });

const ridge = (id: string, name: string, values: Record<string, Value>): Drawn => shape(id, name, values);

/** Settings of one trip: three switches, a tick box, and the way to the cabin. */
export const tripSettings: Source = {
  id: "trip-settings", kind: "screen", name: "Trip settings",
  values: { width: 390, height: 844, fill: sea.sand, clip: true },
  inside: [
    box("head", "Head", { width: 390, height: 188, fill: sea.tide, clip: true }, [
      ellipse("sun", "Sun", { x: 292, y: 44, width: 58, height: 58, fill: sea.sun }),
      ridge("far", "Far hills", { x: -20, y: 92, width: 430, height: 110, fill: "#1f6170", shape: "M0 60 C20 0 35 20 50 45 C65 70 80 10 100 40 L100 100 L0 100 Z" }),
      ridge("near", "Waves", { x: -20, y: 142, width: 430, height: 60, fill: "#2b8085", shape: "M0 40 C15 0 25 0 40 35 C55 70 65 10 80 20 C90 25 95 45 100 35 L100 100 L0 100 Z" }),
      text("title", "Title", { x: 24, y: 54, text: "Trip settings", size: 28, weight: "600", fill: sea.foam }),
      text("subtitle", "Subtitle", { x: 24, y: 92, text: "Saltholm to Gull Isle, 14:20", size: 15, fill: "#d5e6e6" }),
    ]),
    card("alerts", "Alerts card", 208, 236),
    ...settingRow("dock", 224, "Dock alerts", "When your berth changes", true),
    ...settingRow("delays", 300, "Delay alerts", "Ten minutes or more", false),
    ...settingRow("weather", 376, "Weather alerts", "Strong wind on the sound", false),
    card("luggage", "Luggage card", 464, 76),
    copy("bicycle", "Bicycle", { component: "bicycle-tick-box", x: 30, y: 480 }),
    box("cabin", "Cabin link", { x: 20, y: 560, width: 350, height: 64, radius: [18, 18, 18, 18], fill: sea.tide }, [
      text("cabin-label", "Cabin link label", { x: 22, y: 21, text: "Cabin climate", size: 17, weight: "500", fill: sea.foam }),
      shape("cabin-arrow", "Arrow", { x: 314, y: 25, width: 8, height: 14, shape: "M0 0 L100 50 L0 100", borderColour: sea.foam, borderWidth: 2.5 }),
    ]),
  ],
  rules: [{ id: "to-cabin", trigger: { type: "click" }, source: "cabin", effects: [{ type: "go", screen: "cabin-climate" }], motion: motion("fade", 260, "ease-in-out") }],
};

const climate = (id: string, y: number, words: string, note: string, on: boolean): Drawn[] => [card(`${id}-card`, `${words} card`, y - 12, 84), ...settingRow(id, y, words, note, on)];

/** Three independent switches: all eight combinations from three placed copies. */
export const cabinClimate: Source = {
  id: "cabin-climate", kind: "screen", name: "Cabin climate",
  values: { width: 390, height: 844, fill: sea.mist, clip: true },
  inside: [
    box("back", "Back", { x: 16, y: 44, width: 112, height: 40, radius: [20, 20, 20, 20] }, [
      shape("back-arrow", "Back arrow", { x: 12, y: 13, width: 8, height: 14, shape: "M100 0 L0 50 L100 100", borderColour: sea.tide, borderWidth: 2.5 }),
      text("back-label", "Back label", { x: 32, y: 9, text: "Settings", size: 16, weight: "500", fill: sea.tide }),
    ]),
    text("title", "Title", { x: 24, y: 98, text: "Cabin 214", size: 28, weight: "600", fill: sea.ink }),
    text("subtitle", "Subtitle", { x: 24, y: 136, text: "Port side, upper deck", size: 15, fill: sea.slate }),
    ellipse("porthole", "Porthole", { x: 125, y: 176, width: 140, height: 140, fill: "#9fd0d6", borderColour: sea.tide, borderWidth: 12 }),
    shape("horizon", "Horizon", { x: 137, y: 246, width: 116, height: 58, fill: "#2b8085", shape: "M0 10 C20 -8 30 20 50 8 C70 -4 80 16 100 8 C97 60 75 100 50 100 C25 100 3 60 0 10 Z" }),
    ...climate("heating", 356, "Heating", "Twenty-one degrees", true),
    ...climate("air", 452, "Fresh air", "From the sun deck", false),
    ...climate("light", 548, "Night light", "Low, by the door", false),
  ],
  rules: [{ id: "to-settings", trigger: { type: "click" }, source: "back", effects: [{ type: "back" }], motion: motion("fade", 260, "ease-in-out") }],
};
