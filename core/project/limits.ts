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
  groups: 5000,
  themes: 12,
  assets: 20_000,
  adoptions: 60,
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
  samples: 200,
  /** letters of what is written about something */
  text: 8000,
  /** letters of what a token keeps of the file it came from */
  json: 20_000,
  /** letters of a token's name, and of the groups it lies in */
  tokenName: 120,
  tokenGroup: 240,
  tokenLooks: 400,
  /** JSON of one change as it is sent, bytes */
  change: 6_000_000,
} as const;
