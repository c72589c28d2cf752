import { FORMAT, orderAfter } from "#core/project";
import type { Piece, Project } from "#core/project";
import { assets } from "./assets";
import { piece } from "./build";
import {
  boardNowButton,
  followCrossingButton,
  menuButton,
  sendTicketButton,
} from "./parts/buttons";
import { farePanel, sailingCard, sailingCardDeck } from "./parts/cards";
import { crewChat, serviceNotice } from "./parts/overlays";
import { harbourDockBar, pierPin, routeBell } from "./parts/pins";
import { deckTabs, seatPlan, seatSideChooser } from "./parts/choosers";
import { withAbout } from "./abouts";
import { alertSwitch, bicycleTickBox } from "./parts/switches";
import { rehearsals } from "./rehearsals";
import { cabinClimate, noticeScreen, saltholmPier, ticketScreen, tripSettings } from "./screens";
import { themes } from "./themes";
import { tokens } from "./tokens";
import { welcome } from "./welcome";

const sources = [
  alertSwitch,
  bicycleTickBox,
  routeBell,
  deckTabs,
  harbourDockBar,
  boardNowButton,
  followCrossingButton,
  menuButton,
  sendTicketButton,
  sailingCard,
  sailingCardDeck,
  farePanel,
  seatSideChooser,
  seatPlan,
  serviceNotice,
  crewChat,
  pierPin,
  tripSettings,
  cabinClimate,
  ticketScreen,
  saltholmPier,
  noticeScreen,
  welcome,
];

/**
 * The demo project: the design system and the app of Kelpway Ferries, an island ferry company we
 * made up.
 */
export const kelpwayKit = (): Project => {
  const pieces: Piece[] = [];
  for (const source of sources) {
    const made = piece({ ...source, rehearsals: rehearsals[source.id] ?? [] }, orderAfter(pieces));
    pieces.push(withAbout(made));
  }
  return {
    format: FORMAT,
    name: "Kelpway kit",
    start: "trip-settings",
    pieces: Object.fromEntries(pieces.map((p) => [p.id, p])),
    tokens: tokens(),
    groups: {},
    themes: themes(),
    assets: assets(),
    adoptions: {},
  };
};
