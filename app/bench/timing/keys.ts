import type { KeyEntry } from "../../ui/keys";
import { timingWords } from "./words";

/** What the keys of Timing act on. */
export interface TimingHands {
  readonly play: () => void;
  /** removes the lanes chosen; null where there are none */
  readonly removeLanes: (() => void) | null;
  /** takes back a change that is only tried; null where there is none */
  readonly takeBack: (() => void) | null;
}

/** The keys of Timing; those of its bars and its playhead are told in the help alone. */
export const timingKeys: readonly KeyEntry<TimingHands>[] = [
  {
    keys: ["Space"],
    words: timingWords.playStop,
    run: ({ play }) => play(),
  },
  {
    keys: ["Delete", "Backspace"],
    words: timingWords.deleteSelectedLanes,
    when: ({ removeLanes }) => removeLanes !== null,
    run: ({ removeLanes }) => removeLanes?.(),
  },
  {
    keys: ["$mod+z"],
    words: timingWords.discardChangesWereOnly,
    when: ({ takeBack }) => takeBack !== null,
    run: ({ takeBack }) => takeBack?.(),
  },
];
