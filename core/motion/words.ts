/** What people read in motion. */
export const motionWords = {
  // changes.ts
  contents: "contents",

  // named.ts
  spring: "Spring",
  bounce: "Bounce",
  overshoot: "Overshoot",
  windUp: "Wind up",
  steps: "Steps",
};
