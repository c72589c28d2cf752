/** What people read about token files. */
export const filesWords = {
  // FilesMenu.tsx
  importFiles: "Import tokens…",
  exportTokens: "Export",
  designTokens: "Design tokens (W3C, JSON)",
  cssProperties: "CSS custom properties",
  scss: "SCSS variables",
  fileTooLarge: (name: string, megabytes: number) =>
    `${name} is larger than ${megabytes} MB and was not read.`,
  nothingToExport: "There are no tokens to export yet.",

  // ImportTokens.tsx
  importTokens: "Import tokens",
  reading: "Reading the files…",
  notSaved: (why: string) => `The tokens were not saved: ${why}. Try again when you are online.`,
  readFailed: "The files could not be read. Nothing was changed.",
  cancel: "Cancel",
  importCount: (tokens: number) =>
    tokens === 0 ? "Nothing to import" : `Import ${tokens} token${tokens === 1 ? "" : "s"}`,
  imported: (tokens: number) => `Imported ${tokens} token${tokens === 1 ? "" : "s"}.`,
  removeGone: (tokens: number) =>
    `Also delete ${tokens === 1 ? "the token that is" : `the ${tokens} tokens that are`} in none of the files; values linked to ${tokens === 1 ? "it" : "them"} stay as they are`,

  // FileThemes.tsx
  allThemes: "all themes",
  themeIs: (theme: string, value: string) => `${theme}: ${value}`,
  themeOfFile: (file: string) => `Theme of ${file}`,

  // ImportProblems.tsx
  problems: (count: number) => `${count} ${count === 1 ? "part" : "parts"} could not be imported`,
  notes: (count: number) =>
    `${count} ${count === 1 ? "token is" : "tokens are"} kept for other programs, but cannot be used here`,
  moreProblems: (count: number) => `and ${count} more`,

  // ImportTable.tsx
  show: "Show",
  token: "Token",
  now: "Now",
  afterwards: "After the import",
  usedIn: "Used in",
  places: (places: number, pieces: number) =>
    places === 0
      ? "no place"
      : `${places} place${places === 1 ? "" : "s"} in ${pieces} piece${pieces === 1 ? "" : "s"}`,
  state: (state: "new" | "changed" | "gone" | "same", count: number) =>
    `${{ new: "New", changed: "Changed", gone: "Not in the files", same: "Unchanged" }[state]} ${count}`,
  more: (rows: number) => `Show more (${rows})`,

  // ImportEffects.tsx
  piecesChange: (pieces: number) =>
    pieces === 0
      ? "No component or screen changes"
      : `${pieces} ${pieces === 1 ? "component or screen changes" : "components and screens change"}`,
  variantsChange: (variants: number, all: number) =>
    variants === all ? "all variants" : `${variants} of ${all} variants`,
  inTheme: (theme: string) => ` in ${theme}`,
  morePieces: (pieces: number) => `and ${pieces} more`,
};
