/** What people read in services. */
export const servicesWords = {
  // apart.ts
  cannotBeReached: "the server cannot be reached",

  // svg.ts
  readingTakesLongerThan: (patience: number) => `reading it takes longer than ${patience} s`,
  cannotBeRead: "it cannot be read",
};
