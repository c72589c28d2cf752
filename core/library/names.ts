import type { Id } from "../basics";

interface Named {
  readonly id: Id;
  readonly name: string;
}

/** A stretch of a text: words, or a name and what it names. */
export interface NamedWords {
  readonly words: string;
  readonly id: Id | null;
}

const before = (text: string, named: readonly Named[]): { at: number; which: Named } | null => {
  const found = named
    .map((which) => ({ at: which.name === "" ? -1 : text.indexOf(which.name), which }))
    .filter(({ at }) => at >= 0)
    // of two names that begin at one place the longer one is meant
    .sort((a, b) => a.at - b.at || b.which.name.length - a.which.name.length);
  return found[0] ?? null;
};

/** A text in stretches: where it first names each of some things, and what stands between. */
export const namesIn = (text: string, named: readonly Named[]): readonly NamedWords[] => {
  const next = before(text, named);
  if (!next) return text === "" ? [] : [{ words: text, id: null }];
  const { at, which } = next;
  const left = named.filter((other) => other !== which);
  return [
    ...(at === 0 ? [] : [{ words: text.slice(0, at), id: null }]),
    { words: which.name, id: which.id },
    ...namesIn(text.slice(at + which.name.length), left),
  ];
};
