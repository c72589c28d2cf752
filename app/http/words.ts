/** What people read in http. */
export const httpWords = {
  // hosts.ts
  nubbleDoesNotAnswer:
    "Nubble does not answer under this name. To allow it, start with --allow-host.",
  pagesOtherSitesCannot: "Pages of other sites cannot use Nubble.",
  thisAddressCannotBe: "This address cannot be read.",

  // limits.ts
  tooManyRequestsOnce: "too many requests at once",
  connection: "Connection",
  requestCanBeUp: (largestBody: number) => `a request can be up to ${largestBody} MB`,

  // shown.ts
  onlyShownHere: "Only prototypes are shown here, at the address somebody gave you.",
};
