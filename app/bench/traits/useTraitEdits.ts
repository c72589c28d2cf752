import { useMemo } from "react";
import type { Id } from "#core/basics";
import {
  duplicateTraitValue,
  lostWith,
  removeTrait,
  removeTraitValue,
  rulesForValue,
} from "#core/edit";
import { variantsOf } from "#core/looks";
import type { Trait } from "#core/project";
import { useEdits } from "../commands/edits";
import type { BenchEdits } from "../commands/edits";
import { useWorkpiece } from "../state/context";
import type { Workpiece } from "../state/workpiece";
import { traitsWords } from "./words";

/** The edits of traits that say what they took along, or ask what else is wished. */
export class TraitEdits {
  constructor(
    private readonly workpiece: Workpiece,
    private readonly edits: BenchEdits,
  ) {}

  /** What goes when a value is removed, in words. */
  lost(trait: Trait, value: Id): string {
    const { piece } = this.workpiece;
    return piece ? lostWith(piece, trait, value).text : "";
  }

  removeValue(trait: Trait, value: Id): void {
    const text = this.lost(trait, value);
    const name = trait.values[value]?.name ?? "";
    if (this.workpiece.run((_, piece) => removeTraitValue(piece, trait, value)))
      this.offerUndo(traitsWords.deletedTogetherWith(trait.name, name, text));
  }

  removeTrait(trait: Trait): void {
    const count = () => (this.workpiece.piece ? variantsOf(this.workpiece.piece).length : 0);
    const before = count();
    if (this.workpiece.run((_, piece) => removeTrait(piece, trait)))
      this.offerUndo(traitsWords.deletedTraitVariantsBecame(trait.name, before, count()));
  }

  /**
   * A new value that looks like another one; returns its id. Asks whether rules that name the other
   * one shall name it too.
   */
  duplicateValue(trait: Trait, value: Id): Id | null {
    const made = this.workpiece.make((_, piece) => duplicateTraitValue(piece, trait, value));
    if (!made) return null;
    const { piece } = this.workpiece;
    const along = piece ? rulesForValue(piece, trait.id, value, made.id).change.ops.length : 0;
    const name = trait.values[value]?.name ?? "";
    if (along > 0)
      this.edits.offer(traitsWords.duplicated(name, along), traitsWords.duplicateRules, () =>
        this.bringRules(trait.id, value, made.id),
      );
    return made.id;
  }

  private bringRules(trait: Id, from: Id, to: Id): void {
    const made = this.workpiece.make((_, piece) => rulesForValue(piece, trait, from, to));
    if (made) this.workpiece.state.showRules(made.ids);
  }

  private offerUndo(text: string): void {
    this.edits.offer(text, traitsWords.undo, () => this.workpiece.session.undo());
  }
}

export const useTraitEdits = (): TraitEdits => {
  const workpiece = useWorkpiece();
  const edits = useEdits();
  return useMemo(() => new TraitEdits(workpiece, edits), [workpiece, edits]);
};
