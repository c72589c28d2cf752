/** What people read in motion. */
export const motionWords = {
  // changes.ts
  inside: "inside it",

  // presets.ts
  briskStart: "brisk start",
  slowCastOff: "slow cast-off",
  pastMark: "past the mark",
  stillWater: "still water",
  easyMooring: "easy mooring",
  lightBuoy: "light buoy",
  bellRope: "bell rope",
  heavySwell: "heavy swell",
  droppedBall: "dropped ball",
  takeRun: "take a run",
};
