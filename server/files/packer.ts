import type { ProjectFile, ReadProjectFile } from "#core/formats/project";
import { logger } from "../logger";
import { Threads } from "../threads";
import { pack, unpack } from "./packing";

/** How long packing or reading one file may take, ms. */
const PATIENCE = 60_000;

const threads = new Threads("packer", 700);

/** Who packs and reads project files; files of others are read apart. */
export interface Packer {
  pack(file: ProjectFile, madeAt: string): Promise<Uint8Array>;
  unpack(bytes: Uint8Array): Promise<ReadProjectFile>;
}

/** Packs and reads in this very thread: for commands, which nobody else waits for. */
export const packsHere: Packer = {
  pack: (file, madeAt) => Promise.resolve(pack(file, madeAt)),
  unpack: (bytes) => Promise.resolve(unpack(bytes)),
};

/** Packs and reads in threads, with limits of time and memory. */
export const packsApart: Packer = {
  pack: async (file, madeAt) => {
    const worked = await threads.run<Uint8Array>({ kind: "pack", file, madeAt }, PATIENCE);
    if (!worked.ok) throw worked.error;
    return worked.value;
  },
  unpack: async (bytes) => {
    const worked = await threads.run<ReadProjectFile>({ kind: "unpack", bytes }, PATIENCE);
    if (worked.ok) return worked.value;
    logger.warn({ bytes: bytes.byteLength, error: worked.error }, "a project file was not read");
    return { ok: false, reason: worked.reason };
  },
};
