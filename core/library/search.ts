import { plainText } from "../basics";
import { inOrder } from "../project";
import type { Piece, Project } from "../project";
import { isBound } from "../properties";

/** Between the words of one thing and those of the next. */
const LINE = "\n";

/** What a component can be found by. */
interface Indexed {
  readonly piece: Piece;
  readonly name: string;
  /** everything else that is said of it or shown by it, in small letters */
  readonly words: string;
}

const plain = (markdown: string): string => markdown.replaceAll(/[#*_`>[\]()]/g, " ");

const aboutOf = ({ about }: Piece): readonly string[] =>
  [about?.description, about?.use, about?.avoid].map((text) => plain(text ?? ""));

/** The names of tokens, icons and pictures a piece uses, and the texts it shows. */
const shownBy = (project: Project, piece: Piece): Set<string> => {
  const words = new Set<string>();
  for (const look of Object.values(piece.looks))
    for (const changes of Object.values(look.changes))
      for (const [key, said] of Object.entries(changes)) {
        if (isBound(said)) words.add(project.tokens[said.token]?.name ?? "");
        else if (key === "text" || key === "label") words.add(plainText(said));
        else if (key === "icon" || key === "picture")
          words.add(project.assets[plainText(said)]?.name ?? "");
      }
  return words;
};

const wordsOf = (project: Project, piece: Piece): string =>
  [
    piece.group ?? "",
    ...aboutOf(piece),
    ...Object.values(piece.traits).flatMap((t) => [
      t.name,
      ...Object.values(t.values).map((v) => v.name),
    ]),
    ...Object.values(piece.options).map((o) => o.name),
    ...shownBy(project, piece),
  ]
    .join(LINE)
    .toLowerCase();

const known = new WeakMap<Piece, { readonly of: readonly object[]; readonly indexed: Indexed }>();

/** A piece as it is found; kept as long as it, the tokens and the assets stay the same. */
const indexedPiece = (project: Project, piece: Piece): Indexed => {
  const before = known.get(piece);
  if (before && before.of[0] === project.tokens && before.of[1] === project.assets)
    return before.indexed;
  const indexed = {
    piece,
    name: piece.name.toLowerCase(),
    words: wordsOf(project, piece),
  };
  known.set(piece, { of: [project.tokens, project.assets], indexed });
  return indexed;
};

/** How well one word fits: its name's beginning best; 0 where it does not occur. */
const fit = ({ name, words }: Indexed, word: string): number => {
  if (name.startsWith(word)) return 8;
  if (name.includes(` ${word}`)) return 6;
  if (name.includes(word)) return 4;
  if (words.startsWith(word) || words.includes(LINE + word)) return 2;
  return words.includes(word) ? 1 : 0;
};

/**
 * Components that have every word of a search in their name, their description, or the names of
 * what they are made of; those that fit best first, otherwise in their order. All for no words.
 */
export const searchComponents = (project: Project, query: string): readonly Piece[] => {
  const words = query.toLowerCase().split(/\s+/).filter(Boolean);
  const all = inOrder(project.pieces).filter((piece) => piece.kind === "component");
  if (words.length === 0) return all;
  const found = all.flatMap((piece) => {
    const indexed = indexedPiece(project, piece);
    const fits = words.map((word) => fit(indexed, word));
    return fits.includes(0) ? [] : [{ piece, score: fits.reduce((a, b) => a + b, 0) }];
  });
  return found.sort((a, b) => b.score - a.score).map(({ piece }) => piece);
};
