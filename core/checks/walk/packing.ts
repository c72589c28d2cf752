import { entryOf } from "../../basics";
import type { State, Timer } from "../../machine";
import type { Project } from "../../project";
import type { Mode } from "./types";
import { beganTogether, waitsIn } from "./waits";
import { Numbering } from "./words";

type Revert = State["reverts"][number];

const modes: Readonly<Record<Mode, number>> = { rest: 0, mouse: 1, touch: 2, keys: 3 };

/** How many words a situation takes. */
export const WIDTH = 17;

/**
 * Writes situations as fixed numbers of words: two have equal ones if and only if they are the same
 * as far as anything can come of them.
 */
export class Packing {
  /** the words of the situation that was packed last */
  readonly row = new Int32Array(WIDTH);
  private readonly numbers = new Numbering();
  private readonly reverts = new WeakMap<Revert, number>();
  private readonly leadsBack: boolean;

  constructor(private readonly project: Project) {
    const rules = Object.values(project.pieces).flatMap((p) => Object.values(p.rules));
    this.leadsBack = rules.some((r) => r.effects.some((e) => e.type === "back"));
  }

  /** Writes a situation; `shown` is the number of what it shows. */
  pack(mode: Mode, state: State, shown: number): Int32Array {
    const { row, numbers } = this;
    const { pointer, keyboard, timers } = state;
    // where one came from matters only where something leads back there
    const hasPast = this.leadsBack && state.history.length > 0;
    row[0] = modes[mode] | (keyboard.shown ? 4 : 0) | (hasPast ? 8 : 0);
    row[1] = shown;
    row[2] = numbers.text(pointer.over[0]);
    // what is pressed may be nothing
    row[3] = pointer.pressed ? numbers.text(pointer.pressed[0] ?? "") : 0;
    row[4] = numbers.text(keyboard.pressing);
    row[5] = numbers.list(pointer.heldIn);
    row[6] = numbers.text(pointer.clicked?.chain[0]);
    row[7] = numbers.text(keyboard.focused[0]);
    row[8] = this.held(state);
    row[9] = this.waits(state);
    row[10] = this.keys(timers.settling);
    row[11] = this.keys(timers.stopped);
    row[12] = this.clips(state);
    row[13] = this.entries(state);
    row[14] = numbers.list(state.scroll.inSight);
    row[15] = this.keys(state.forms.sending);
    row[16] = this.returns(state);
    return row;
  }

  /** Where the focus goes back to when each overlay is closed. */
  private returns({ overlays }: State): number {
    let list = 0;
    for (const { returnTo } of overlays)
      list = this.numbers.longer(list, this.numbers.text(returnTo));
    return list;
  }

  private keys(table: Readonly<Record<string, unknown>>): number {
    let list = 0;
    for (const key in table) list = this.numbers.longer(list, this.numbers.text(key));
    return list;
  }

  /** What contacts hold, what was before, and whether it still is as they left it. */
  private held(state: State): number {
    let list = 0;
    for (const revert of state.reverts) {
      list = this.numbers.longer(list, this.revert(revert));
      for (const key in revert.before) {
        const isLast = state.writers[`${revert.at} ${key}`] === revert.serial;
        list = this.numbers.longer(list, isLast ? -1 : -2);
      }
    }
    return list;
  }

  private revert(revert: Revert): number {
    return entryOf(this.reverts, revert, () => {
      const before = Object.entries(revert.before).map(([key, was]) => [key, was.value]);
      return this.numbers.text(JSON.stringify([revert.at, revert.rule, revert.source, before]));
    });
  }

  /** What is waited for, by the order in which that began. */
  private waits(state: State): number {
    let list = 0;
    let last = NaN;
    for (const { timer, began } of waitsIn(this.project, state)) {
      list = this.numbers.longer(list, beganTogether(began, last) ? -1 : -2);
      list = this.numbers.longer(list, this.timer(timer));
      last = began;
    }
    return list;
  }

  private timer({ at, rule, source, clip }: Timer): number {
    return this.numbers.text(`${at} ${rule} ${source ?? ""} ${clip ?? ""}`);
  }

  private clips({ clips }: State): number {
    let list = 0;
    for (const path in clips) {
      const clip = clips[path];
      if (!clip) continue;
      list = this.numbers.longer(list, this.numbers.text(path));
      list = this.numbers.longer(list, Math.round(clip.moment) * 2 + (clip.playing ? 1 : 0));
    }
    return list;
  }

  private entries({ forms: { entries } }: State): number {
    let list = 0;
    for (const path in entries) {
      list = this.numbers.longer(list, this.numbers.text(path));
      list = this.numbers.longer(list, this.numbers.text(entries[path]));
    }
    return list;
  }
}
