import type { Project } from "#core/project";
import {
  FIRST,
  byNumber,
  canonical,
  contentOf,
  heaviest,
  saidDifferences,
  weightBetween,
  weights,
} from "#core/system";
import type { Reason, Weight } from "#core/system";
import { editionContent, hashOf, wayTo } from "./contents";
import { AdoptionRow, AssetRow, EditionContentRow, EditionRow } from "./database";
import type { ProjectLog } from "./log/log";

/** What is known of an edition without what it holds. */
export interface EditionAbout {
  readonly system: string;
  readonly number: string;
  readonly name: string;
  readonly systemName: string;
  readonly hash: string;
  readonly notes: string;
  readonly reasons: readonly Reason[];
  readonly lowered: string | null;
  readonly withdrawn: string | null;
  readonly publishedAt: string;
}

/** What a window asks to be published; `seq` is the change it has seen last. */
export interface PublishRequest {
  readonly seq: number;
  readonly number: string;
  readonly name: string;
  readonly notes: string;
  readonly reasons: readonly Reason[];
  readonly lowered: string | null;
}

/** A project that uses an edition of a system. */
export interface Adopter {
  readonly projectId: string;
  /** what it calls what it uses */
  readonly adoption: string;
  readonly number: string;
}

export type PublishAnswer =
  | { readonly kind: "published"; readonly edition: EditionAbout }
  | { readonly kind: "refused"; readonly reason: string }
  /** somebody changed the project since it was looked at */
  | { readonly kind: "changed" }
  | { readonly kind: "unknown" };

const aboutOf = (row: EditionRow): EditionAbout => ({
  system: row.system,
  number: row.number,
  name: row.name,
  systemName: row.systemName,
  hash: row.hash,
  notes: row.notes,
  reasons: row.reasons,
  lowered: row.lowered,
  withdrawn: row.withdrawn,
  publishedAt: row.createdAt.toISOString(),
});

const refused = (reason: string): PublishAnswer => ({ kind: "refused", reason });

/** The editions that projects publish: kept for ever, each by what it holds. */
export class Editions {
  constructor(private readonly log: ProjectLog) {}

  /** All editions of a system, the newest first. */
  async of(system: string): Promise<EditionAbout[]> {
    const rows = await EditionRow.findAll({ where: { system } });
    return rows.map(aboutOf).sort(byNumber);
  }

  /** The newest edition of every system that can be adopted. */
  async newest(): Promise<EditionAbout[]> {
    const rows = await EditionRow.findAll({ where: { withdrawn: null } });
    const found = new Map<string, EditionAbout>();
    for (const edition of rows.map(aboutOf).sort(byNumber))
      if (!found.has(edition.system)) found.set(edition.system, edition);
    return [...found.values()].sort((a, b) => (a.systemName < b.systemName ? -1 : 1));
  }

  private async missingFile(content: Project): Promise<string | null> {
    for (const asset of Object.values(content.assets)) {
      if (asset.kind === "icon") continue;
      if ((await AssetRow.count({ where: { hash: asset.hash } })) === 0) return asset.name;
    }
    return null;
  }

  /** Why a number cannot be the next one; null when it can. */
  private async wrongNumber(
    before: EditionAbout | undefined,
    content: Project,
    { number, lowered }: PublishRequest,
  ): Promise<string | null> {
    if (!before) return number === FIRST ? null : `The first edition is ${FIRST}.`;
    const given = weightBetween(before.number, number);
    if (!given) return `${number} is not later than ${before.number}.`;
    const earlier = await editionContent(before.hash);
    const needed: Weight =
      earlier.kind === "content"
        ? heaviest(saidDifferences(earlier.content, content).map((d) => d.weight))
        : "patch";
    const isLower = weights.indexOf(given) < weights.indexOf(needed);
    return isLower && lowered === null ? "Give a reason for the lower number." : null;
  }

  /**
   * Publishes a project as it is. Nothing is kept when it is refused. The content, and what it says
   * of itself, are looked at here; what looks and behaves otherwise the window has told.
   */
  async publish(system: string, request: PublishRequest): Promise<PublishAnswer> {
    const snapshot = await this.log.read(system);
    if (!snapshot) return { kind: "unknown" };
    if (snapshot.seq !== request.seq) return { kind: "changed" };
    const content = contentOf(snapshot.project);
    const way = await wayTo(content.adoptions, system);
    if (way) return refused(`It would use itself: ${[content.name, ...way].join(" → ")}.`);
    const file = await this.missingFile(content);
    if (file !== null) return refused(`The file “${file}” is missing.`);
    const [before] = await this.of(system);
    const wrong = await this.wrongNumber(before, content, request);
    if (wrong !== null) return refused(wrong);
    const body = canonical(content);
    const hash = hashOf(body);
    if (before?.hash === hash) return refused("Nothing changed since the last edition.");
    const { number, name, notes, reasons, lowered } = request;
    const defaults = { hash, format: content.format, body };
    await EditionContentRow.findOrCreate({ where: { hash }, defaults });
    const [row, isNew] = await EditionRow.findOrCreate({
      where: { system, number },
      defaults: {
        system,
        number,
        name,
        systemName: content.name,
        hash,
        notes,
        reasons: [...reasons],
        lowered,
        withdrawn: null,
      },
    });
    return isNew ? { kind: "published", edition: aboutOf(row) } : { kind: "changed" };
  }

  /** Which projects use which of a system's editions. */
  async adopters(system: string): Promise<Adopter[]> {
    const rows = await AdoptionRow.findAll({ where: { system }, order: [["projectId", "ASC"]] });
    return rows.map(({ projectId, id, number }) => ({ projectId, adoption: id, number }));
  }

  /** Forgets the editions of a system that is made anew; what they hold stays for who uses it. */
  async forget(system: string): Promise<void> {
    await EditionRow.destroy({ where: { system } });
  }

  /** An edition is not to be adopted any more, and why; those who use it keep it. */
  async withdraw(system: string, number: string, reason: string | null): Promise<boolean> {
    const [changed] = await EditionRow.update({ withdrawn: reason }, { where: { system, number } });
    return changed > 0;
  }
}
