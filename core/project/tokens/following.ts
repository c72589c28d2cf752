import type { Id } from "../../basics";

/** The numbers of triggers and effects that can follow a token, and the type that token has. */
export const followingNumbers = {
  ms: "duration",
  travel: "length",
  part: "number",
  speed: "number",
  lean: "number",
} as const;

export type FollowingNumber = keyof typeof followingNumbers;
export const numberNames = ["ms", "travel", "part", "speed", "lean"] as const;

/** The tokens that numbers follow. */
export type NumberTokens = { readonly [K in FollowingNumber]?: Id | undefined };

/** What says such numbers. */
export type Numbered = { readonly [K in FollowingNumber]?: number | undefined } & {
  readonly tokens?: NumberTokens | undefined;
};

/** The least and the most each of them can be. */
export const numberBounds = {
  ms: [0, 600_000],
  travel: [1, 1e4],
  part: [0, 1],
  speed: [0, 1e5],
  lean: [0, 90],
} as const satisfies Readonly<Record<FollowingNumber, readonly [number, number]>>;

/** Whether a number may be said there. */
export const isNumberOf = (name: FollowingNumber, value: unknown): value is number => {
  const [least, most] = numberBounds[name];
  return typeof value === "number" && value >= least && value <= most;
};
