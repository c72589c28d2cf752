/** What people read in services. */
export const servicesWords = {
  // svg.ts
  takesLongerThanS: (patience: number) => `it takes longer than ${patience} s to read`,
  cannotBeRead: "it cannot be read",
};
