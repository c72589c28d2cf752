/** What people read in gather. */
export const gatherWords = {
  // names.ts
  contact: "Contact",
  checked: "Checked",
  selected: "Selected",
  enabled: "Enabled",
  power: "Power",
  open: "Open",
  answer: "Answer",
  size: "Size",
  theme: "Theme",
  choice: "Choice",
  component: "Component",
  componentNeedsName: "The component needs a name.",
  everyTraitNeedsName: "Every trait needs a name.",
  valueMissing: "A value is missing.",
  drawingHasSameValues: (i: number, before: number) =>
    `Drawing ${i + 1} has the same values as drawing ${before + 1}.`,
};
