import type { StoreApi } from "zustand";
import type { LayoutBox } from "#core/layout";
import type { Change, Piece, Project } from "#core/project";
import type { Session } from "../../session/session";
import { activeOf, cardKey } from "./active";
import type { Active } from "./active";
import { SceneBook } from "./scenes/sceneBook";
import type { BenchState } from "./state";

/** Builds a change from the project and the piece on the bench as they are at that moment. */
export type Command = (project: Project, piece: Piece) => Change | null | undefined;

/** A change together with what it makes, such as the ids of new layers. */
interface Making {
  readonly change: Change;
}

/**
 * The piece on the bench at this very moment, for whoever edits it or answers a hand. Parts that
 * show it may know it as it was a moment ago; what is built from that would undo what came between.
 */
export class Workpiece {
  /** how its variants look on the stage */
  readonly scenes = new SceneBook();

  constructor(
    readonly session: Session,
    private readonly store: StoreApi<BenchState>,
  ) {}

  get state(): BenchState {
    return this.store.getState();
  }

  get project(): Project {
    return this.session.project;
  }

  /** Null once it was deleted, as from another window. */
  get piece(): Piece | null {
    return this.project.pieces[this.state.pieceId] ?? null;
  }

  /** The chosen cards and the scope of the next edit; null when the piece is gone. */
  get active(): Active | null {
    const { piece } = this;
    return piece && activeOf(piece, this.state);
  }

  /** How the card looked at looks, laid out; null before it was. */
  get scene(): LayoutBox | null {
    const { piece, active } = this;
    return piece && active && this.scenes.get(cardKey(piece, active.variant));
  }

  /**
   * Makes a change; see `Session.edit` for gestures. False when there is nothing to change, or it
   * is refused.
   */
  readonly run = (command: Command, gesture: string | null = null, patience?: number): boolean => {
    const { piece } = this;
    const change = piece && command(this.project, piece);
    return change ? this.session.edit(change, gesture, patience) : false;
  };

  /** Makes a change and returns what it made; null when it was not made. */
  readonly make = <M extends Making>(
    command: (project: Project, piece: Piece) => M | null | undefined,
    gesture: string | null = null,
  ): M | null => {
    const { piece } = this;
    const made = piece && command(this.project, piece);
    return made && this.session.edit(made.change, gesture) ? made : null;
  };
}
