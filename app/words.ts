/** What people read in app. */
export const appWords = {
  // root.tsx
  pageNotFound: "Page not found",
  databaseNotResponding: "The database is not responding",
  pageCouldNotBe: "This page could not be displayed.",
  somethingWentWrong: "Something went wrong",
  somethingWentWrongNubble: "Something went wrong in Nubble",
  nubbleHitErrorSaved:
    "Nubble hit an error. Saved work is safe; unsaved changes are kept in this browser and will be saved when you reload the page.",
  allProjects: "All projects",
  tryAgain: "Try again",
};
