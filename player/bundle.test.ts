import { gzipSync } from "node:zlib";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { build } from "esbuild";
import { describe, expect, it } from "vitest";

const root = join(fileURLToPath(new URL(".", import.meta.url)), "..");

describe("what the player brings along", () => {
  it("is core and a few small libraries: no React, no Zod, no database, and well under 60 kB", async () => {
    const result = await build({
      entryPoints: [join(root, "player/index.ts")],
      bundle: true,
      minify: true,
      format: "esm",
      target: "es2022",
      write: false,
      metafile: true,
      // as vite.config.ts has it for browsers
      alias: { "polygon-clipping": "polygon-clipping/dist/polygon-clipping.esm.js" },
      outdir: root,
      absWorkingDir: root,
      logLevel: "error",
    });
    const output = Object.values(result.metafile.outputs)[0];
    const used = Object.entries(output?.inputs ?? {})
      .filter(([, i]) => i.bytesInOutput > 0)
      .map(([file]) => file);
    const packages = new Set(
      used
        .map((f) => /node_modules\/((?:@[^/]+\/)?[^/]+)/.exec(f)?.[1])
        .filter((p) => p !== undefined),
    );
    expect([...packages].filter((p) => /react|zod|sequelize|pg|moveable/.test(p))).toEqual([]);
    expect(used.filter((f) => /^(app|server|demo|scripts)\//.test(f))).toEqual([]);
    expect(used).toContain("core/machine/machine.ts");
    expect(
      gzipSync(result.outputFiles[0]?.contents ?? new Uint8Array(), { level: 9 }).length,
    ).toBeLessThan(60_000);
  });
});
