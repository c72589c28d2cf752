import type { Id } from "#core/basics";
import { addLayer, addPiece, addRule, addTrait, emptyProject, setValues } from "#core/edit";
import { ROOT, accept, inOrder } from "#core/project";
import type { Change, Condition, Effect, Layer, Piece, Project, Rule } from "#core/project";
import type { LayerKind, SpecifiedValue, Value } from "#core/properties";

/** A project under construction: every step goes through the commands people's edits go through. */
export class Builder {
  project: Project = emptyProject("Harbour tests");
  at: Id = "";

  get piece(): Piece {
    const piece = this.project.pieces[this.at];
    if (!piece) throw new Error("no piece yet");
    return piece;
  }

  do(change: Change): this {
    const result = accept(this.project, change);
    if (!result.ok) throw new Error(result.error);
    this.project = result.project;
    return this;
  }

  on(piece: Id): this {
    this.at = piece;
    return this;
  }

  new(kind: Piece["kind"], name: string): Id {
    const made = addPiece(this.project, kind, name);
    this.do(made.change);
    this.at = made.id;
    // most tests lay out in a frame whose size they know
    const frame = { width: 240, height: 96, widthMode: "fixed", heightMode: "fixed" } as const;
    if (kind === "component") this.look({}, ROOT, frame);
    return made.id;
  }

  layer(kind: LayerKind, values: Record<string, Value> = {}, parent: Id = ROOT): Id {
    const made = addLayer(this.piece, kind, parent, values);
    this.do(made.change);
    return made.id;
  }

  /** A trait; the answer gives its id and its values' ids by name. */
  trait(name: string, ...values: string[]): { id: Id; v: Record<string, Id> } {
    const made = addTrait(this.piece, name, values);
    this.do(made.change);
    const trait = this.piece.traits[made.id];
    return {
      id: made.id,
      v: Object.fromEntries(inOrder(trait?.values ?? {}).map((x) => [x.name, x.id])),
    };
  }

  look(when: Condition, layer: Id, values: Record<string, SpecifiedValue>): this {
    return this.do(setValues(this.piece, when, { [layer]: values }));
  }

  rule(given: Partial<Omit<Rule, "id" | "order">>): Id {
    const made = addRule(this.piece, {
      motion: { kind: "cut", duration: 0, delay: 0, easing: "linear" },
      undo: false,
      ...given,
    });
    this.do(made.change);
    return made.id;
  }

  layerOf(id: Id): Layer {
    const layer = this.piece.layers[id];
    if (!layer) throw new Error("no such layer");
    return layer;
  }
}

export const becomes = (trait: Id, value: Id): Effect => ({ type: "set", trait, to: { value } });
export const goes = (trait: Id, step: "next" | "previous" | "opposite"): Effect => ({
  type: "set",
  trait,
  to: { step },
});
