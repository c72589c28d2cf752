/** What people read in services. */
export const servicesWords = {
  // svg.ts
  readingTakesLongerThan: (patience: number) => `reading it takes longer than ${patience} s`,
  cannotBeRead: "it cannot be read",
};
