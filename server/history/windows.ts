import Bowser from "bowser";
import { logger } from "../logger";
import { WindowRow } from "../database";

const LONGEST = 300;
/** Windows that are known to be noted; the oldest are forgotten, and noted again for nothing. */
const MOST_KNOWN = 5000;
const known = new Set<string>();

/** Notes which browser a window says it is, when it changes something for the first time. */
export const noteWindow = async (clientId: string, agent: string | null): Promise<void> => {
  if (agent === null || known.has(clientId)) return;
  known.add(clientId);
  const oldest = known.values().next().value;
  if (known.size > MOST_KNOWN && oldest !== undefined) known.delete(oldest);
  await WindowRow.bulkCreate([{ clientId, agent: agent.slice(0, LONGEST) }], {
    ignoreDuplicates: true,
  }).catch((error: unknown) => {
    known.delete(clientId);
    logger.warn({ error }, "which browser a window is could not be noted");
  });
};

/** A browser in few words: "Firefox on Windows"; null where it says nothing that is understood. */
export const browserOf = (agent: string): string | null => {
  if (agent === "") return null;
  const { browser, os } = Bowser.parse(agent);
  const words = [browser.name, os.name].filter(Boolean);
  return words.length === 0 ? null : words.join(" on ");
};

/** The browsers of windows, in words, by the windows' ids. */
export const browsersOf = async (
  clientIds: readonly string[],
): Promise<ReadonlyMap<string, string>> => {
  const rows = await WindowRow.findAll({ where: { clientId: [...clientIds] } });
  const found = rows.map(({ clientId, agent }) => [clientId, browserOf(agent)] as const);
  return new Map(found.flatMap(([id, words]) => (words === null ? [] : [[id, words] as const])));
};
