import { logger } from "../logger";
import { Threads } from "../threads";
import type { Decode, Decoded, Kind } from "./decode";

/** How long decoding one file may take, ms. */
const PATIENCE: Readonly<Record<Kind, number>> = { font: 15_000, picture: 20_000, change: 10_000 };

const threads = new Threads("decoder", 400);

/**
 * Decodes in a thread of its own with limits of time and memory, so that nobody else waits and
 * nothing can be brought down.
 */
export const decodeApart: Decode = async <K extends Kind>(
  kind: K,
  bytes: Uint8Array,
): Promise<Decoded<K>> => {
  const worked = await threads.run<Decoded<K>>({ kind, bytes }, PATIENCE[kind]);
  if (worked.ok) return worked.value;
  const { reason, error } = worked;
  logger.warn({ kind, bytes: bytes.byteLength, error }, "a file could not be decoded");
  return { ok: false, reason };
};
