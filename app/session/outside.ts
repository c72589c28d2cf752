import type { Project } from "#core/project";
import type { Missed } from "./answer";
import type { EditionAnswer } from "./editions";
import type { Shelf } from "./keeper";

export type SaveState =
  | { readonly kind: "saved" }
  | { readonly kind: "saving" }
  /** `kept`: all of it is on this computer's disk and outlives the window */
  | {
      readonly kind: "waiting";
      readonly reason: string;
      readonly changes: number;
      readonly kept: boolean;
    };

/** A sentence for the person at the window, and what can be done about it. */
export interface Message {
  readonly text: string;
  readonly action?: { readonly label: string; readonly run: () => void };
}

export interface Snapshot {
  /** changes of another generation are those of another project that had the same id */
  readonly generation?: string | undefined;
  readonly seq: number;
  readonly project: Project;
}

/**
 * What the session needs from outside, so that it can be tested without a browser. Rejected: could
 * not be reached.
 */
export interface Outside {
  send(body: string): Promise<{ status: number; answer: unknown }>;
  /** the changes after a number; null when there is no such project */
  since(seq: number): Promise<Missed | null>;
  /** the project as it is now */
  snapshot(): Promise<Snapshot | null>;
  /** what an edition holds that the project adopts */
  readonly edition: (hash: string) => Promise<EditionAnswer>;
  readonly shelf: Shelf;
  now(): number;
  /** loads the window anew; what is not saved is taken up then */
  reload(): void;
  readonly later: (ms: number, call: () => void) => () => void;
}
