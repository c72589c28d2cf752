import { Unreadable } from "./bytes";
import { readProposal } from "./change";
import { readFont } from "./font";
import { readPicture } from "./picture";

/** What can be decoded, and what comes of each. */
const readers = { font: readFont, picture: readPicture, change: readProposal } as const;

export type Kind = keyof typeof readers;
type Facts<K extends Kind> = Awaited<ReturnType<(typeof readers)[K]>>;
export type Decoded<K extends Kind> =
  { readonly ok: true; readonly facts: Facts<K> } | { readonly ok: false; readonly reason: string };
export type Decode = <K extends Kind>(kind: K, bytes: Uint8Array) => Promise<Decoded<K>>;

/**
 * Decodes in this very thread: for files of our own, and inside the thread that decodes those of
 * others.
 */
export const decodeHere: Decode = async <K extends Kind>(
  kind: K,
  bytes: Uint8Array,
): Promise<Decoded<K>> => {
  try {
    const read = readers[kind] as (bytes: Uint8Array) => Promise<Facts<K>> | Facts<K>;
    return { ok: true, facts: await read(bytes) };
  } catch (error) {
    return { ok: false, reason: error instanceof Unreadable ? error.message : "it is damaged" };
  }
};
