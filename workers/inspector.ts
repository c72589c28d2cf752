import "./zod";
import "#core/combine";
import { expose } from "comlink";
import type { Id } from "../core/basics/index";
import { check } from "../core/checks/index";
import type { Checked, Finding } from "../core/checks/index";
import { checkSystem, spokenParts } from "../core/library/index";
import type { SpokenPart, SystemFinding } from "../core/library/index";
import type { LayoutEnv } from "../core/layout/index";
import { inOrder } from "../core/project/index";
import type { Project } from "../core/project/index";
import { rehearse } from "../core/rehearse/index";
import type { Failure } from "../core/rehearse/index";
import { arrangeMap } from "./arrange";

/** What looking through a piece came to: findings, and how each rehearsal went (null: well). */
export interface Inspection extends Checked {
  readonly rehearsals: Readonly<Record<Id, Failure | null>>;
}

let env: LayoutEnv | null = null;
let ticket = 0;
let tour = 0;
/** How long the worker goes on before it looks whether there is something newer to do, ms. */
const SLICE = 12;
/** How often it tells how far it has come, ms. */
const TELLING = 250;
const breathe = (): Promise<void> => new Promise((r) => setTimeout(r, 0));

const inspector = {
  arrangeMap,

  /** The measures of fonts, sent once. */
  equip(given: LayoutEnv): void {
    env = given;
  },

  /**
   * Runs the rehearsals of one piece after another, or only one, and tells how each went; true when
   * it came to the end.
   */
  async rehearseAll(
    project: Project,
    pieces: readonly Id[],
    tell: (piece: Id, rehearsal: Id, failure: Failure | null) => void | Promise<void>,
    only: Id | null = null,
  ): Promise<boolean> {
    const mine = ++tour;
    for (const piece of pieces)
      for (const r of inOrder(project.pieces[piece]?.rehearsals ?? {})) {
        if (mine !== tour || !env) return false;
        if (only !== null && r.id !== only) continue;
        await tell(piece, r.id, rehearse(env, project, piece, r.steps));
        await breathe();
      }
    return true;
  },

  /** Ends what rehearseAll or checkAll is at. */
  stopRehearsing(): void {
    tour++;
  },

  /** What could be better about all components taken together. */
  checkSystem(project: Project): readonly SystemFinding[] {
    return checkSystem(project);
  },

  /** What a component says to assistive technology, and the keys it hears. */
  spokenParts(project: Project, piece: Id): readonly SpokenPart[] {
    return env ? spokenParts(env, project, piece) : [];
  },

  /**
   * Checks one piece after another in all themes, as `next` says them until it says null; true when
   * it came to that.
   */
  async checkAll(
    project: Project,
    next: () => Id | null | Promise<Id | null>,
    tell: (piece: Id, findings: readonly Finding[]) => void | Promise<void>,
  ): Promise<boolean> {
    const mine = ++tour;
    for (let piece = await next(); piece !== null; piece = await next()) {
      if (!env) return false;
      const run = check(env, project, piece);
      for (;;) {
        const { done, value } = run.next();
        if (mine !== tour) return false;
        if (!done) continue;
        await tell(piece, value.findings);
        break;
      }
      await breathe();
    }
    return true;
  },

  /**
   * Rehearses and checks a piece; null when a newer call has come meanwhile. Of a piece with many
   * situations it tells what the first of them came to, and how many have been looked at since.
   */
  async inspect(
    project: Project,
    piece: Id,
    tell: (sofar: Inspection | null, looked: number) => void | Promise<void> = () => {},
  ): Promise<Inspection | null> {
    const mine = ++ticket;
    const rehearsals: Record<Id, Failure | null> = {};
    for (const r of inOrder(project.pieces[piece]?.rehearsals ?? {})) {
      if (env) rehearsals[r.id] = rehearse(env, project, piece, r.steps);
      await breathe();
      if (mine !== ticket) return null;
    }
    const run = check(env, project, piece);
    let told = performance.now();
    for (let since = told; ;) {
      const { done, value } = run.next();
      if (done) return { ...value, rehearsals };
      const { looked, sofar } = value;
      if (sofar || performance.now() - told > TELLING) {
        told = performance.now();
        await tell(sofar && { ...sofar, rehearsals }, looked);
      }
      if (performance.now() - since < SLICE) continue;
      await breathe();
      if (mine !== ticket) return null;
      since = performance.now();
    }
  },
};
export type Inspector = typeof inspector;
expose(inspector);
