import { gzipSync } from "node:zlib";
import { join, relative } from "node:path";
import { fileURLToPath } from "node:url";
import { build } from "esbuild";
import { describe, expect, it } from "vitest";

const root = join(fileURLToPath(new URL(".", import.meta.url)), "..");

describe("what the player brings along", () => {
  it("is core and a few small libraries: no React, no Zod, no database, and at most 58 kB", async () => {
    const result = await build({
      entryPoints: [join(root, "player/index.ts")],
      bundle: true,
      minify: true,
      format: "esm",
      splitting: true,
      target: "es2022",
      write: false,
      metafile: true,
      outdir: root,
      absWorkingDir: root,
      logLevel: "error",
    });
    const { outputs } = result.metafile;
    // what is asked for later, for assistive technology and fields, is no part of it
    const first = new Set<string>();
    const follow = (file: string): void => {
      if (first.has(file)) return;
      first.add(file);
      for (const i of outputs[file]?.imports ?? [])
        if (i.kind === "import-statement") follow(i.path);
    };
    follow(Object.keys(outputs).find((f) => outputs[f]?.entryPoint === "player/index.ts") ?? "");
    const used = [...first].flatMap((file) =>
      Object.entries(outputs[file]?.inputs ?? {})
        .filter(([, i]) => i.bytesInOutput > 0)
        .map(([source]) => source),
    );
    const packages = new Set(
      used
        .map((f) => /node_modules\/((?:@[^/]+\/)?[^/]+)/.exec(f)?.[1])
        .filter((p) => p !== undefined),
    );
    expect([...packages].filter((p) => /react|zod|sequelize|pg|moveable/.test(p))).toEqual([]);
    expect(used.filter((f) => /^(app|server|demo|scripts)\//.test(f))).toEqual([]);
    expect(used).toContain("core/machine/compiled/step.ts");
    // the reference of the machine, and what combines outlines, are no part of it
    expect(used.filter((f) => f.startsWith("core/machine/readable/"))).toEqual([]);
    expect([...packages]).not.toContain("polygon-clipping");
    const files = result.outputFiles.filter((f) => first.has(relative(root, f.path)));
    expect(files.length).toBe(first.size);
    const sizes = files.map((f) => gzipSync(f.contents, { level: 9 }).length);
    expect(sizes.reduce((a, b) => a + b, 0)).toBeLessThanOrEqual(58_000);
  });
});
