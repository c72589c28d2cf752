/** What people read in app. */
export const appWords = {
  // root.tsx
  thereNothingHere: "There is nothing here",
  databaseCannotBeReached: "The database cannot be reached",
  pageCouldNotBe: "The page could not be shown.",
  didNotWork: "That did not work",
  somethingBroke: "Something broke",
  nubbleRanIntoFault:
    "Nubble ran into a fault of its own. What was saved is safe; what was not yet saved is kept in this browser and will be saved when the page is opened again.",
  allProjects: "All projects",
  tryAgain: "Try again",
};
