import { orderAfter } from "#core/project";
import type { About, Piece, Sample, Status } from "#core/project";

/** What is written about a component of the kit. */
interface Written {
  readonly group: string;
  readonly status?: Status;
  readonly about: About;
  readonly samples?: readonly (readonly [
    advice: Sample["advice"],
    caption: string,
    values: Sample["values"],
  ])[];
}

const written: Readonly<Record<string, Written>> = {
  "alert-switch": {
    group: "Choices",
    status: "ready",
    about: {
      description:
        "Turns **one setting** on or off, at once. What it turns on stands beside it as its label.",
      use: "- For settings that take effect as soon as they are touched.\n- Where *off* is a good place to begin.",
      avoid:
        "Inside a form that is sent later: use the *Bicycle tick box*. Never for two things that exclude each other.",
    },
    samples: [
      [
        "do",
        "The label says what is on when it is on.",
        { "option:words": "Dock alerts", "trait:alerts": "alerts-on" },
      ],
      ["avoid", "A question has no “on”.", { "option:words": "Do you want alerts?" }],
    ],
  },
  "bicycle-tick-box": {
    group: "Choices",
    status: "ready",
    about: {
      description: "Says whether something belongs to a booking: a bicycle, a dog, a wheelchair.",
      use: "In forms, for each thing that may come along.",
      avoid: "For settings that take effect at once: use the *Alert switch*.",
    },
  },
  "seat-side-chooser": {
    group: "Choices",
    about: {
      description: "Port, middle or starboard: **one of three**, all in sight.",
      use: "Where there are two to four answers that exclude each other.",
    },
  },
  "seat-plan": {
    group: "Choices",
    about: { description: "The deck from above; the chosen side lights up." },
  },
  "deck-tabs": {
    group: "Ways around",
    status: "ready",
    about: {
      description: "Shows one deck of the ship at a time, with its picture and its rules.",
      use: "For parts of one thing that are looked at one by one.",
      avoid: "For places of the app: use the *Harbour dock bar*.",
    },
  },
  "harbour-dock-bar": {
    group: "Ways around",
    status: "ready",
    about: {
      description: "The four places of the app. It stays where it is on every screen.",
      avoid: "With more than five places.",
    },
  },
  "menu-button": {
    group: "Ways around",
    about: { description: "Opens and closes the menu; its three lines become a cross." },
  },
  "pier-pin": {
    group: "Ways around",
    about: { description: "Marks a pier on the map; a press shows its name in a bubble." },
  },
  "board-now-button": {
    group: "Buttons",
    status: "ready",
    about: {
      description: "The **one** thing to do on a screen while a ferry is at the pier.",
      use: "Once a screen, and only as long as one can board.",
      avoid:
        "Beside another of its kind. For what can wait, the *Follow crossing button* is enough.",
    },
  },
  "follow-crossing-button": {
    group: "Buttons",
    status: "ready",
    about: {
      description: "Follows a crossing, or no more. It says afterwards what it has done.",
    },
  },
  "send-ticket-button": {
    group: "Buttons",
    about: { description: "Sends a ticket, and says how that went: going, sent, failed." },
  },
  "route-bell": {
    group: "Buttons",
    status: { supersededBy: "follow-crossing-button" },
    about: { description: "Rings when the ferry of a route leaves." },
  },
  "sailing-card": {
    group: "Cards",
    status: "ready",
    about: { description: "A crossing at a glance: where to, when, from which pier." },
  },
  "sailing-card-deck": {
    group: "Cards",
    about: { description: "Crossings one upon the other, dragged away one by one." },
  },
  "fare-panel": {
    group: "Cards",
    about: { description: "What a crossing costs with a single trip, and with the season pass." },
  },
  "service-notice": {
    group: "Messages",
    about: {
      description: "Tells the crew what happened on a ship. It says at once what is still missing.",
    },
  },
  "crew-chat": {
    group: "Messages",
    about: { description: "Talk with the crew; an answer comes after a moment." },
  },
};

const samplesOf = ({ samples = [] }: Written): Readonly<Record<string, Sample>> => {
  const made: Sample[] = [];
  for (const [advice, caption, values] of samples)
    made.push({
      id: `sample-${made.length + 1}`,
      order: orderAfter(made),
      advice,
      caption,
      values,
    });
  return Object.fromEntries(made.map((s) => [s.id, s]));
};

/** A component of the kit with what is written about it. */
export const withAbout = (piece: Piece): Piece => {
  const it = written[piece.id];
  if (!it) return piece;
  const { group, status, about } = it;
  return { ...piece, group, about, samples: samplesOf(it), ...(status ? { status } : {}) };
};
