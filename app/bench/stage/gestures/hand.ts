import type { Id } from "#core/basics";
import { distances } from "#core/edit";
import { boundsIn, unite } from "#core/layout";
import { variantKey } from "#core/looks";
import { ROOT } from "#core/project";
import type { BenchEdits } from "../../commands/edits";
import { chooseCard } from "../../state/active";
import { pickLayer } from "../../state/pick";
import { noMarks } from "../../state/view";
import type { Workpiece } from "../../state/workpiece";
import type { Hurry } from "./hurry";
import { Marquee } from "./marquee";
import { Move } from "./move";
import type { CardScene, Pointing } from "./pointing";

/** px on screen before a press becomes a drag */
const SLACK = 3;

interface Press {
  readonly at: Pointing;
  readonly card: CardScene;
  /** pressed beside all layers: a drag goes round them */
  readonly ground: boolean;
}

/** What is chosen after one more layer was, or was not any more. */
const toggled = (chosen: readonly Id[], id: Id): readonly Id[] =>
  chosen.includes(id) ? chosen.filter((c) => c !== id) : [...chosen, id];

/**
 * Choosing and moving layers with the pointer, directly on a card. Alt drags copies, Shift keeps to
 * one direction, Ctrl keeps edges from catching; a drag on the empty ground chooses what it goes
 * round; Esc takes a drag back.
 */
export class CardHand {
  private press: Press | null = null;
  private drag: Move | Marquee | null = null;
  private hurry: Hurry | null = null;

  constructor(
    private readonly workpiece: Workpiece,
    private readonly edits: BenchEdits,
    /** makes what paints a drag on the card */
    private readonly hurryOn: (card: CardScene) => Hurry,
  ) {}

  get pressed(): boolean {
    return this.press !== null;
  }
  /** True while layers are being moved. */
  get moving(): boolean {
    return this.drag instanceof Move;
  }

  down(at: Pointing, card: CardScene): void {
    const { piece, state, active } = this.workpiece;
    if (!piece || !active) return;
    const key = variantKey(piece, card.variant);
    if (!active.variants.some((v) => variantKey(piece, v) === key))
      chooseCard(piece, state, card.variant, false);
    const how = at.ctrl ? "deep" : "level";
    const picked = pickLayer(piece, card.placed, at.x, at.y, state.chosen, how);
    const ground = picked === null || picked === ROOT;
    if (at.shift && !ground) state.choose(toggled(state.chosen, picked));
    else if (picked === null) state.choose([]);
    else if (!state.chosen.includes(picked)) state.choose([picked]);
    this.press = { at, card, ground };
  }

  move(now: Pointing, card: CardScene): void {
    const { press } = this;
    if (!press) {
      this.measure(now, card);
      return;
    }
    if (!this.drag) {
      const far = Math.hypot(now.screenX - press.at.screenX, now.screenY - press.at.screenY);
      if (far < SLACK) return;
      this.begin(press, now);
    }
    this.drag?.to(now);
    this.hurry?.paint();
  }

  private begin(press: Press, now: Pointing): void {
    if (press.ground) {
      this.drag = new Marquee(this.workpiece, press.card, press.at);
      return;
    }
    this.hurry = this.hurryOn(press.card);
    const start = { ...press.at, alt: now.alt };
    this.drag = new Move(this.workpiece, this.edits, press.card, start);
  }

  up(): void {
    const { drag } = this;
    this.rest();
    drag?.end();
  }

  /** Takes a drag back; false when there is none. */
  escape(): boolean {
    const { drag } = this;
    if (!drag) return false;
    this.rest();
    drag.cancel();
    return true;
  }

  private rest(): void {
    this.press = null;
    this.drag = null;
    this.hurry?.end();
    this.hurry = null;
  }

  /** Goes one level further in under the pointer; what is chosen then. */
  goIn(at: Pointing, card: CardScene): Id | null {
    const { piece, state } = this.workpiece;
    const picked = piece && pickLayer(piece, card.placed, at.x, at.y, state.chosen, "into");
    if (picked !== null) state.choose([picked]);
    return picked;
  }

  leave(): void {
    if (!this.press && this.workpiece.state.marks) this.workpiece.state.mark(null);
  }

  /** With Alt shows how far what is chosen is from what one points at. */
  private measure(now: Pointing, card: CardScene): void {
    const { piece, state } = this.workpiece;
    if (!now.alt || !piece) {
      if (state.marks) state.mark(null);
      return;
    }
    const bounds = boundsIn(card.placed);
    const from = unite(state.chosen.flatMap((id) => bounds.get(id) ?? []));
    const over = bounds.get(pickLayer(piece, card.placed, now.x, now.y, state.chosen) ?? ROOT);
    if (from && over) state.mark({ ...noMarks, gaps: distances(from, over) });
  }
}
