import type { Id } from "../basics";
import { traitsOf, valuesOf, variantFrom } from "../looks";
import { rulesOf } from "../machine";
import type { ActiveInstance } from "../machine";
import { ROOT } from "../project";
import type { Effect, Project, Trait } from "../project";
import type { Role } from "../properties";
import { attributeFor, stateNeededBy } from "./roles";
import type { States } from "./types";

/** Whether a value is one in which a trait's state is so: "true", "false" or "mixed". */
const meaning = ({ aria }: Trait, value: Id | undefined): string => {
  if (value === undefined || !aria) return "false";
  if (aria.on.includes(value)) return "true";
  return aria.mixed?.includes(value) ? "mixed" : "false";
};

/** What the rules of a layer do to a trait. */
const settersOf = (
  project: Project,
  live: ActiveInstance,
  layer: Id,
  trait: Id,
): Extract<Effect, { type: "set" }>[] =>
  rulesOf(project, live.piece)
    .filter((r) => (r.source ?? ROOT) === layer && !r.undo)
    .flatMap((r) => r.effects)
    .flatMap((e) => (e.type === "set" && e.trait === trait ? [e] : []));

/** What a trait says of one layer of a copy; null when it is not about this layer. */
const told = (
  project: Project,
  live: ActiveInstance,
  layer: Id,
  trait: Trait,
  rootRole: Role,
): string | null => {
  const { aria } = trait;
  if (!aria) return null;
  const value = variantFrom(live.piece, live.variant)[trait.id];
  const isOfWhole = attributeFor(rootRole, aria.state) !== null;
  if (isOfWhole) return layer === ROOT ? meaning(trait, value) : null;
  if (layer === ROOT) return null;
  // what is disabled as a whole is so in all its parts
  if (aria.state === "disabled") return meaning(trait, value);
  const setters = settersOf(project, live, layer, trait.id);
  if (setters.length === 0) return null;
  const given = new Set(setters.map((e) => ("value" in e.to ? e.to.value : null)));
  const [only] = given;
  const isOneOf = aria.state === "selected" || aria.state === "checked" || aria.state === "current";
  const isAlways = given.size === 1 && only !== null;
  return isOneOf && isAlways ? String(only === value) : meaning(trait, value);
};

/**
 * What the traits of a copy say of one of its layers, as attributes of WAI-ARIA. A trait speaks of
 * the whole copy where the role of its root can say the state; else of the layers that set it: of
 * several that each set one value, that of the present value is the chosen one.
 */
export const statesOf = (
  project: Project,
  live: ActiveInstance,
  layer: Id,
  role: Role,
  rootRole: Role,
): States =>
  Object.fromEntries(
    traitsOf(live.piece).flatMap((trait): [string, string][] => {
      const value = told(project, live, layer, trait, rootRole);
      const attribute = trait.aria && attributeFor(role, trait.aria.state);
      return attribute && value !== null ? [[attribute, value]] : [];
    }),
  );

/** How far along a slider or a progress bar is: as its trait with the most values. */
const range = (live: ActiveInstance): States => {
  const [most] = traitsOf(live.piece).toSorted((a, b) => valuesOf(b).length - valuesOf(a).length);
  const values = most ? valuesOf(most) : [];
  const now = most && variantFrom(live.piece, live.variant)[most.id];
  const at = Math.max(
    0,
    values.findIndex((v) => v.id === now),
  );
  return {
    "aria-valuemin": "0",
    "aria-valuemax": String(Math.max(0, values.length - 1)),
    "aria-valuenow": String(at),
    ...(values[at] ? { "aria-valuetext": values[at].name } : {}),
  };
};

/** Attributes a role must have, before anything is said. */
export const neededBy = (role: Role, live: ActiveInstance | undefined): States => {
  const state = stateNeededBy(role);
  const attribute = state && attributeFor(role, state);
  if (attribute) return { [attribute]: "false" };
  if (role === "heading") return { "aria-level": "2" };
  return live && (role === "slider" || role === "progressbar") ? range(live) : {};
};
