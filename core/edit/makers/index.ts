import { childrenOf, traitsOf, valuesOf } from "../../looks";
import { apply, set } from "../../project";
import type { Change, Op, Piece, Project, Rule } from "../../project";
import { setValues } from "../drawing/looks";
import { editWords } from "../words";
import { answers } from "./answering";
import { appear } from "./appearing";
import { openClose, pick, pickedBy, steps, thereAndBack } from "./choosing";
import { contact, contactTrait, touchNamedBy, duringTouch } from "./contact";
import { deck } from "./deck";
import { swell, wiggle } from "./lively";
import type { Maker, Making, Setting } from "./making";

export { addContacts } from "./touch";
export type { TouchTrigger } from "./contact";
export type { Given, Maker, Making, Parameter, Setting } from "./making";

const same = (a: Rule, b: Rule): boolean =>
  JSON.stringify([a.trigger, a.source, Object.entries(a.when).sort(), a.effects]) ===
  JSON.stringify([b.trigger, b.source, Object.entries(b.when).sort(), b.effects]);

/** What is not there yet of a making. */
const missing = (piece: Piece, making: Making): Making => ({
  ...making,
  rules: making.rules.filter((r) => !Object.values(piece.rules).some((known) => same(known, r))),
});

const isNothing = ({ rules, changed }: Making): boolean => rules.length + changed.length === 0;

/** Several layers, or all that lie in the one that is chosen. */
const severalOf = ({ piece, layers }: Setting): readonly string[] => {
  const [only] = layers;
  if (layers.length !== 1 || only === undefined) return layers;
  return (childrenOf(piece).get(only) ?? []).map((l) => l.id);
};

/** All ready-made behaviour there is for what is chosen and is not there yet. */
export const makersFor = (setting: Setting): Maker[] => {
  const { piece, layers } = setting;
  const n = layers.length;
  const free = traitsOf(piece).filter((t) => t !== contactTrait(piece));
  const touches = free.flatMap((t) => touchNamedBy(t) ?? []);
  const others = free.filter((t) => !touches.some(({ trait }) => trait === t));
  const ofTwo = others.filter((t) => valuesOf(t).length === 2);
  const ofAsMany = others.filter((t) => pickedBy(t, n) !== null);
  const several = severalOf(setting);
  const [only] = layers;
  const list: Maker[] = [
    ...(n < 2 ? touches.map((touch) => duringTouch(setting, touch)) : []),
    ...(n < 2 ? [contact(setting)] : []),
    ...(n > 1 ? ofAsMany.map((t) => pick(setting, t)) : []),
    ...(n > 2 ? [deck(setting)] : []),
    ...(n === 2 ? ofTwo.map((t) => openClose(setting, t)) : []),
    ...(n < 2 ? ofTwo.map((t) => thereAndBack(setting, t)) : []),
    ...answers(setting),
    ...(n > 0 && several.length > 1 ? [appear({ ...setting, layers: several })] : []),
    ...(n === 1 && only !== undefined ? [wiggle(setting, only), swell(setting, only)] : []),
    ...(n === 0 ? others.flatMap((t) => [steps(setting, t, false), steps(setting, t, true)]) : []),
  ];
  return list
    .map((maker) => ({ ...maker, draw: (given = {}) => missing(piece, maker.draw(given)) }))
    .filter((maker) => !isNothing(maker.draw({})));
};

/** Makes what was drawn, as one step of undo. */
export const make = (project: Project, piece: Piece, name: string, making: Making): Change => {
  const ops: Op[] = [
    ...making.traits.map((t) => set(["pieces", piece.id, "traits", t.id], t)),
    ...[...making.changed, ...making.rules].map((r) => set(["pieces", piece.id, "rules", r.id], r)),
  ];
  const label = editWords.make(name).slice(0, 200);
  let now = apply(project, ops).doc;
  for (const { when, edits } of making.looks) {
    const home = now.pieces[piece.id];
    const change = home && setValues(home, [when], edits);
    if (!change) continue;
    ops.push(...change.ops);
    now = apply(now, change.ops).doc;
  }
  return { label, ops };
};
