import { placesSaying, replaceAt } from "#core/edit";
import type { ValuePlace } from "#core/edit";
import type { Change, Project } from "#core/project";
import {
  choiceText,
  isBound,
  parseValue,
  property,
  registry,
  sheetType,
  showValue,
} from "#core/properties";
import type { SpecifiedValue } from "#core/properties";
import { tokenWords } from "../../parts/tokens";
import { dialogsWords } from "./words";

/** The properties whose values can be written as a text. */
export const keysWithText = registry.filter(
  (p) => !["reference", "style", "asset", "path"].includes(p.type.is),
);

/** What is looked for, and where. */
export interface Search {
  /** as a person typed it */
  readonly find: string;
  /** the property, or "any" */
  readonly key: string;
  /** only in this piece; null: in the whole project */
  readonly piece: string | null;
  /** only these layers; null: all */
  readonly layers: readonly string[] | null;
}

/** A place and what it is to say instead. */
export interface Replacement {
  readonly place: ValuePlace;
  readonly said: SpecifiedValue;
}

/** What a place says, as the sheet shows it. */
export const saidText = (project: Project, { key, said }: ValuePlace): string => {
  if (typeof said === "string") return choiceText(key, said);
  if (!isBound(said)) return showValue(said);
  const token = project.tokens[said.token];
  return token ? tokenWords(token) : dialogsWords.deletedToken;
};

/** The places that say what is looked for; texts also where they only contain it. */
export const found = (project: Project, search: Search): ValuePlace[] => {
  const text = search.find.trim().toLowerCase();
  if (text === "") return [];
  return placesSaying(project, search.piece, (place) => {
    const entry = property(place.key);
    if (!entry || !keysWithText.includes(entry)) return false;
    if (search.key !== "any" && place.key !== search.key) return false;
    if (search.layers && !search.layers.includes(place.layer)) return false;
    const said = saidText(project, place).toLowerCase();
    if (said === text) return true;
    if (place.key === "text") return said.includes(text);
    const typed = parseValue(sheetType(place.key) ?? entry.type, text, place.said as never);
    return typed.ok && JSON.stringify(typed.value) === JSON.stringify(place.said);
  });
};

const inText = (text: string, find: string, next: string): string =>
  text.replace(new RegExp(find.trim().replace(/[.*+?^${}()|[\]\\]/g, "\\$&"), "gi"), () => next);

/** What the places would say instead: a token by its name, a part of a text, or a value. */
export const replacements = (
  project: Project,
  places: readonly ValuePlace[],
  find: string,
  next: string,
): Replacement[] => {
  if (next.trim() === "") return [];
  const name = next.trim().toLowerCase();
  const token = Object.values(project.tokens).find((t) => tokenWords(t).toLowerCase() === name);
  return places.flatMap((place): Replacement[] => {
    const entry = property(place.key);
    if (!entry) return [];
    if (token) return [{ place, said: { token: token.id } }];
    if (place.key === "text" && typeof place.said === "string") {
      return [{ place, said: inText(place.said, find, next) }];
    }
    const typed = parseValue(sheetType(place.key) ?? entry.type, next, place.said as never);
    return typed.ok ? [{ place, said: typed.value }] : [];
  });
};

/** The change that makes replacements; places that come to say the same are one step of it. */
export const replacing = (label: string, all: readonly Replacement[]): Change => {
  const groups = new Map<string, Replacement[]>();
  for (const replacement of all) {
    const key = JSON.stringify(replacement.said);
    groups.set(key, [...(groups.get(key) ?? []), replacement]);
  }
  const ops = [...groups.values()].flatMap((group) => {
    const places = group.map((r) => r.place);
    return group[0] ? replaceAt(places, group[0].said).ops : [];
  });
  return { label: label.slice(0, 200), ops };
};
