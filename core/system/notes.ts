import type { Project } from "../project";
import type { Difference, Weight } from "./differences";
import { systemWords } from "./words";

const order: readonly Weight[] = ["breaking", "feature", "patch"];

/** What a difference is listed under: its component, or the values of the system. */
const headOf = (before: Project, after: Project, { subject }: Difference): string => {
  if (subject.table !== "pieces") return systemWords.ofValues;
  const piece = after.pieces[subject.id] ?? before.pieces[subject.id];
  return piece?.name ?? "";
};

const grouped = <T>(
  list: readonly T[],
  by: (item: T) => string,
): readonly [string, readonly T[]][] => {
  const groups = new Map<string, T[]>();
  for (const item of list) groups.set(by(item), [...(groups.get(by(item)) ?? []), item]);
  return [...groups];
};

/** A letter that Markdown would take for its own is none in a sentence. */
const plain = (text: string): string => text.replace(/([\\`*_[\]<>])/g, "\\$1");

/** What is said of an edition, in Markdown: what it asks of those who use it, the most first. */
export const notesOf = (
  before: Project,
  after: Project,
  differences: readonly Difference[],
): string =>
  order
    .flatMap((weight) => {
      const own = differences.filter((d) => d.weight === weight);
      if (own.length === 0) return [];
      const parts = grouped(own, (d) => headOf(before, after, d)).flatMap(([head, list]) => [
        `- **${plain(head)}**`,
        ...list.map((d) => `  - ${plain(d.text)}`),
      ]);
      return [`## ${systemWords.weights[weight]}`, ...parts, ""];
    })
    .join("\n")
    .trim();
