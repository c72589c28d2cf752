const many = (n: number, word: string): string =>
  `${n === 0 ? "no" : n} ${word}${n === 1 ? "" : "s"}`;

/** What people read of projects. */
export const projectsWords = {
  brand: "Nubble",

  // Projects.tsx
  projects: "Projects",
  newProject: "New project",
  bin: (n: number) => (n === 0 ? "Bin" : `Bin · ${n}`),
  search: "Find a project",
  found: (n: number, of: number) => `${n} of ${of} projects`,
  noneFound: (query: string) => `No project is called “${query}”.`,
  clearSearch: "Show all",
  sortBy: "Sort by",
  sorts: { changed: "last edited", name: "name", made: "newest" },
  noneYet: "No projects yet. Create one to draw your first component.",
  undo: "Undo",
  movedToBin: (name: string) => `“${name}” is in the bin.`,

  // NewProject.tsx
  name: "Name",
  nameHint: "Harbour app",
  create: "Create project",
  cancel: "Cancel",

  // ProjectTile.tsx
  cannotBeRead: "cannot be read",
  damaged: (reason: string) => `Damaged: ${reason}. The project was not changed.`,
  empty: "Empty",
  counts: (components: number, screens: number) =>
    `${many(components, "component")}, ${many(screens, "screen")} · `,
  edited: "edited",
  open: (name: string) => `Open ${name}`,
  actions: (name: string) => `Actions for ${name}`,
  rename: "Rename",
  duplicate: "Duplicate",
  saveAsFile: "Save as file",
  moveToBin: "Move to bin",

  // ImportProject.tsx
  importFile: "Import…",
  importing: (name: string) => `Importing “${name}”…`,
  imported: (name: string, summary: string) => `“${name}” is imported: ${summary}.`,
  importTitle: (name: string) => `“${name}” is imported`,
  importSays: (summary: string) => `${summary}. Some things are not as in the file:`,
  notImported: (name: string, reason: string) => `“${name}” was not imported: ${reason}.`,
  serverAway: "the server is not responding. Nothing was changed. Try again",
  openImported: "Open",
  openProject: "Open project",
  close: "Close",

  // Bin.tsx
  binTitle: "Bin",
  allProjects: "All projects",
  binMeans: (days: number) =>
    `Projects stay here for ${days} days. Then they are deleted for good.`,
  binEmpty: "The bin is empty.",
  binned: "moved here",
  restore: "Restore",
  restoreOf: (name: string) => `Restore ${name}`,
  deleteForGood: "Delete for good…",
  deleteOf: (name: string) => `Delete ${name} for good`,
  deleteTitle: (name: string) => `Delete “${name}” for good?`,
  deleteMeans:
    "Its pieces and its history are gone then, and nobody can bring them back. Editions that it published stay for those who use them.",
  delete: "Delete for good",
};
