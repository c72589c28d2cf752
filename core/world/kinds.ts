import { entryOf } from "../basics";
import type { Id } from "../basics";
import { tableEntry } from "../project";
import type { Piece, Project } from "../project";
import { OPTION, property } from "../properties";

/** What the options of a project refer to. */
export interface Kinds {
  /** what a text that is given to an option names; null where it is but a text */
  readonly named: (option: Id, text: string) => "piece" | "asset" | null;
}

const DEEPEST = 20;

type Keys = ReadonlyMap<Id, ReadonlySet<string>>;

const keysByOption = (pieces: Project["pieces"]): Keys => {
  const found = new Map<Id, Set<string>>();
  const note = ({ options }: Piece) => {
    for (const { id, key } of Object.values(options))
      entryOf(found, id, () => new Set<string>()).add(key);
  };
  Object.values(pieces).forEach(note);
  return found;
};

/** The properties that an option sets in the end: it may hand on what it is given. */
const propertiesSet = (keys: Keys, option: Id, depth = 0): string[] =>
  [...(keys.get(option) ?? [])].flatMap((key) => {
    if (!key.startsWith(OPTION)) return [key];
    return depth < DEEPEST ? propertiesSet(keys, key.slice(OPTION.length), depth + 1) : [];
  });

/** What the options of a project's components refer to, whichever of them has an option. */
export const kindsOf = ({ pieces, assets }: Pick<Project, "pieces" | "assets">): Kinds => {
  const keys = keysByOption(pieces);
  const types = new Map<Id, ReadonlySet<string>>();
  const typesOf = (option: Id): ReadonlySet<string> =>
    entryOf(types, option, () => {
      const all = propertiesSet(keys, option).flatMap((key) => property(key)?.type.is ?? []);
      return new Set<string>(all);
    });
  return {
    named: (option, text) => {
      const of = typesOf(option);
      if (of.has("reference") && tableEntry(pieces, text)) return "piece";
      return of.has("asset") && tableEntry(assets, text) ? "asset" : null;
    },
  };
};
