import type { Project } from "#core/project";
import { missingEditions } from "#core/world";
import type { Editions } from "#core/world";
import type { EditionAnswer } from "#server";

export type { EditionAnswer };

/** Why an edition is not there; `away`: the server cannot be asked. */
export type Lack = "unknown" | "newer" | "away";

/** What a window knows of the editions its project adopts; those that come to it are fetched. */
export class AdoptedEditions {
  readonly #lacking = new Map<string, Lack>();
  readonly #coming = new Map<string, Promise<Lack | null>>();
  #known: Editions;

  constructor(
    start: Editions,
    private readonly fetch: (hash: string) => Promise<EditionAnswer>,
    private readonly onKnown: () => void,
  ) {
    this.#known = start;
  }

  /** Another map whenever there is more in it. */
  get known(): Editions {
    return this.#known;
  }

  /** Why an edition is not there; null when it is there or on its way. */
  lackOf(hash: string): Lack | null {
    return this.#lacking.get(hash) ?? null;
  }

  /** Fetches what a project sees and this window has not asked for yet. */
  want(project: Pick<Project, "adoptions">): void {
    for (const hash of missingEditions(project, this.#known))
      if (!this.#lacking.has(hash) && !this.#coming.has(hash)) void this.ask(hash);
  }

  /** Asks again for what could not be had. */
  retry(project: Pick<Project, "adoptions">): void {
    for (const [hash, lack] of this.#lacking) if (lack === "away") this.#lacking.delete(hash);
    this.want(project);
  }

  /** Has an edition and all it adopts itself at hand; says why when that cannot be. */
  async learn(hash: string): Promise<Lack | null> {
    const lack = this.#known.has(hash) ? null : await this.ask(hash);
    if (lack) return lack;
    const content = this.#known.get(hash);
    for (const inner of content ? missingEditions(content, this.#known) : []) {
      const innerLack = await this.learn(inner);
      if (innerLack) return innerLack;
    }
    return null;
  }

  private ask(hash: string): Promise<Lack | null> {
    const known = this.#coming.get(hash);
    if (known) return known;
    const coming = this.askNow(hash).finally(() => {
      this.#coming.delete(hash);
      this.onKnown();
    });
    this.#coming.set(hash, coming);
    return coming;
  }

  private async askNow(hash: string): Promise<Lack | null> {
    const answer = await this.fetch(hash).catch(() => ({ kind: "away" }) as const);
    if (answer.kind !== "content") {
      this.#lacking.set(hash, answer.kind);
      return answer.kind;
    }
    this.#lacking.delete(hash);
    this.#known = new Map([...this.#known, [hash, answer.content]]);
    return null;
  }
}
