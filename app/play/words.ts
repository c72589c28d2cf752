/** What people read in Play. */
export const playWords = {
  // PlayBar.tsx
  editOnBench: (name: string) => `Edit ${name}`,
  list: "Screens and states",
  hideList: "Hide screens and states",
  showList: "Show screens and states",
  size: (width: number, height: number) => `${Math.round(width)} × ${Math.round(height)} px`,
  zoom: "Size of the prototype",
  fit: "Fit",
  real: "100 %",
  full: "Full screen",
  copyLink: "Copy link to this state",
  linkCopied: "Link copied.",
  copyFailed: "The browser blocked access to the clipboard. Copy the address of this page instead.",

  // MoreMenu.tsx
  more: "More",
  restart: "Restart",
  back: "Back",
  speed: "Playback speed",
  reducedMotion: "Reduced motion",
  onPhone: "On a phone in the same room",
  startForPhones:
    "Start Nubble with --play-host and this computer’s address in the network to get a code for phones.",
  codeOf: (address: string) => `QR code of ${address}`,
  sameRoom:
    "Scan it with a phone in the same network. It shows this prototype, and nothing can be edited there.",
  openAddress: "Open the address",
  percent: (rate: number) => `${Math.round(rate * 100)} %`,

  // StateList.tsx
  component: "Component",
  screens: "Screens",
  overlays: "Overlays",
  start: "start",
  over: (screen: string) => `over ${screen}`,
  stateOf: (copy: string, trait: string) => (copy === "" ? trait : `${copy}: ${trait}`),
  noStates: "No states",

  // Theatre.tsx
  nothingResponds: (answering: number) =>
    answering > 0 ? "Nothing responds here. These parts do." : "Nothing responds on this screen.",

  // Play.tsx
  play: "Play",
  title: (piece: string, project: string) => `${piece} · ${project} · Nubble`,
  nothingYet: "Nothing to play yet",
  needsScreen: "A prototype needs a screen. Create one and place components on it.",
  notFound: "Screen not found",
  mayBeDeleted: "It may have been deleted.",
  backToProject: (name: string) => `Back to ${name}`,
};
