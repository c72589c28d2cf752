/** What people read in http. */
export const httpWords = {
  // hosts.ts
  nubbleNotReachedUnder:
    "Nubble is not reached under this name. Start it with --allow-host to let it be.",
  pagesOtherSitesCannot: "Pages of other sites cannot use Nubble.",
  thisAddressCannotBe: "This address cannot be read.",

  // limits.ts
  tooMuchWasAsked: "too much was asked for at once",
  connection: "Connection",
  moreThanMbCannot: (largestBody: number) => `more than ${largestBody} MB cannot be sent at once`,
};
