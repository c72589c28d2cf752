import { wrap } from "comlink";
import type { ReadTokens, TokenFile } from "#core/formats/tokens";
import type { TokenReader } from "../../workers/tokens";

/** Reads token files in a worker of their own, which goes when they are read. */
export const readTokenFiles = async (files: readonly TokenFile[]): Promise<ReadTokens> => {
  const worker = new Worker(new URL("../../workers/tokens.ts", import.meta.url), {
    type: "module",
  });
  try {
    return await wrap<TokenReader>(worker).readTokens(files);
  } finally {
    worker.terminate();
  }
};
