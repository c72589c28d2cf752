import { join } from "node:path";
import { build } from "esbuild";
import { root } from "../serve.ts";

/** Builds what runs in threads: each kind of work wants a file of its own. */
export const buildThreads = async (folder: string): Promise<void> => {
  await build({
    entryPoints: {
      decoder: join(root, "server/decoding/worker.ts"),
      painter: join(root, "server/pictures/worker.ts"),
      packer: join(root, "server/files/worker.ts"),
    },
    bundle: true,
    packages: "external",
    platform: "node",
    format: "esm",
    outdir: folder,
    outExtension: { ".js": ".mjs" },
    logLevel: "error",
  });
};
