import { pack, unpack } from "./packing";
import type { Packing } from "./packing";

/** What a thread does with what it is sent. */
export default (asked: Packing) =>
  asked.kind === "pack" ? pack(asked.file, asked.madeAt) : unpack(asked.bytes);
