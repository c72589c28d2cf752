import { createHash } from "node:crypto";
import type { Transaction } from "sequelize";
import { isNewer, upgrade } from "#core/project";
import type { Adoption, Project } from "#core/project";
import { missingEditions } from "#core/world";
import { EditionContentRow } from "./database";

/** What there is to an edition: what it holds, or why that cannot be had. */
export type EditionAnswer =
  | { readonly kind: "content"; readonly content: Project }
  /** nobody has published it here, or it is not what was published */
  | { readonly kind: "unknown" }
  /** written by a newer Nubble */
  | { readonly kind: "newer" };

/** What is read again and again is kept in memory: an edition never changes. */
const MOST_CONTENTS = 40;
const contents = new Map<string, Project>();

export const hashOf = (text: string): string =>
  createHash("sha256").update(text, "utf8").digest("hex");

const remember = (hash: string, content: Project): void => {
  contents.delete(hash);
  contents.set(hash, content);
  const oldest = contents.keys().next().value;
  if (contents.size > MOST_CONTENTS && oldest !== undefined) contents.delete(oldest);
};

const isHash = (text: string): boolean => /^[0-9a-f]{64}$/.test(text);

/** What an edition holds, by its hash. */
export const editionContent = async (
  hash: string,
  transaction?: Transaction,
): Promise<EditionAnswer> => {
  const known = contents.get(hash);
  if (known) return { kind: "content", content: known };
  const row = isHash(hash)
    ? await EditionContentRow.findByPk(hash, { transaction: transaction ?? null })
    : null;
  if (!row) return { kind: "unknown" };
  if (isNewer(row.format)) return { kind: "newer" };
  if (hashOf(row.body) !== hash) return { kind: "unknown" };
  // its text is what a project was written as
  const content = upgrade(JSON.parse(row.body) as Project);
  remember(hash, content);
  return { kind: "content", content };
};

/** What a project sees: its adopted editions and those that these adopt, by their hash. */
export const editionsSeenBy = async (
  project: Pick<Project, "adoptions">,
  transaction?: Transaction,
): Promise<Readonly<Record<string, Project>>> => {
  const found = new Map<string, Project>();
  const asked = new Set<string>();
  for (;;) {
    const hash = missingEditions(project, found).find((missing) => !asked.has(missing));
    if (hash === undefined) return Object.fromEntries(found);
    asked.add(hash);
    const answer = await editionContent(hash, transaction);
    if (answer.kind === "content") found.set(hash, answer.content);
  }
};

/** The way by which adoptions lead to a system, in the names of systems; null where none does. */
export const wayTo = async (
  adoptions: Readonly<Record<string, Adoption>>,
  system: string,
  transaction?: Transaction,
  looked = new Set<string>(),
): Promise<readonly string[] | null> => {
  for (const adoption of Object.values(adoptions)) {
    if (adoption.system === system) return [adoption.name];
    if (looked.has(adoption.edition)) continue;
    looked.add(adoption.edition);
    const answer = await editionContent(adoption.edition, transaction);
    if (answer.kind !== "content") continue;
    const way = await wayTo(answer.content.adoptions, system, transaction, looked);
    if (way) return [adoption.name, ...way];
  }
  return null;
};
