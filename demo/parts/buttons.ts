import { findingId } from "#core/checks";
import { raw, sea, shade, style } from "../colours";
import {
  becomes,
  box,
  ellipse,
  icon,
  lane,
  motion,
  spring,
  steps,
  text,
  stateTrait,
  trait,
  valueId,
} from "../build";
import type { Source } from "../build";

const round = (r: number) => [r, r, r, r] as const;
const full = round(100_000);

/** Raised; hovering runs a shine across and grows a soft glow; pressing sinks it. */
export const boardNowButton: Source = {
  id: "board-now-button",
  kind: "component",
  name: "Board-now button",
  values: { width: 224, height: 96, role: "button" },
  traits: [trait("contact", "Contact", ["none", "hovered", "pressed"])],
  rules: [
    {
      id: "hover",
      trigger: { type: "hover" as const },
      effects: [becomes("contact", "hovered")],
      undo: true,
      motion: {
        ...motion("tween", 260),
        lanes: [
          lane("shine", "x", 40, 620, [0.4, 0, 0.2, 1]),
          lane("halo", null, 0, 520, "ease-out"),
          lane("glow", null, 60, 420, "ease-out"),
        ],
      },
    },
    {
      id: "press",
      trigger: { type: "press" as const },
      effects: [becomes("contact", "pressed")],
      undo: true,
      motion: motion("tween", 90),
    },
  ],
  inside: [
    ellipse("halo", "Wide glow", {
      x: 22,
      y: 26,
      width: 180,
      height: 56,
      fill: raw.buoy,
      blur: 22,
      opacity: 0.35,
    }),
    ellipse("glow", "Near glow", {
      x: 40,
      y: 40,
      width: 144,
      height: 36,
      fill: raw.sun,
      blur: 10,
      opacity: 0.4,
    }),
    box(
      "body",
      "Body",
      {
        x: 20,
        y: 20,
        width: 184,
        height: 56,
        radius: full,
        clip: true,
        borderColour: "#ffffff59",
        borderWidth: 1.5,
        fill: {
          kind: "linear",
          angle: 180,
          stops: [
            { at: 0, colour: "#d9703a" },
            { at: 0.5, colour: raw.buoyDark },
            { at: 1, colour: "#963f14" },
          ],
        },
        shadow: [
          { x: 0, y: 2, blur: 3, spread: 0, colour: "#ffffff80", inner: true },
          { x: 0, y: -3, blur: 6, spread: 0, colour: "#8a3a1266", inner: true },
          { x: 0, y: 6, blur: 14, spread: -4, colour: "#b9531f99" },
        ],
      },
      [
        box("shine", "Shine", {
          x: -70,
          y: -20,
          width: 46,
          height: 100,
          rotation: 18,
          fill: {
            kind: "linear",
            angle: 90,
            stops: [
              { at: 0, colour: "#ffffff00" },
              { at: 0.5, colour: "#ffffffa6" },
              { at: 1, colour: "#ffffff00" },
            ],
          },
        }),
        text("label", "Label", {
          y: 17,
          width: 184,
          widthMode: "fixed",
          alignText: "centre",
          text: "Board now",
          style: style.button,
          fill: sea.chalk,
        }),
      ],
    ),
  ],
  looks: [
    {
      when: { contact: "hovered" },
      changes: { halo: { opacity: 0.7, blur: 26 }, glow: { opacity: 0.75 } },
    },
    { when: { contact: ["hovered", "pressed"] }, changes: { shine: { x: 208 } } },
    {
      when: { contact: "pressed" },
      changes: {
        halo: { opacity: 0.2 },
        glow: { opacity: 0.15 },
        label: { y: 19 },
        body: {
          y: 23,
          fill: {
            kind: "linear",
            angle: 180,
            stops: [
              { at: 0, colour: "#8a3a12" },
              { at: 0.5, colour: raw.buoyDark },
              { at: 1, colour: "#c65f2c" },
            ],
          },
          shadow: [
            { x: 0, y: 4, blur: 8, spread: 0, colour: "#7a3210a6", inner: true },
            { x: 0, y: 1, blur: 2, spread: 0, colour: "#b9531f80" },
          ],
        },
      },
    },
  ],
  options: [{ id: "words", name: "Label", layer: "label", key: "text" }],
};

/** Pressing shrinks and darkens it; followed, it is wider and says so. */
export const followCrossingButton: Source = {
  id: "follow-crossing-button",
  kind: "component",
  name: "Follow crossing button",
  values: {
    widthMode: "fit",
    heightMode: "fit",
    arrange: "row",
    padding: [8, 8, 8, 8],
    role: "button",
  },
  traits: [
    stateTrait("following", "Following", ["no", "yes"], "pressed", "yes"),
    trait("pressed", "Pressed", ["no", "yes"]),
  ],
  rules: [
    {
      id: "press",
      trigger: { type: "press" },
      effects: [becomes("pressed", "yes")],
      undo: true,
      // it springs up at once, while the button still widens
      back: motion("tween", 90),
      motion: motion("tween", 90),
    },
    {
      id: "follow",
      trigger: { type: "click" },
      effects: [steps("following", "opposite")],
      motion: {
        ...motion("tween", 0, spring(560, 0.3)),
        lanes: [
          lane("body", "borderColour", 0, 110, "ease-out"),
          lane("body", "borderWidth", 0, 110, "ease-out"),
          lane("body", "fill", 60, 260, "ease-in-out"),
          lane("label", null, 80, 220, "ease-in-out"),
          lane("sign", null, 80, 220, "ease-in-out"),
        ],
      },
    },
  ],
  inside: [
    box(
      "body",
      "Body",
      {
        widthMode: "fit",
        height: 44,
        arrange: "row",
        gap: 8,
        align: "centre",
        padding: [0, 20, 0, 16],
        radius: full,
        fill: sea.tide,
      },
      [
        icon("sign", "Sign", { icon: "icon-plus-lg", width: 15, height: 15, fill: sea.foam }),
        text("label", "Label", { text: "Follow", style: style.button, fill: sea.foam }),
      ],
    ),
  ],
  looks: [
    {
      when: { following: "yes" },
      changes: {
        body: { fill: sea.foam, borderColour: sea.tide, borderWidth: 2, padding: [0, 22, 0, 18] },
        sign: { icon: "icon-check-lg", fill: sea.tide, width: 17, height: 17 },
        label: { text: "Following", fill: sea.tide },
      },
    },
    { when: { pressed: "yes" }, changes: { body: { scale: [0.94, 0.94], fill: sea.tideDark } } },
    { when: { following: "yes", pressed: "yes" }, changes: { body: { fill: sea.mist } } },
  ],
};

/** Opens and closes a menu: default, hovered, focused and pressed, with two icons. */
export const menuButton: Source = {
  id: "menu-button",
  kind: "component",
  name: "Menu button",
  values: { width: 64, height: 64, role: "button", label: "Menu" },
  traits: [
    stateTrait("open", "Open", ["no", "yes"], "expanded", "yes"),
    trait("contact", "Contact", ["none", "hovered", "focused", "pressed"]),
  ],
  rules: [
    {
      id: "hover",
      trigger: { type: "hover" as const },
      effects: [becomes("contact", "hovered")],
      undo: true,
      motion: motion("tween", 120),
    },
    {
      id: "focus",
      trigger: { type: "focus" as const },
      effects: [becomes("contact", "focused")],
      undo: true,
      motion: motion("tween", 120),
    },
    {
      id: "press",
      trigger: { type: "press" as const },
      effects: [becomes("contact", "pressed")],
      undo: true,
      motion: motion("tween", 90),
    },
    {
      id: "turn",
      trigger: { type: "click" },
      effects: [steps("open", "opposite")],
      motion: motion("tween", 260, "ease-in-out"),
    },
  ],
  inside: [
    box("ring", "Focus ring", {
      x: 4,
      y: 4,
      width: 56,
      height: 56,
      radius: round(20),
      borderColour: sea.lagoon,
      borderWidth: 3,
      borderAt: "inside",
      visible: false,
    }),
    box("body", "Body", {
      x: 10,
      y: 10,
      width: 44,
      height: 44,
      radius: round(14),
      fill: sea.foam,
      borderColour: "#1c2f3a1f",
      borderWidth: 1,
      shadow: shade.card,
    }),
    icon("bars", "Bars", { x: 19, y: 19, width: 26, height: 26, icon: "icon-list", fill: sea.ink }),
    icon("cross", "Cross", {
      x: 22,
      y: 22,
      width: 20,
      height: 20,
      icon: "icon-x-lg",
      fill: sea.foam,
      opacity: 0,
      rotation: -90,
      scale: [0.4, 0.4],
    }),
  ],
  looks: [
    {
      when: { open: "yes" },
      changes: {
        body: { fill: sea.tide, borderColour: sea.tide },
        bars: { opacity: 0, rotation: 90, scale: [0.4, 0.4] },
        cross: { opacity: 1, rotation: 0, scale: [1, 1] },
      },
    },
    { when: { contact: "hovered" }, changes: { body: { fill: sea.mist } } },
    { when: { contact: "focused" }, changes: { ring: { visible: true } } },
    {
      when: { contact: "pressed" },
      changes: { body: { fill: sea.rope, scale: [0.94, 0.94], shadow: [] } },
    },
    {
      when: { open: "yes", contact: ["hovered", "pressed"] },
      changes: { body: { fill: sea.lagoon } },
    },
  ],
};

/**
 * Hovering fills it; sending hides the label, then the button vanishes and a tick comes in from
 * below.
 */
export const sendTicketButton: Source = {
  id: "send-ticket-button",
  kind: "component",
  name: "Send ticket button",
  values: { width: 220, height: 72, clip: true },
  traits: [
    trait("sent", "Sent", ["no", "going", "yes"]),
    trait("contact", "Contact", ["none", "hovered"]),
  ],
  rules: [
    {
      id: "hover",
      trigger: { type: "hover" },
      when: { sent: "no" },
      source: "body",
      effects: [becomes("contact", "hovered")],
      undo: true,
      motion: { ...motion("tween", 240, "ease-in-out"), parts: { easing: "pace-glide" } },
    },
    {
      id: "send",
      trigger: { type: "click" },
      when: { sent: "no" },
      source: "body",
      effects: [becomes("sent", "going"), becomes("contact", "none")],
      motion: {
        ...motion("tween", 420, "ease-in-out"),
        lanes: [
          lane("label", null, 0, 140, "ease-out"),
          lane("body", null, 90, 330, [0.5, 0, 0.2, 1]),
        ],
      },
    },
    {
      id: "arrive",
      trigger: { type: "settled" },
      when: { sent: "going" },
      effects: [becomes("sent", "yes")],
      motion: {
        ...motion("tween", 200, "ease-in"),
        lanes: [lane("disc", "y", 80, 0, spring(440, 0.42))],
      },
    },
  ],
  inside: [
    box(
      "body",
      "Body",
      {
        role: "button",
        x: 20,
        y: 12,
        width: 180,
        height: 48,
        radius: full,
        borderColour: sea.kelp,
        borderWidth: 2,
        clip: true,
      },
      [
        box("fill", "Fill", { x: -184, y: 0, width: 180, height: 48, fill: sea.kelpDark }),
        text("label", "Label", {
          y: 13,
          width: 180,
          widthMode: "fixed",
          alignText: "centre",
          text: "Send ticket",
          style: style.button,
          fill: sea.kelpDark,
        }),
      ],
    ),
    box(
      "disc",
      "Tick disc",
      { x: 86, y: 80, width: 48, height: 48, radius: full, fill: sea.kelp, shadow: shade.raised },
      [
        icon("tick", "Tick", {
          x: 11,
          y: 12,
          width: 26,
          height: 26,
          icon: "icon-check-lg",
          fill: sea.foam,
        }),
      ],
    ),
  ],
  looks: [
    { when: { contact: "hovered" }, changes: { fill: { x: 0 }, label: { fill: sea.foam } } },
    {
      when: { sent: "going" },
      changes: { label: { opacity: 0 }, fill: { x: 0 }, body: { x: 86, width: 48 } },
    },
    {
      when: { sent: "yes" },
      changes: {
        label: { opacity: 0 },
        fill: { x: 0 },
        body: { x: 86, width: 48, scale: [0.5, 0.5], opacity: 0 },
        disc: { y: 12 },
      },
    },
  ],
  unused: [{ sent: ["going", "yes"], contact: "hovered" }],
  accepted: [
    {
      id: findingId("dead-end", "sent", valueId("sent", "yes")),
      reason: "A ticket is sent once; the screen around goes on from there.",
    },
  ],
  options: [{ id: "words", name: "Label", layer: "label", key: "text" }],
};

export { full, round };
