/**
 * How much of each kind a project may hold, so that whatever is accepted can also be shown and
 * mended.
 */
export const limits = {
  /** layers inside one another */
  depth: 100,
  /** values inside one another in one step of a change */
  valueDepth: 40,
  pieces: 5000,
  tokens: 20_000,
  assets: 20_000,
  layers: 5000,
  looks: 10_000,
  rules: 5000,
  traits: 60,
  values: 200,
  options: 2000,
  signals: 2000,
  notes: 10_000,
  rehearsals: 2000,
  accepted: 10_000,
  /** JSON of one change as it is sent, bytes */
  change: 6_000_000,
} as const;
