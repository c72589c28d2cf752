/** What people read in motion. */
export const motionWords = {
  // changes.ts
  inside: "inside it",

  // named.ts
  spring: "Spring",
  bounce: "Bounce",
  overshoot: "Overshoot",
  windUp: "Wind up",
  steps: "Steps",
};
