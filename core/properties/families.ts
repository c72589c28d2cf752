/** The family of texts that name none. */
export const USUAL_FAMILY = "Hanken Grotesk";

/** The families shipped with Nubble, in the weights given. */
export const families: Readonly<Record<string, readonly string[]>> = {
  // the usual one; by its own name, so that what only plays leaves the table out
  "Hanken Grotesk": ["400", "500", "600", "700"],
  Figtree: ["400", "500", "700"],
  Nunito: ["400", "600", "800"],
  "Barlow Condensed": ["400", "500", "700"],
  "Source Serif 4": ["400", "600"],
  Bitter: ["400", "700"],
  Fraunces: ["400", "600"],
  Caveat: ["400", "700"],
  "Spline Sans Mono": ["400", "600"],
};

/** Font weights as in CSS; the nearest one a family has stands in for one it has not. */
export const weights = ["100", "200", "300", "400", "500", "600", "700", "800", "900"] as const;
