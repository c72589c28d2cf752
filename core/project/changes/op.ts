/**
 * One step of a change, as in JSON Patch (RFC 6902) but addressed by record ids: set a value at a
 * path, or remove it.
 */
export type Op =
  | {
      readonly op: "set";
      readonly path: readonly string[];
      readonly value: unknown;
      /**
       * id of the change that removed what this step brings back: what others did to it since comes
       * back with it
       */
      readonly restores?: string | undefined;
    }
  | { readonly op: "remove"; readonly path: readonly string[] };

/** What one edit did: its words for the undo menu, and its steps in order. */
export interface Change {
  readonly label: string;
  readonly ops: readonly Op[];
}

/** A step that brings back what a change removed. */
export type RestoringOp = Extract<Op, { op: "set" }> & { readonly restores: string };

export const isRestoring = (op: Op): op is RestoringOp =>
  op.op === "set" && op.restores !== undefined;

export const set = (path: readonly string[], value: unknown): Op => ({ op: "set", path, value });
export const remove = (path: readonly string[]): Op => ({ op: "remove", path });
