import { createRequire } from "node:module";
import type { Id } from "#core/basics";
import { scxmlEvent, writeScxml } from "#core/formats/scxml";
import { variantFrom } from "#core/looks";
import { advance, ancestry, nextDue, rulesOf, start, step } from "#core/machine";
import type { Input, MachineEvent, State } from "#core/machine";
import { ROOT } from "#core/project";
import type { Piece, Project, Variant } from "#core/project";
import type { ChartClock } from "./clock";

interface Statechart {
  start(): void;
  gen(event: string): void;
  getConfiguration(): string[];
}
interface Model {
  prepare(done: (error: Error | null, model: unknown) => void): void;
}
const scxml = createRequire(import.meta.url)("@scion-scxml/scxml") as {
  documentStringToModel(
    url: string,
    text: string,
    done: (error: Error | null, model: Model) => void,
  ): void;
  core: { Statechart: new (model: unknown) => Statechart };
};

/**
 * A chart read by an interpreter that knows nothing of Nubble, to be started when the clock is as
 * one wants it.
 */
const readChart = (text: string): Promise<() => Statechart> =>
  new Promise((resolve, reject) => {
    scxml.documentStringToModel("piece.scxml", text, (error, model) => {
      if (error) return reject(error);
      model.prepare((failed, made) => {
        if (failed) return reject(failed);
        resolve(() => {
          const chart = new scxml.core.Statechart(made);
          chart.start();
          return chart;
        });
      });
    });
  });

/** The values a chart's trait regions are in. */
const chartVariant = (chart: Statechart): Variant =>
  Object.fromEntries(
    chart
      .getConfiguration()
      .filter((s) => s.startsWith("V_"))
      .map((s) => {
        const at = s.indexOf(".");
        return [s.slice(2, at), s.slice(at + 1)];
      }),
  );

/** The same done to the machine and to the chart made of the piece, which waits by `clock`. */
export class Twins {
  state: State;
  steps = 0;
  /** two waits have ended at one moment: they compete in Nubble and follow one another in charts */
  competed = false;
  private readonly sources: Set<Id>;

  constructor(
    private readonly project: Project,
    private readonly piece: Piece,
    private readonly chart: Statechart,
    private readonly clock: ChartClock,
  ) {
    this.state = start(project, piece.id);
    this.sources = new Set(rulesOf(project, piece).map((r) => r.source ?? ROOT));
  }

  static async of(project: Project, piece: Piece, clock: ChartClock): Promise<() => Twins> {
    const begin = await readChart(writeScxml(project, piece));
    return () => new Twins(project, piece, begin(), clock);
  }

  get variants(): { machine: Variant; chart: Variant } {
    return {
      machine: variantFrom(this.piece, this.state.traits[this.piece.id] ?? {}),
      chart: chartVariant(this.chart),
    };
  }

  /** Layers of the piece itself with rules, among paths, innermost first. */
  private own(paths: readonly string[]): Id[] {
    return paths.flatMap((p) => {
      const [screen, id, more] = p.split("/");
      return screen === this.piece.id &&
        id !== undefined &&
        more === undefined &&
        this.sources.has(id)
        ? [id]
        : [];
    });
  }

  private tell(event: string): void {
    this.chart.gen(event);
  }

  /** One input to both: the chart is told what an environment tells, by the layers concerned. */
  input(input: Input): void {
    const before = this.state;
    const { state: after, events } = step(this.project, before, input);
    this.state = after;
    this.steps++;
    switch (input.type) {
      case "over":
        this.over(before.pointer.over, after.pointer.over);
        break;
      case "down":
        this.pressed(before, after);
        break;
      case "up":
        this.lifted(before, events);
        break;
      case "cancel":
        this.letGo(before);
        break;
      case "focus":
        if (before.keyboard.pressing !== null && after.keyboard.pressing === null)
          this.tell("letgo");
        this.focus(before, after);
        break;
      case "key":
        this.key(input, before, after, events);
        break;
      case "fill":
        this.form(events);
        break;
      case "click":
        throw new Error("in a chart a pointer clicks");
      // nothing that a chart is told of
      case "move":
      case "scroll":
      case "seen":
      case "answer":
      case "show":
      case "screen":
      case "overlay":
      case "back":
        break;
    }
    for (const event of events) this.signal(event);
  }

  private letGo(before: State): void {
    if (before.pointer.pressed) this.tell("letgo");
  }

  private pressed(before: State, after: State): void {
    if (!before.pointer.pressed) this.down(before, after);
  }

  private lifted(before: State, events: readonly MachineEvent[]): void {
    if (before.pointer.pressed && before.keyboard.pressing === null)
      this.lift(before, before.pointer.over, events);
  }

  /** What copies in the piece have signalled. */
  private signal(event: MachineEvent): void {
    if (event.type !== "signalled") return;
    const [piece, copy, ...deeper] = event.path.split("/");
    if (piece === this.piece.id && copy !== undefined && deeper.length === 0)
      this.tell(`signal.${copy}.${event.signal}`);
  }

  private over(before: readonly string[], after: readonly string[]): void {
    const gone = before.filter((p) => !after.includes(p));
    const come = after.filter((p) => !before.includes(p));
    for (const layer of this.own(gone)) this.tell(`leave.${layer}`);
    for (const layer of this.own(come).reverse()) this.tell(`enter.${layer}`);
  }

  private down(before: State, after: State): void {
    this.focus(before, after);
    const [at] = this.own(before.pointer.over);
    if (at !== undefined) this.tell(scxmlEvent("press", at));
  }

  private key(
    { key, phase }: Extract<Input, { type: "key" }>,
    before: State,
    after: State,
    events: readonly MachineEvent[],
  ): void {
    if (phase === "down") return this.keyDown(key, before, after, events);
    if (before.keyboard.pressing === key) this.lift(before, before.keyboard.focused, events);
  }

  private keyDown(key: string, before: State, after: State, events: readonly MachineEvent[]): void {
    this.ring(before);
    if (events.some((event) => event.type === "filled" || event.type === "sending"))
      return this.form(events);
    const { focused } = before.keyboard;
    const [at] = this.own(focused.length ? focused : [`${this.piece.id}/${ROOT}`]);
    this.tell(scxmlEvent("key", at ?? ROOT, key));
    if (!before.pointer.pressed && after.keyboard.pressing !== null)
      this.tell(scxmlEvent("press", this.own(after.keyboard.focused)[0] ?? ROOT));
  }

  private focus(was: State, is: State): void {
    const before = was.keyboard.focused;
    const after = is.keyboard.focused;
    for (const l of this.own(before.filter((p) => !after.includes(p)))) this.tell(`blur.${l}`);
    if (was.keyboard.shown !== is.keyboard.shown)
      this.tell(is.keyboard.shown ? "focusshown" : "focushidden");
    for (const l of this.own(after.filter((p) => !before.includes(p))).reverse())
      this.tell(`focus.${l}`);
  }

  /** A key is pressed where a pointer had brought the focus. */
  private ring({ keyboard }: State): void {
    if (keyboard.shown || keyboard.focused.length === 0) return;
    this.tell("focusshown");
    for (const l of this.own(keyboard.focused).reverse()) this.tell(`ring.${l}`);
  }

  /** What was filled in and sent. */
  private form(events: readonly MachineEvent[]): void {
    for (const event of events) {
      if (event.type === "filled" && event.path === this.piece.id)
        this.tell(`typed.${event.layer}`);
      if (event.type === "sending" && event.path === this.piece.id)
        this.tell(
          `sent.${(event.state.forms.sending[event.path]?.source ?? "").split("/")[1] ?? ""}`,
        );
    }
  }

  private lift(before: State, there: readonly string[], events: readonly MachineEvent[]): void {
    const [at] = this.own((before.pointer.pressed ?? []).filter((p) => there.includes(p)));
    if (at !== undefined) {
      this.tell(scxmlEvent("release", at));
      this.tell(scxmlEvent("click", at));
      this.form(events);
      const twice =
        before.keyboard.pressing === null &&
        before.pointer.clicked &&
        before.now - before.pointer.clicked.at <= 400
          ? this.own(
              (before.pointer.pressed ?? []).filter(
                (p) => there.includes(p) && before.pointer.clicked?.chain.includes(p),
              ),
            )[0]
          : undefined;
      if (twice !== undefined) this.tell(scxmlEvent("double", twice));
    }
    this.tell("letgo");
  }

  /** Time passes for both; whoever draws says when the motions of a piece have ended. */
  wait(ms: number): void {
    const until = Math.round(this.state.now) + ms;
    while (this.state.now < until) {
      const due = Math.min(until, Math.max(nextDue(this.state), this.state.now + 1));
      this.passTo(due);
      this.state = advance(this.project, this.state, due).state;
    }
    this.steps++;
  }

  /** Of one moment the chart is told first what has settled, then come waits, then answers. */
  private passTo(due: number): void {
    const { timers, forms } = this.state;
    this.clock.moveTo(due);
    if (timers.waits.filter((t) => t.due === due).length > 1) this.competed = true;
    const settles = timers.settling[this.piece.id];
    if (settles !== undefined && settles <= due) this.tell("settled");
    this.clock.runDue();
    const form = forms.sending[this.piece.id];
    if (!form || form.due > due) return;
    const layers = ancestry(this.piece, form.source.split("/")[1] ?? "");
    const [at] = this.own(layers.map((id) => `${this.piece.id}/${id}`));
    if (at !== undefined) this.tell(`${forms.answersWell ? "succeeded" : "failed"}.${at}`);
  }
}
