import { gzipSync } from "node:zlib";
import { join } from "node:path";
import { build } from "esbuild";
import { root } from "../serve.ts";
import type { Line } from "./support.ts";

/** The player as browsers are given it: minified, packages as modules. */
export const playerSize = async (line: Line): Promise<void> => {
  const bundle = async (source: string): Promise<number> => {
    const result = await build({
      stdin: { contents: source, resolveDir: root, loader: "ts" },
      bundle: true,
      alias: { "polygon-clipping": "polygon-clipping/dist/polygon-clipping.esm.js" },
      minify: true,
      format: "esm",
      target: "es2022",
      write: false,
      absWorkingDir: root,
      logLevel: "error",
    });
    return (
      gzipSync(result.outputFiles[0]?.contents ?? new Uint8Array(), { level: 9 }).length / 1000
    );
  };
  const player = await bundle(
    `export { Player } from ${JSON.stringify(join(root, "player/index.ts"))};`,
  );
  line("player: bundle, gzip", `${player.toFixed(1)} kB`);
};
