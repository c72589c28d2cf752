import { findingId } from "#core/checks";
import { sea, shade, style } from "../colours";
import { becomes, box, icon, motion, text, trait, valueId } from "../build";
import type { Drawn, Source } from "../build";
import { full, round } from "./buttons";
import { portrait } from "./pins";

const field = (id: string, label: string, hint: string): Drawn[] => [
  text(`${id}-label`, `${label} label`, { text: label, style: style.note, fill: sea.slate }),
  box(
    id,
    `${label} field`,
    {
      widthMode: "stretch",
      height: 42,
      arrange: "row",
      align: "centre",
      padding: [0, 12, 0, 12],
      radius: { token: "size-control" },
      fill: sea.foam,
      borderColour: sea.rope,
      borderWidth: 1.5,
    },
    [
      text(`${id}-hint`, label, {
        entry: "typing",
        widthMode: "stretch",
        tooLong: "ellipsis",
        text: hint,
        style: style.body,
        fill: sea.slate,
      }),
    ],
  ),
];

/** A form over the screen; its close button closes it. */
export const serviceNotice: Source = {
  id: "service-notice",
  kind: "component",
  name: "Service notice",
  values: {
    width: 342,
    heightMode: "fit",
    arrange: "column",
    gap: 12,
    padding: [20, 20, 20, 20],
    fill: sea.sand,
    radius: round(20),
    shadow: shade.float,
  },
  traits: [trait("sent", "Sent", ["no", "going", "failed", "yes"])],
  signals: [
    { id: "closed", name: "closed" },
    { id: "sent", name: "sent" },
  ],
  rules: [
    {
      id: "close",
      trigger: { type: "click" },
      source: "close",
      effects: [{ type: "raise", signal: "closed" }],
      motion: motion("cut", 0),
    },
    {
      id: "leave",
      trigger: { type: "key", key: "Escape" },
      effects: [{ type: "raise", signal: "closed" }],
      motion: motion("cut", 0),
    },
    {
      id: "send",
      trigger: { type: "sent" },
      source: "send",
      effects: [becomes("sent", "going")],
      motion: motion("tween", 160),
    },
    {
      id: "taken",
      trigger: { type: "succeeded" },
      source: "send",
      effects: [becomes("sent", "yes"), { type: "raise", signal: "sent" }],
      motion: motion("tween", 260, "ease-in-out"),
    },
    {
      id: "lost",
      trigger: { type: "failed" },
      source: "send",
      effects: [becomes("sent", "failed")],
      motion: motion("tween", 200),
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
        text("title", "Title", {
          text: "Tell us about the crossing",
          style: style.heading,
          fill: sea.ink,
        }),
        box(
          "close",
          "Close",
          {
            width: 36,
            height: 36,
            radius: full,
            fill: sea.foam,
            touch: 6,
            role: "button",
            label: "Close",
          },
          [
            icon("cross", "Cross", {
              x: 11,
              y: 11,
              width: 14,
              height: 14,
              icon: "icon-x-lg",
              fill: sea.ink,
            }),
          ],
        ),
      ],
    ),
    ...field("ship", "Ship", "MS Eelgrass"),
    ...field("what", "What happened", "The ramp was late at pier 2"),
    box(
      "send",
      "Send",
      {
        widthMode: "stretch",
        height: 46,
        arrange: "row",
        gap: 8,
        align: "centre",
        justify: "centre",
        radius: full,
        fill: sea.buoyDark,
        role: "button",
        sends: true,
      },
      [
        icon("plane", "Plane", { width: 17, height: 17, icon: "icon-send", fill: sea.foam }),
        text("send-words", "Send words", { text: "Send", style: style.button, fill: sea.foam }),
      ],
    ),
    text("trouble", "Trouble", {
      widthMode: "stretch",
      text: "The harbour did not respond. Your text is saved. Try again.",
      style: style.note,
      fill: sea.rust,
      visible: false,
    }),
    text("thanks", "Thanks", {
      widthMode: "stretch",
      text: "Thank you. The harbour master reads every notice.",
      style: style.body,
      fill: sea.kelpDark,
      visible: false,
    }),
  ],
  accepted: ["yes", "failed"].map((value) => ({
    id: findingId("no-way-back", "sent", valueId("sent", value)),
    reason: "Resets each time it opens.",
  })),
  looks: [
    {
      when: { sent: "going" },
      changes: { "send-words": { text: "Sending …" }, plane: { opacity: 0.4 } },
    },
    {
      when: { sent: "failed" },
      changes: { trouble: { visible: true }, "send-words": { text: "Send again" } },
    },
    {
      when: { sent: "yes" },
      changes: {
        ...Object.fromEntries(
          ["ship-label", "ship", "what-label", "what", "send"].map((id) => [
            id,
            { visible: false },
          ]),
        ),
        thanks: { visible: true },
        title: { text: "Notice sent" },
      },
    },
  ],
};

const said = (id: string, words: string, own: boolean): Drawn =>
  box(
    id,
    own ? "Own words" : "Crew words",
    {
      widthMode: "fit",
      heightMode: "fit",
      arrange: "row",
      padding: [9, 13, 9, 13],
      radius: own ? [16, 16, 4, 16] : [16, 16, 16, 4],
      fill: own ? sea.tide : sea.foam,
      ...(own ? {} : { shadow: shade.card }),
    },
    [
      text(`${id}-words`, "Words", {
        text: words,
        style: style.body,
        fill: own ? sea.foam : sea.ink,
        maxWidth: 210,
      }),
    ],
  );

/** A talk with the crew in a panel that comes up. */
export const crewChat: Source = {
  id: "crew-chat",
  kind: "component",
  name: "Crew chat",
  values: {
    width: 310,
    height: 380,
    fill: sea.mist,
    radius: round(20),
    clip: true,
    shadow: shade.float,
  },
  traits: [trait("talk", "Talk", ["greeting", "answered"])],
  rules: [
    {
      id: "ask",
      trigger: { type: "click" },
      source: "go",
      when: { talk: "greeting" },
      effects: [becomes("talk", "answered")],
      motion: motion("tween", 300),
    },
  ],
  inside: [
    box("head", "Head", { width: 310, height: 66, fill: sea.tide }, [
      portrait("face", "Face", { x: 16, y: 13, width: 40, height: 40 }, "picture-deckhand"),
      text("name", "Name", {
        x: 68,
        y: 13,
        text: "Maren, deckhand",
        style: style.button,
        size: 16,
        fill: sea.foam,
      }),
      text("state", "State", {
        x: 68,
        y: 35,
        text: "Usually answers in two minutes",
        style: style.note,
        fill: sea.sky,
      }),
    ]),
    box(
      "talk",
      "Talk",
      {
        x: 0,
        y: 66,
        width: 310,
        height: 254,
        arrange: "column",
        gap: 10,
        justify: "end",
        padding: [14, 14, 14, 14],
      },
      [
        said("hello", "Ahoy! How can we help?", false),
        box(
          "mine",
          "Own line",
          {
            widthMode: "stretch",
            heightMode: "fit",
            arrange: "row",
            justify: "end",
            visible: false,
          },
          [said("ask", "Is there room for a cargo bike?", true)],
        ),
        box("reply", "Reply line", { widthMode: "fit", heightMode: "fit", visible: false }, [
          said("answer", "Yes, lane 1. Come ten minutes early.", false),
        ]),
      ],
    ),
    box(
      "foot",
      "Foot",
      {
        x: 12,
        y: 322,
        width: 286,
        height: 46,
        radius: full,
        fill: sea.foam,
        arrange: "row",
        align: "centre",
        justify: "between",
        padding: [0, 5, 0, 16],
      },
      [
        text("hint", "Hint", { text: "Write to the crew", style: style.body, fill: sea.slate }),
        box(
          "go",
          "Send",
          {
            width: 36,
            height: 36,
            radius: full,
            fill: sea.kelpDark,
            role: "button",
            label: "Send",
          },
          [
            icon("plane", "Plane", {
              x: 10,
              y: 10,
              width: 16,
              height: 16,
              icon: "icon-send",
              fill: sea.foam,
            }),
          ],
        ),
      ],
    ),
  ],
  accepted: [
    {
      id: findingId("dead-end", "talk", valueId("talk", "answered")),
      reason: "The talk shows one question and its answer; real ones go on.",
    },
  ],
  looks: [
    {
      when: { talk: "answered" },
      changes: { mine: { visible: true }, reply: { visible: true }, state: { text: "Online" } },
    },
  ],
};
