const many = (n: number, word: string): string => `${n} ${word}${n === 1 ? "" : "s"}`;

/** What people read of project files. */
export const projectFileWords = {
  notOne: "it is not a Nubble project file",
  tooLarge: (megabytes: number) => `it is larger than ${megabytes} MB`,
  newer: (is: number, here: number) =>
    `it was written by a newer Nubble (format ${is}; this one reads up to ${here}). Update Nubble, then import it`,
  lacks: (name: string) => `“${name}” is missing in it`,
  notJson: (name: string) => `“${name}” is damaged`,
  notProject: (name: string, reason: string) => `“${name}” is not a project: ${reason}`,
  notWhatWasWritten: (name: string) => `“${name}” is not what was written`,
  tooManyMoments: (most: number) => `it has more than ${most} moments`,
  lackingFile: (name: string) => `the file of “${name}” is missing. It is shown as missing`,
  lackingEdition: (name: string) =>
    `what “${name}” adopted is not in the file. It is shown as missing unless it is published here`,
  momentLeftOut: (name: string, reason: string) => `the moment “${name}” was left out: ${reason}`,
  upgraded: (from: number, to: number) => `brought from format ${from} to ${to}`,
  fileRefused: (name: string, reason: string) => `“${name}” was left out: ${reason}`,
  imported: (pieces: number, files: number, moments: number) =>
    [
      many(pieces, "piece"),
      files > 0 && many(files, "file"),
      moments > 0 && many(moments, "named moment"),
    ]
      .filter((part) => part !== false)
      .join(", "),
};
