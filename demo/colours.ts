import type { Bound } from "#core/properties";

/**
 * The colours of Kelpway Ferries by value: for what cannot be bound, such as the stops of a
 * gradient or a shadow.
 */
export const raw = {
  ink: "#1c2f3a",
  slate: "#5b6c72",
  mist: "#e9f0ef",
  haze: "#e9f3f1",
  foam: "#ffffff",
  chalk: "#ffffff",
  sand: "#f6efe2",
  rope: "#c9c3b4",
  kelp: "#2c9a70",
  kelpDark: "#1d7a57",
  tide: "#17495c",
  tideDark: "#0f3646",
  lagoon: "#2b8085",
  sky: "#9fd0d6",
  buoy: "#e0703a",
  buoyDark: "#b9531f",
  rust: "#8a3a12",
  sun: "#f0c04e",
  brick: "#b3402e",
} as const;

export type ColourName = keyof typeof raw;

/** The same as tokens of the kit: what is painted with them follows the token. */
export const sea = Object.fromEntries(
  Object.keys(raw).map((name) => [name, { token: `colour-${name}` }]),
) as unknown as Readonly<Record<ColourName, Bound>>;

/** The kit's text styles and shadows. */
export const style = {
  title: { token: "style-title" },
  heading: { token: "style-heading" },
  body: { token: "style-body" },
  button: { token: "style-button" },
  note: { token: "style-note" },
  number: { token: "style-number" },
} as const satisfies Readonly<Record<string, Bound>>;
export const shade = {
  card: { token: "shadow-card" },
  raised: { token: "shadow-raised" },
  float: { token: "shadow-float" },
} as const satisfies Readonly<Record<string, Bound>>;
