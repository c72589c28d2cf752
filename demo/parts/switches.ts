import { sea } from "../colours";
import { box, motion, shape, stateTrait, text, trait, valueId } from "../build";
import type { Source } from "../build";

/**
 * Off and on, pressed or not; the knob stretches towards where it will go and jumps over on release
 * inside.
 */
export const alertSwitch: Source = {
  id: "alert-switch",
  kind: "component",
  name: "Alert switch",
  values: {
    role: "switch",
    widthMode: "fit",
    heightMode: "fit",
    arrange: "row",
    gap: 14,
    align: "centre",
    padding: [8, 10, 8, 10],
  },
  traits: [
    stateTrait("alerts", "Alerts", ["off", "on"], "checked", "on"),
    trait("pressed", "Pressed", ["no", "yes"]),
  ],
  inside: [
    text("label", "Label", { text: "Dock alerts", size: 17, fill: sea.ink }),
    box("toggle", "Toggle", { width: 64, height: 36 }, [
      box("track", "Track", { width: 64, height: 36, radius: [18, 18, 18, 18], fill: sea.rope }),
      box("knob", "Knob", {
        x: 4,
        y: 4,
        width: 28,
        height: 28,
        radius: [14, 14, 14, 14],
        fill: sea.foam,
        shadow: [{ x: 0, y: 1, blur: 3, spread: 0, colour: "#1c2f3a59" }],
      }),
    ]),
  ],
  looks: [
    { when: { alerts: "on" }, changes: { track: { fill: sea.kelp }, knob: { x: 32 } } },
    { when: { pressed: "yes" }, changes: { knob: { width: 33 } } },
    { when: { alerts: "on", pressed: "yes" }, changes: { knob: { x: 27 } } },
  ],
  rules: [
    {
      id: "press",
      trigger: { type: "press" },
      effects: [{ type: "set", trait: "pressed", to: { value: valueId("pressed", "yes") } }],
      undo: true,
      motion: motion("tween", 120),
    },
    {
      id: "flip",
      trigger: { type: "click" },
      effects: [{ type: "set", trait: "alerts", to: { step: "opposite" } }],
      motion: motion("tween", 180, "ease-in-out"),
    },
  ],
  options: [
    { id: "words", name: "Label", layer: "label", key: "text" },
    { id: "labelled", name: "Label shown", layer: "label", key: "visible" },
    { id: "spoken", name: "Spoken name", layer: "root", key: "label" },
  ],
};

/** A tick box that darkens under the pointer, and differently when it is checked. */
export const bicycleTickBox: Source = {
  id: "bicycle-tick-box",
  kind: "component",
  name: "Bicycle tick box",
  values: {
    role: "checkbox",
    widthMode: "fit",
    heightMode: "fit",
    arrange: "row",
    gap: 12,
    align: "centre",
    padding: [8, 10, 8, 10],
  },
  traits: [
    stateTrait("checked", "Checked", ["no", "yes"], "checked", "yes"),
    trait("contact", "Contact", ["none", "hovered"]),
  ],
  inside: [
    box(
      "square",
      "Square",
      {
        width: 26,
        height: 26,
        radius: [7, 7, 7, 7],
        fill: sea.foam,
        borderColour: "#8d9a9d",
        borderWidth: 2,
      },
      [
        shape("tick", "Tick", {
          x: 6,
          y: 7,
          width: 14,
          height: 11,
          shape: "M0 55 L36 100 L100 0",
          borderColour: sea.foam,
          borderWidth: 3,
          visible: false,
        }),
      ],
    ),
    text("label", "Label", { text: "Bring a bicycle", size: 17, fill: sea.slate }),
  ],
  looks: [
    {
      when: { checked: "yes" },
      changes: {
        square: { fill: sea.kelp, borderColour: sea.kelp },
        tick: { visible: true },
        label: { fill: sea.ink },
      },
    },
    {
      when: { contact: "hovered" },
      changes: { square: { borderColour: sea.ink }, label: { fill: sea.ink } },
    },
    {
      when: { checked: "yes", contact: "hovered" },
      changes: { square: { fill: sea.kelpDark, borderColour: sea.kelpDark } },
    },
  ],
  rules: [
    {
      id: "hover",
      trigger: { type: "hover" },
      effects: [{ type: "set", trait: "contact", to: { value: valueId("contact", "hovered") } }],
      undo: true,
      motion: motion("tween", 120),
    },
    {
      id: "check",
      trigger: { type: "click" },
      effects: [{ type: "set", trait: "checked", to: { step: "opposite" } }],
      motion: motion("tween", 160),
    },
  ],
  options: [{ id: "words", name: "Label", layer: "label", key: "text" }],
};
