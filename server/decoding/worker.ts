import { decodeHere } from "./decode";
import type { Kind } from "./decode";

/** What a thread of the pool does with what it is sent. */
export default ({ kind, bytes }: { kind: Kind; bytes: Uint8Array }) => decodeHere(kind, bytes);
