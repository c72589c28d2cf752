/** What people read in ui. */
export const uiWords = {
  // ago.ts
  justNow: "just now",

  // Plain.tsx
  title: (page: string) => `${page} · Nubble`,

  // Notice.tsx
  close: "Close",

  // SortList.tsx
  reorder: (name: string) => `Reorder ${name}`,
  dragReorderOrSpace: "Drag to reorder; or Space, then the arrow keys",

  // SearchPick.tsx
  noMatches: "No matches",

  // Pick.tsx
  deleted: "deleted",

  // SkipLink.tsx
  skipContent: "Skip to the content",

  // EditableName.tsx
  rename: "Rename",
};
