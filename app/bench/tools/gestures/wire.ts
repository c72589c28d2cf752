import type { Id } from "#core/basics";
import { piecesOf } from "#core/edit";
import type { Wire } from "#core/edit";
import { variantKey, variantName, variantsOf } from "#core/looks";
import { ROOT } from "#core/project";
import type { Workpiece } from "../../state/workpiece";
import { toolsWords } from "../words";

/** What a wire can end at: a card, or a screen it leads to or opens over this one. */
export type WireEnd = { readonly card: string } | { readonly screen: Id; readonly over: boolean };

interface Point {
  readonly x: number;
  readonly y: number;
}

/** The curve of a wire from one place on screen to another, as path data. */
export const wirePath = (from: Point, to: Point): string => {
  const bend = Math.max(30, Math.abs(to.x - from.x) / 2);
  return `M${from.x} ${from.y} C${from.x + bend} ${from.y} ${to.x - bend} ${to.y} ${to.x} ${to.y}`;
};

/** All a wire can lead to from the card looked at, by what it is called. */
export const wireEnds = ({
  piece,
  project,
  active,
}: Workpiece): { label: string; end: WireEnd }[] => {
  if (!piece || !active) return [];
  const here = active.variants.length === 1 ? variantKey(piece, active.variant) : null;
  const cards = variantsOf(piece).filter((v) => variantKey(piece, v) !== here);
  const screens = piecesOf(project, "screen").filter((s) => s.id !== piece.id);
  return [
    ...cards.map((v) => ({
      label: toolsWords.to(variantName(piece, v)),
      end: { card: variantKey(piece, v) },
    })),
    ...screens.flatMap((s) => [
      { label: toolsWords.go(s.name), end: { screen: s.id, over: false } },
      { label: toolsWords.showAsOverlay(s.name), end: { screen: s.id, over: true } },
    ]),
  ];
};

/** Drawing a wire from the chosen layers to what they shall lead to. */
export class WireDrawing {
  /** where it begins, px on screen; null while none is drawn */
  from: Point | null = null;

  constructor(private readonly workpiece: Workpiece) {}

  begin(from: Point): void {
    this.from = from;
    this.workpiece.state.beginWire();
  }

  /** Leaves it where nothing is. */
  cancel(): void {
    this.from = null;
    this.workpiece.state.endWire(null);
  }

  /** Ends it, px on screen; the card it was drawn from and nothing at all are no ends. */
  end(at: Point, end: WireEnd | null): void {
    const { piece, active, state } = this.workpiece;
    const begun = this.from !== null;
    this.cancel();
    const to = begun && end ? this.wireTo(end) : null;
    if (!to || !piece || !active) return;
    const layers = state.chosen.filter((id) => id !== ROOT && piece.layers[id]);
    state.endWire({
      x: at.x,
      y: at.y,
      layers: layers.length ? layers : [ROOT],
      from: active.variants,
      to,
    });
  }

  private wireTo(end: WireEnd): Wire | null {
    if ("screen" in end) return end;
    const { piece, active } = this.workpiece;
    if (!piece || !active) return null;
    const [only] = active.variants.length === 1 ? active.variants : [];
    if (only && variantKey(piece, only) === end.card) return null;
    const variant = variantsOf(piece).find((v) => variantKey(piece, v) === end.card);
    return variant ? { variant } : null;
  }
}
