/** What people read in timing. */
export const timingWords = {
  // CurveFields.tsx
  after: "after",
  delayLaneMilliseconds: "Delay of the lane in milliseconds",
  durationLaneMilliseconds: "Duration of the lane in milliseconds",
  curveLane: "Curve of the lane",
  once: "once",
  goes: "goes",
  howOften: "How often",
  ever: "for ever",
  thereBack: "there and back",
  poses: "Poses",
  msAt: (at: number) => `${Math.round(at)} ms:`,
  curvePose: (i: number) => `Curve of pose ${i + 1}`,
  removePose: (i: number) => `Remove pose ${i + 1}`,
  beginsAfter: "begins after",
  delayWholeChangeMilliseconds: "Delay of the whole change in milliseconds",
  atStart: "at the start",
  middle: "in the middle",
  atEnd: "at the end",
  layersChangePlaces: "layers change places",
  whenLayersChangePlaces: "When layers change places",
  beside: "beside",
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
  atRestAfterMs: (over: number, round: number, length: number, swing: number, bounciness: number) =>
    `${over > 0.0005 ? `goes ${round} % past the mark` : "does not go past the mark"}, at rest after ${Math.round(length)} ms. One swing ${Math.round(swing)} ms, ${Math.round(bounciness)} % bouncy.`,

  // CurvePanel.tsx
  keepMotionToken: "Keep as a motion token …",
  nameMotionToken: "Name of the motion token",
  withinWay: (round: number) => `Within ${round} % of the way`,
  exactly: "Exactly",
  copyCss: "Copy as CSS",
  wholeChange: "The whole change",
  curve: "Curve",
  noLaneOwn: "No lane of its own",

  // GiveMenu.tsx
  give: "Give to …",
  thisMotionAlso: "This motion also for",
  withIts: (lanes: number) => `with its ${lanes} ${lanes === 1 ? "lane" : "lanes"}`,
  giveRules: (count: number) => `Give to ${count} rules`,
  giveInGiveMenu: "Give",

  // LaneBar.tsx
  poseAtMs: (index: number, value: number | string, at: number) =>
    `Pose ${index + 1}: ${value} at ${Math.round(at)} ms`,
  atMsDragOr: (laneLabel: string, value: string | number, at: number) =>
    `${laneLabel} ${value} at ${Math.round(at)} ms. Drag it, or remove it with Delete.`,
  wholeChangeInLaneBar: "the whole change",
  timingBeginsAfterMs: (label: string, delay: number, length: number, own: boolean) =>
    `Timing of ${label}: begins after ${Math.round(delay)} ms, takes ${Math.round(length)} ms${own ? "" : ", as what is around it"}`,
  msDragDelayDrag: (delay: number, delay2: number, key: boolean) =>
    `${Math.round(delay)} – ${Math.round(delay2)} ms. Drag to delay, drag an end to lengthen; arrow keys too, with Alt the length.${key ? " Double-click adds a pose." : ""}`,
  lengthAndTimes: (length: number, goes: string) => `${Math.round(length)}${goes}`,

  // LaneRow.tsx
  wayBackMs: (begin: number, begin2: number) =>
    `The way back: ${Math.round(begin)} – ${Math.round(begin2)} ms`,

  // ValueAt.tsx
  atPlayhead: (label: string) => `${label} at the playhead`,
  anotherColourHereMakes: (colour: string) => `${colour}. Another colour here makes a pose.`,
  movePlayheadIntoLane: (colour: string) =>
    `${colour}. Move the playhead into the lane to change it there.`,
  movePlayheadIntoLaneChangeValue: "Move the playhead into the lane to change the value there",
  atMsAnotherValue: (at: number) => `At ${Math.round(at)} ms. Another value here makes a pose.`,
  atPlayheadLaneLabel: (laneLabel: string, numbers: number, i: number) =>
    `${laneLabel}${numbers > 1 ? ` ${i === 0 ? "across" : "down"}` : ""} at the playhead`,

  // Lanes.tsx
  msAll: (count: number) => `${Math.round(count)} ms in all`,
  showMoreTime: "Show more time",
  showLessTimeLarger: "Show less time, larger",
  alsoCtrlWheelShift: "Also with Ctrl and the wheel; with Shift the wheel goes along the time",
  playhead: "Playhead",
  newLane: "New lane",
  layerOfNewLane: "Layer of the new lane",
  property: "property …",
  allUnlessBelow: "All, unless below",
  properties: (name: string) => `Properties of ${name}`,
  anotherScreenComesEach:
    "Another screen comes: each of the two moves as a whole, as said on the right.",
  noLayerPieceItself:
    "No layer of the piece itself differs from one end to the other. Choose a layer and give it a lane to move it on the way.",

  // FilmDialog.tsx
  animatedGif: "Animated GIF",
  pngPicturesZipped: "PNG pictures, zipped",
  movingSvg: "Moving SVG",
  white: "white",
  paper: "paper",
  night: "night",
  none: "none",
  couldNotBeFilmed:
    "It could not be filmed: a font or picture could not be loaded, or the pictures are too large. Nothing was saved; try a smaller size.",
  size: "Size",
  picturesSecond: "Pictures a second",
  ground: "Ground",
  momentsPxAtOwn: (count: number, px: number, px2: number) =>
    `${count} moments, ${px} × ${px2} px at its own size; what stands still is written once.`,
  picturesPx: (count: number, px: number, px2: number) => `${count} pictures of ${px} × ${px2} px.`,
  filmed: "Filmed",
  cancel: "Cancel",
  save: "Save",

  // SaveMenu.tsx
  movingSvgInSaveMenu: "Moving SVG …",
  animatedGifInSaveMenu: "Animated GIF …",
  pngPictures: "PNG pictures …",
  saveInSaveMenu: "Save as …",
  cssKeyframes: "CSS keyframes",

  // SubjectPart.tsx
  rule: "Rule",
  ofIt: (effect: string) => ` of it, ${effect}`,
  twoVariantsWithoutRule: "Two variants, without a rule",
  from: "from",
  fromWhichVariant: "From which variant",
  to: "to",
  whichVariant: "To which variant",
  otherWay: "The other way",
  undoneWhenContactEnds: "Undone when the contact ends",
  goesBackByItself: "goes back by itself, as fast",
  sameRuleLeadsBack: "The same rule leads back.",
  drawsTimesWayBack: "Draws the times of the way back under the lanes",
  showWayBack: "Show the way back",

  // keys.ts
  playChangeHalt: "Play the change, halt",
  removeChosenLanes: "Remove the chosen lanes",
  takeBackWhatWas: "Take back what was only tried",

  // Timing.tsx
  fromFirst: "from the first",
  fromLast: "from the last",
  fromMiddle: "from the middle",
  fromLeftRight: "from left to right",
  fromTopBottom: "from top to bottom",
  cascade: "Cascade",
  oneEvery: "one every",
  intervalCascadeMilliseconds: "Interval of the cascade in milliseconds",
  orderCascade: "Order of the cascade",
  ruleLeadsThisWay: "A rule leads this way:",
  noRuleLeadsThis: "No rule leads this way. Its timing is only tried here until one does.",
  makeRule: "Make it a rule",
  thereNoRuleYet:
    "There is no rule yet whose timing could be looked at. Make one first, in Rules or by dragging a wire.",
  halt: "Halt",
  playChange: "Play the change",
  haltSpace: "Halt (space)",
  playChangeOnCard: "Play the change on its card (space)",
  overOver: "Over and over",
  speedPlaying: "Speed of playing",
  fullSpeed: "full speed",
  halfSpeed: "half speed",
  quarter: "a quarter",
  tenth: "a tenth",
  lanes: (lanes: number) => `${lanes} lanes:`,

  // CurvePlot.tsx
  timeWay: (x: number, y: number) => `${x} of the time, ${y} of the way`,

  // LaneBar.tsx
  times: (goes: number) => `${goes} times`,
  fromTo: (from: string, to: string) => `from ${from} to ${to}`,
  playing: "Playing",
  lanesCopied: (n: number) => (n === 1 ? "One lane is copied." : `${n} lanes are copied.`),
  lanesLost: (names: string) => `There is no layer called ${names} here: its lanes were left out.`,
  lanesOf: (count: number) => `${count} lanes`,
  atMs: (ms: number) => `${ms} ms`,
};
