import { plainText } from "../basics";
import type { Id } from "../basics";
import { piecesOf } from "../edit";
import { restOf, traitsOf, valuesOf } from "../looks";
import { BASE, inOrder } from "../project";
import type { Option, Piece, Project } from "../project";
import { OPTION, TRAIT, property, sheetType } from "../properties";
import type { SpecifiedValue, ValueType } from "../properties";
import { libraryWords } from "./words";

/** Something a placed copy of a component can be given. */
export interface Offered {
  /** "trait:ID" or "option:ID", as the copy says it */
  readonly key: string;
  readonly name: string;
  readonly isTrait: boolean;
  readonly type: ValueType;
  /** exclusive choices by their words, where the value is one of them */
  readonly choices: readonly { readonly value: SpecifiedValue; readonly words: string }[] | null;
  /** what it is when the copy says nothing */
  readonly inherent: SpecifiedValue | undefined;
}

type Kind = Pick<Offered, "type" | "choices" | "inherent">;
type Choices = Offered["choices"];

/** How far options may show options of options of nested copies to the outside. */
const DEEPEST = 8;

/** An option that shows a trait of a nested copy. */
const traitOption = (
  inner: Piece | undefined,
  o: Option,
  own: SpecifiedValue | undefined,
): Kind | null => {
  const trait = inner?.traits[o.key.slice(TRAIT.length)];
  if (!trait) return null;
  return {
    type: { is: "reference" },
    choices: valuesOf(trait).map((v) => ({ value: v.id, words: v.name })),
    inherent: own ?? restOf(trait),
  };
};

const yesOrNo: Choices = [
  { value: true, words: libraryWords.yes },
  { value: false, words: libraryWords.no },
];

/** An option that sets a property of a layer of the component itself. */
const propertyOption = (
  key: Option["key"],
  own: SpecifiedValue | undefined,
  pieces: Choices,
): Kind => {
  const inherent = own ?? property(key)?.fallback;
  if (key === "component") return { type: { is: "reference" }, choices: pieces, inherent };
  const type: ValueType = sheetType(key) ?? { is: "text" };
  return { type, choices: type.is === "flag" ? yesOrNo : null, inherent };
};

/**
 * How an option is set; one that shows a nested copy's own trait or option to the outside takes
 * after that.
 */
const kindOf = (
  project: Project,
  component: Piece,
  o: Option,
  pieces: Choices,
  depth = 0,
): Kind | null => {
  const said = component.looks[BASE]?.changes[o.layer];
  const own = said?.[o.key];
  if (!component.layers[o.layer] || depth > DEEPEST) return null;
  const inner = project.pieces[plainText(said?.component ?? "")];
  if (o.key.startsWith(TRAIT)) return traitOption(inner, o, own);
  if (o.key.startsWith(OPTION)) {
    const option = inner?.options[o.key.slice(OPTION.length)];
    const nested = inner && option ? kindOf(project, inner, option, pieces, depth + 1) : null;
    return nested && { ...nested, inherent: own ?? nested.inherent };
  }
  return propertyOption(o.key, own, pieces);
};

const traitsOffered = (component: Piece): readonly Offered[] =>
  traitsOf(component).map((t) => ({
    key: TRAIT + t.id,
    name: t.name,
    isTrait: true,
    type: { is: "reference" },
    choices: valuesOf(t).map((v) => ({ value: v.id, words: v.name })),
    inherent: restOf(t),
  }));

/**
 * What a placed copy of a component can be given: its traits, then its options. `candidates` are
 * the components that may stand where an option holds one; all unless said.
 */
export const offeredBy = (
  project: Project,
  id: Id,
  candidates: readonly Piece[] = piecesOf(project, "component"),
): readonly Offered[] => {
  const component = project.pieces[id];
  if (!component) return [];
  const pieces = candidates.map((c) => ({ value: c.id, words: c.name }));
  const options = inOrder(component.options).flatMap((o): Offered[] => {
    const kind = kindOf(project, component, o, pieces);
    return kind ? [{ key: OPTION + o.id, name: o.name, isTrait: false, ...kind }] : [];
  });
  return [...traitsOffered(component), ...options];
};
