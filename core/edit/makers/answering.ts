import { plainText, present } from "../../basics";
import type { Id } from "../../basics";
import { restingVariant, traitsOf, valuesIn, valuesOf } from "../../looks";
import { ROOT, inOrder } from "../../project";
import type { Trait } from "../../project";
import { editWords } from "../words";
import { becomes, numbered, rulesOnly } from "./making";
import type { Draft, Maker, Setting } from "./making";

const called = (name: string): string => name.trim().toLowerCase();

/** Rules by which each signal of a copy sets the value that has its name. */
const answersOf = ({ project, piece }: Setting, copy: Id, trait: Trait): Draft[] => {
  const layer = present(piece.layers[copy]);
  const { component } = valuesIn(project, piece, restingVariant(piece), layer);
  const signals = inOrder(project.pieces[plainText(component)]?.signals ?? {});
  return signals.flatMap((signal): Draft[] => {
    const value = valuesOf(trait).find((v) => called(v.name) === called(signal.name));
    if (!value) return [];
    return [
      {
        trigger: { type: "signal", signal: signal.id },
        source: copy,
        effects: [becomes(trait, value)],
      },
    ];
  });
};

/** Each signal of the chosen copies, or of all, is answered with the value of the same name. */
export const answers = (setting: Setting): Maker[] => {
  const { piece, layers, motion } = setting;
  const among = layers.length ? layers : Object.keys(piece.layers);
  const copies = among.filter((id) => id !== ROOT && piece.layers[id]?.kind === "instance");
  return traitsOf(piece).flatMap((trait): Maker[] => {
    const drafts = copies.flatMap((copy) => answersOf(setting, copy, trait));
    if (drafts.length === 0) return [];
    return [
      {
        id: `answer ${trait.id}`,
        name: editWords.followSignalsWith(trait.name),
        parameters: [],
        draw: () => rulesOnly(numbered(piece, drafts, motion)),
      },
    ];
  });
};
