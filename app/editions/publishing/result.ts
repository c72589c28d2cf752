import type { EditionAbout } from "#server";

/** What became of something that was asked of a project's editions. */
export type EditionResult =
  | { readonly kind: "published"; readonly edition: EditionAbout }
  | { readonly kind: "withdrawn"; readonly number: string }
  /** somebody changed the project since it was looked at */
  | { readonly kind: "changed" }
  | { readonly kind: "refused"; readonly reason: string };
