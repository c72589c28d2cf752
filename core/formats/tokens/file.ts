import type { Json } from "./json";

/** A token as a file says it, before anything is made of it. */
export interface FileToken {
  /** the groups it lies in, and its own name last */
  readonly path: readonly string[];
  /** its own `$type`; null where it says none */
  readonly type: string | null;
  /** the `$type` of the nearest group around it that says one */
  readonly groupType: string | null;
  readonly value: Json;
  readonly about?: string;
  readonly deprecated?: boolean | string;
  readonly extensions?: Readonly<Record<string, unknown>>;
}

/** What a file says of a group beside what lies in it. */
export interface FileGroup {
  readonly path: readonly string[];
  readonly about?: string;
  readonly deprecated?: boolean | string;
  readonly extensions?: Readonly<Record<string, unknown>>;
}

/** Something in a file that is not as it should be: where, and why. */
export interface Problem {
  readonly file: string;
  readonly path: string;
  readonly reason: string;
}

/** A path as people read it and as aliases write it. */
export const pathText = (path: readonly string[]): string => path.join(".");
