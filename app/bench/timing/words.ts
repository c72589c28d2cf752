/** What people read in timing. */
export const timingWords = {
  // Poses.tsx
  keyframes: "Keyframes",
  msAt: (at: number) => `${Math.round(at)} ms:`,
  valueKeyframe: (i: number) => `Value of keyframe ${i + 1}`,
  curveKeyframe: (i: number) => `Curve of keyframe ${i + 1}`,
  removeKeyframe: (i: number) => `Remove keyframe ${i + 1}`,

  // CurveFields.tsx
  after: "after",
  laneDelayMilliseconds: "Lane delay in milliseconds",
  laneDurationMilliseconds: "Lane duration in milliseconds",
  laneCurve: "Lane curve",
  once: "once",
  repeat: "repeat",
  numberRepeats: "Number of repeats",
  infinite: "infinite",
  alternate: "alternate",
  delay: "delay",
  delayAllLayersMilliseconds: "Delay of all layers in milliseconds",
  atStart: "at the start",
  halfWay: "half-way",
  atEnd: "at the end",
  stackingOrderChanges: "stacking order changes",
  whenStackingOrderChanges: "When the stacking order changes",
  compareWith: "compare with",
  compare: "Compare with",
  nothing: "nothing",

  // CurvePlot.tsx
  handleAtStart: "Handle at the start",
  handleAtEnd: "Handle at the end",
  mass: "mass",
  massInCurvePlot: "Mass",
  stiffness: "stiffness",
  stiffnessInCurvePlot: "Stiffness",
  damping: "damping",
  dampingInCurvePlot: "Damping",
  settlesAfterMsPeriod: (
    over: number,
    round: number,
    length: number,
    swing: number,
    bounciness: number,
  ) =>
    `${over > 0.0005 ? `Overshoots by ${round} %` : "No overshoot"}. Settles after ${Math.round(length)} ms. Period ${Math.round(swing)} ms, bounce ${Math.round(bounciness)} %.`,

  // CurvePanel.tsx
  saveAsMotionToken: "Save as motion token…",
  motionTokenName: "Motion token name",
  accurate: (round: number) => `Accurate to ${round} %`,
  exactly: "Exactly",
  copyCss: "Copy as CSS",
  allLayers: "All layers",
  curve: "Curve",
  deleteLane: "Delete lane",

  // GiveMenu.tsx
  copyTiming: "Copy timing to…",
  copyTiming2: "Copy this timing to",
  include: (lanes: number) => `Include ${lanes} ${lanes === 1 ? "lane" : "lanes"}`,
  copyRules: (count: number) => `Copy to ${count} rules`,
  copy: "Copy",

  // LaneBar.tsx
  keyframeMs: (index: number, value: number | string, at: number) =>
    `Keyframe ${index + 1}: ${value} at ${Math.round(at)} ms`,
  msDragMoveDelete: (laneLabel: string, value: string | number, at: number) =>
    `${laneLabel} ${value} at ${Math.round(at)} ms. Drag to move, Delete to remove.`,
  allLayers2: "all layers",
  timingDelayMsDuration: (label: string, delay: number, length: number, own: boolean) =>
    `Timing of ${label}: delay ${Math.round(delay)} ms, duration ${Math.round(length)} ms${own ? "" : ", inherited"}`,
  msDragChangeDelay: (delay: number, delay2: number, key: boolean) =>
    `${Math.round(delay)} – ${Math.round(delay2)} ms. Drag to change the delay, drag an end to change the duration. Arrow keys: delay; with Alt: duration.${key ? " Double-click to add a keyframe." : ""}`,
  lengthAndTimes: (length: number, goes: string) => `${Math.round(length)}${goes}`,

  // LaneRow.tsx
  returnMs: (begin: number, begin2: number) =>
    `Return: ${Math.round(begin)} – ${Math.round(begin2)} ms`,

  // ValueAt.tsx
  atPlayhead: (label: string) => `${label} at the playhead`,
  changeAddKeyframe: (colour: string) => `${colour}. Change it to add a keyframe.`,
  movePlayheadOverLane: (colour: string) =>
    `${colour}. Move the playhead over the lane to edit it.`,
  movePlayheadOverLane2: "Move the playhead over the lane to edit the value",
  valueMsChangeAdd: (at: number) => `Value at ${Math.round(at)} ms. Change it to add a keyframe.`,
  playhead2: (laneLabel: string, numbers: number, i: number) =>
    `${laneLabel}${numbers > 1 ? ` ${i === 0 ? "x" : "y"}` : ""} at the playhead`,

  // Lanes.tsx
  msTotal: (count: number) => `${Math.round(count)} ms total`,
  zoomOut: "Zoom out",
  zoom: "Zoom in",
  ctrlWheelShiftWheel: "Or Ctrl + wheel. Shift + wheel scrolls",
  playhead: "Playhead",
  addLane: "Add lane",
  layerOfNewLane: "Layer of the new lane",
  property: "Property…",
  properties: (name: string) => `Properties of ${name}`,
  changesScreenBothScreens:
    "This changes the screen. Both screens move as a whole; set their motion on the right.",
  noLayersChangeHere: "No layers change here. Select a layer and add a lane to animate it.",

  // FilmDialog.tsx
  animatedGif: "Animated GIF",
  pngFramesZip: "PNG frames (ZIP)",
  animatedSvg: "Animated SVG",
  white: "white",
  paper: "paper",
  night: "night",
  none: "none",
  exportFailedFontImage:
    "Export failed: a font or image did not load, or the frames are too large. Nothing was saved. Try a smaller size.",
  size: "Size",
  framesPerSecond: "Frames per second",
  background: "Background",
  framesPxUnchangedLayers: (count: number, px: number, px2: number) =>
    `${count} frames, ${px} × ${px2} px. Unchanged layers are stored once.`,
  framesPx: (count: number, px: number, px2: number) => `${count} frames, ${px} × ${px2} px.`,
  exportProgress: "Export progress",
  cancel: "Cancel",
  save: "Save",

  // SaveMenu.tsx
  animatedSvg2: "Animated SVG…",
  animatedGifInSaveMenu: "Animated GIF…",
  pngFrames: "PNG frames…",
  export: "Export…",
  cssKeyframes: "CSS keyframes",

  // SubjectPart.tsx
  rule: "Rule",
  ofIt: (effect: string) => ` of it, ${effect}`,
  betweenTwoVariantsNo: "Between two variants, no rule",
  from: "from",
  fromWhichVariant: "From which variant",
  to: "to",
  whichVariant: "To which variant",
  swap: "Swap",
  revertsWhenHoverPress: "Reverts when the hover, press or focus ends",
  revertsWithSameTiming: "Reverts with the same timing",
  sameRuleAlsoReverses: "The same rule also reverses this.",
  showReturnTimingBelow: "Show the return timing below the lanes",
  returnTiming: "Return timing",

  // keys.ts
  playStop: "Play, stop",
  deleteSelectedLanes: "Delete selected lanes",
  discardChangesWereOnly: "Discard changes that were only tried",

  // Timing.tsx
  firstLast: "first to last",
  lastFirst: "last to first",
  fromMiddle: "from the middle",
  leftRight: "left to right",
  topBottom: "top to bottom",
  cascade: "Cascade",
  every: "every",
  cascadeIntervalMilliseconds: "Cascade interval in milliseconds",
  cascadeOrder: "Cascade order",
  ruleChange: "Rule for this change:",
  noRuleMakesChange: "No rule makes this change. The timing is a preview until you add one.",
  createRule: "Create rule",
  noTimingYetAdd: "No timing yet. Add a rule in Rules, or drag a wire from a layer to a card.",
  stop: "Stop",
  play: "Play",
  stopSpace: "Stop (Space)",
  playCardSpace: "Play on the card (Space)",
  loop: "Loop",
  playbackSpeed: "Playback speed",
  fullSpeed: "100 %",
  halfSpeed: "50 %",
  quarter: "25 %",
  tenth: "10 %",
  lanes: (lanes: number) => `${lanes} lanes:`,

  // CurvePlot.tsx
  timeProgress: (x: number, y: number) => `${x} of time, ${y} of progress`,

  // LaneBar.tsx
  times: (goes: number) => `${goes} times`,
  fromTo: (from: string, to: string) => `from ${from} to ${to}`,
  playing: "Playing",
  laneCopiedLanesCopied: (n: number) => (n === 1 ? "1 lane copied." : `${n} lanes copied.`),
  lanesWereLeftOut: (names: string) =>
    `Lanes of ${names} were left out: there is no such layer here.`,
  lanesOf: (count: number) => `${count} lanes`,
  atMs: (ms: number) => `${ms} ms`,
};
