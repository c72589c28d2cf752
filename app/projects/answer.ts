/** What the server says of what was asked for projects. */
export type ProjectsAnswer =
  | { readonly kind: "done"; readonly id: string }
  | { readonly kind: "refused"; readonly reason: string };
