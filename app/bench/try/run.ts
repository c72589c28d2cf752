import type { Id } from "#core/basics";
import { eventText } from "#core/describe";
import type { LogLine } from "#core/describe";
import { addRehearsal } from "#core/edit";
import type { LayoutEnv } from "#core/layout";
import type { ActiveInstance } from "#core/machine";
import { restingVariant, traitsOf, variantFrom } from "#core/looks";
import type { Step, Variant } from "#core/project";
import { Recorder } from "#core/rehearse";
import type { Run } from "#core/runtime";
import { Player } from "#player";
import { Showing as StepsShown } from "#player/show";
import type { DisplayedSource } from "../../session/displayed";
import type { Showing } from "../state/tryout";
import { Watched } from "../../ui/watched";
import type { Workpiece } from "../state/workpiece";
import { tryWords } from "./words";

/** Room around the piece, px. */
const MARGIN = 12;
const MOST_LINES = 200;
/** A frame of the screen, ms. */
const FRAME = 1000 / 60;

/** A line of the log of what fired. */
export interface TryLine extends LogLine {
  readonly id: number;
  /** the field it was typed into, letter by letter */
  readonly typing: string | null;
}

/** How the running copy goes; a copy that is made anew begins so. */
export interface Pace {
  readonly rate: number;
  readonly paused: boolean;
  /** the pointer is a finger */
  readonly touch: boolean;
  /** changes only fade, as for people whose system asks for less motion */
  readonly calm: boolean;
}

interface Size {
  readonly width: number;
  readonly height: number;
}

const sameVariant = (a: Variant, b: Variant): boolean => JSON.stringify(a) === JSON.stringify(b);

const sameCopies = (a: readonly ActiveInstance[], b: readonly ActiveInstance[]): boolean =>
  a.length === b.length &&
  a.every((copy, i) => {
    const other = b[i];
    return other?.path === copy.path && sameVariant(copy.variant, other.variant);
  });

/** Keeps a player of the piece on the bench running, and knows where it is. */
export class TryRun extends Watched {
  variant: Variant = {};
  /** the shown piece and the copies in it with their traits */
  copies: readonly ActiveInstance[] = [];
  /** the piece that is shown: another one after the copy has led there */
  screen: Id;
  lines: readonly TryLine[] = [];
  pace: Pace;
  /** whether forms that are sent succeed */
  well = true;
  /** what showing steps has come to; null for nothing to tell */
  outcome: string | null = null;
  recording = false;
  /** how large it is shown, at most 1 */
  scale = 1;
  private player: Player | null = null;
  private recorder: Recorder | null = null;
  private space: Size | null = null;
  private count = 0;

  constructor(
    private readonly env: LayoutEnv,
    private readonly source: DisplayedSource,
    private readonly workpiece: Workpiece,
    calm: boolean,
  ) {
    super();
    this.screen = this.piece;
    this.pace = { rate: 1, paused: false, touch: false, calm };
  }

  private get piece(): Id {
    return this.workpiece.state.pieceId;
  }

  /** Plays in an element and follows edits until what it returns is called. */
  mount(host: HTMLElement): () => void {
    const player = new Player(host, {
      env: this.env,
      project: this.source.displayed,
      piece: this.piece,
      margin: MARGIN,
      onHappening: (event) => {
        const line = eventText(this.source.displayed, event);
        // what is typed letter by letter is one line
        const typing = event.type === "filled" ? `${event.path}/${event.layer}` : null;
        if (line) this.log({ ...line, id: ++this.count, typing });
      },
      onAct: (act) => this.recorder?.take(act),
      onChange: (run) => this.moved(run),
    });
    this.player = player;
    this.applyPace();
    const stop = this.source.subscribe(() => {
      player.update(this.source.displayed);
      this.fit();
    });
    return () => {
      stop();
      player.destroy();
      this.player = null;
      this.scale = 1;
    };
  }

  private log(line: TryLine): void {
    const goesOn = line.typing !== null && this.lines[0]?.typing === line.typing;
    const before = goesOn ? this.lines.slice(1) : this.lines;
    this.lines = [line, ...before].slice(0, MOST_LINES);
    this.changed();
  }

  private moved(run: Run): void {
    this.tell(run);
    const variant = run.variant();
    const copies = run.copies();
    const isSame = run.screen === this.screen && sameVariant(variant, this.variant);
    if (isSame && sameCopies(copies, this.copies)) return;
    this.variant = variant;
    this.copies = copies;
    this.screen = run.screen;
    this.fit();
    this.changed();
  }

  /** Tells the rest of the bench where the copy is and what it waits for. */
  private tell(run: Run): void {
    const waits = run.inside.timers.waits
      .filter((t) => t.at === this.piece)
      .map((t) => ({ rule: t.rule, left: t.due - run.now }));
    const variant = run.screen === this.piece ? run.variant() : {};
    const { running, ran } = this.workpiece.state;
    const waited = waits.length + (running?.waits.length ?? 0) > 0;
    const same = running?.rate === this.rate && sameVariant(running.variant, variant);
    // it is asked in every frame that moves: what is known already need not be told again
    if (waited || !same) ran({ variant, waits, since: performance.now(), rate: this.rate });
  }

  private get rate(): number {
    return this.pace.paused ? 0 : this.pace.rate;
  }

  private applyPace(): void {
    const { player, pace } = this;
    player?.setRate(this.rate);
    player?.setTouch(pace.touch);
    player?.setCalm(pace.calm);
  }

  /** Goes on faster or slower, halted, by finger, or calmly. */
  drive(next: Partial<Pace>): void {
    this.pace = { ...this.pace, ...next };
    this.applyPace();
    if (this.player) this.tell(this.player.machine);
    this.changed();
  }

  /** Goes on by a frame, while it is halted. */
  step(): void {
    this.player?.stepBy(FRAME);
  }

  /** How forms that are sent are answered from now on. */
  answer(well: boolean): void {
    this.well = well;
    this.player?.answer(well);
    this.changed();
  }

  restart(): void {
    this.lines = [];
    this.outcome = null;
    this.player?.restart();
    this.changed();
  }

  /** Gives a trait of what is shown, or of a copy in it, a value. `at` is a path of the run. */
  set(trait: Id, value: Id, at = this.screen): void {
    this.player?.set(at, trait, value);
  }

  /** Shows a variant of the piece. */
  setAll(variant: Variant): void {
    for (const [trait, value] of Object.entries(variant))
      this.player?.set(this.piece, trait, value);
  }

  /** Shows steps one after the other. */
  async show({ steps }: Showing): Promise<void> {
    const { state } = this.workpiece;
    this.outcome = tryWords.playing;
    this.drive({ paused: false });
    const failed = await this.player?.demonstrate(StepsShown, steps, (step) =>
      state.stepShown(step),
    );
    this.outcome = failed ? tryWords.step(failed.step, failed.why) : null;
    state.show(null);
    this.changed();
  }

  /** Begins to record what is done, or ends and keeps it as a rehearsal. */
  record(): void {
    const { recorder, player } = this;
    if (!recorder) {
      this.recorder = new Recorder();
      this.recording = true;
      this.changed();
      this.workpiece.state.restart();
      return;
    }
    this.recorder = null;
    this.recording = false;
    this.changed();
    if (player && recorder.recorded.length > 0) this.keepSteps(recorder.recorded, player.machine);
  }

  /** What it has come to is what is expected of it from now on. */
  private keepSteps(recorded: readonly Step[], run: Run): void {
    const made = this.workpiece.make((_, piece) => {
      const rest = restingVariant(piece);
      const is = variantFrom(piece, run.inside.traits[piece.id] ?? {});
      const expected = traitsOf(piece)
        .filter((t) => is[t.id] !== rest[t.id])
        .map((t): Step => ({ do: "trait", at: "", trait: t.id, value: is[t.id] ?? "" }));
      return addRehearsal(piece, [...recorded, { do: "settle" }, ...expected]);
    });
    if (!made) return;
    this.workpiece.state.openRehearsal(made.id);
    this.workpiece.state.openTab("rehearsals");
  }

  /** Takes the room there is, px. */
  fitInto(space: Size): void {
    this.space = space;
    this.fit();
  }

  /** Shows the piece as large as it is, or as fits. */
  private fit(): void {
    const scene = this.player?.machine.scene();
    if (!scene || !this.space) return;
    const fits = Math.min(
      1,
      this.space.width / (scene.width + 2 * MARGIN),
      this.space.height / (scene.height + 2 * MARGIN),
    );
    const scale = fits >= 1 ? 1 : Math.floor(fits * 100) / 100;
    if (scale === this.scale) return;
    this.scale = scale;
    this.player?.setScale(scale);
    this.changed();
  }
}
