/** What people read in checks. */
export const checksWords = {
  // Checks.tsx
  broken: "Broken",
  problem: "Problem",
  intended: "Is this intended?",
  whyFine: "Why is this fine?",
  accept: "Accept",
  cancel: "Cancel",
  showLayers: "Show layers",
  showRule: "Show rule",
  showRules: "Show rules",
  playTry: "Play in Try",
  acceptInChecks: "Accept…",
  checkedAllWithMouse: (looked: string) => `Checked all ${looked} with mouse, touch and keyboard.`,
  checkedFirstThereAre: (looked: string) =>
    `Checked the first ${looked}. There are more, so unreachable parts are not reported.`,
  checkedFirstAllVariants: (looked: string, variants: number) =>
    `Checked the first ${looked}, and all ${variants} variants by traits only.`,
  checkingAllSituations: "Checking all situations…",
  checking: "Checking…",
  checkingFurther: (looked: string, checked: string) =>
    `Checked the first ${looked}. Checking further: ${checked}…`,
  noFindings: "No findings.",
  accepted: "Accepted",
  reopen: "Reopen",
  situations: (count: number) => `${count.toLocaleString("en")} situation${count === 1 ? "" : "s"}`,
};
