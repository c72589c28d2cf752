import type { Revert } from "../state";

/** What a kind of trigger is to the machine. */
export interface TriggerFacet {
  /** what sets it off */
  readonly by: "press" | "hover" | "focus" | "key" | "copy" | "time" | "clip" | "form" | "sight";
  /** with the end of which contact what was done can go back */
  readonly contact?: Revert["cause"];
  /** its layer becomes a stop of the Tab key: it can be pressed, or it answers to the keyboard */
  readonly isStop?: true;
  /** it comes some time after the press: what pressed must stay on the layer until then */
  readonly afterPress?: true;
}
