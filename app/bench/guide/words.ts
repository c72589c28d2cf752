/** What people read in the guide. */
export const guideWords = {
  guide: "Guide",
  step: (at: number, of: number) => `Step ${at + 1} of ${of}`,
  done: "Done",
  end: "Close the guide for good",
  steps: [
    "Draw the pill: select Insert box, then drag on the card.",
    "Round the pill: drag a knob in its corner inwards, or set Corner radius to full in the sheet below.",
    "Draw the knob: select Insert ellipse, then drag a circle inside the pill.",
    "Give it two states: in Traits, select Add trait, then On: off, on.",
    "Move the knob: on the card “on”, drag it to the other end of the pill.",
    "Colour the pill: on the card “on”, click the pill and change its fill in the sheet.",
    "Make it respond: open Rules and select Add rule.",
    "Try it: click the switch at the right.",
  ] as readonly string[],
  works: "Your switch works. Place it on a screen with Insert component, then select Play.",
};
