/** What people read in ui. */
export const uiWords = {
  // Plain.tsx
  title: (page: string) => `${page} · Nubble`,

  // Notice.tsx
  close: "Close",

  // SortList.tsx
  reorder: (name: string) => `Reorder ${name}`,
  dragReorderOrSpace: "Drag to reorder; or Space, then the arrow keys",

  // SearchPick.tsx
  nothingName: "nothing of that name",

  // Pick.tsx
  removed: "removed",

  // SkipLink.tsx
  skipContent: "Skip to the content",

  // EditableName.tsx
  rename: "Rename",
};
