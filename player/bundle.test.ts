import { gzipSync } from "node:zlib";
import { join, relative } from "node:path";
import { fileURLToPath } from "node:url";
import { build } from "esbuild";
import type { Plugin } from "esbuild";
import { describe, expect, it } from "vitest";

/** The tests of geometry that nothing asks for are left out, as the build does by itself. */
const withoutUnasked: Plugin = {
  name: "without-unasked",
  setup: (builder) => {
    builder.onResolve({ filter: /robust-predicates|\.js$/ }, async (asked) => {
      const { path, importer, resolveDir, kind } = asked;
      const isMeant = `${path} ${importer}`.includes("robust-predicates");
      if (!isMeant || asked.pluginData === "asked") return null;
      const from = { importer, resolveDir, kind, pluginData: "asked" };
      return { ...(await builder.resolve(path, from)), sideEffects: false };
    });
  },
};

const root = join(fileURLToPath(new URL(".", import.meta.url)), "..");

describe("what the player brings along", () => {
  it("is core and a few small libraries: no React, no Zod, no database, and well under 60 kB", async () => {
    const result = await build({
      entryPoints: [join(root, "player/index.ts")],
      bundle: true,
      minify: true,
      format: "esm",
      splitting: true,
      target: "es2022",
      write: false,
      metafile: true,
      // as vite.config.ts has it for browsers
      alias: { "polygon-clipping": "polygon-clipping/dist/polygon-clipping.esm.js" },
      plugins: [withoutUnasked],
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
    expect(used).toContain("core/machine/machine.ts");
    const files = result.outputFiles.filter((f) => first.has(relative(root, f.path)));
    expect(files.length).toBe(first.size);
    const sizes = files.map((f) => gzipSync(f.contents, { level: 9 }).length);
    expect(sizes.reduce((a, b) => a + b, 0)).toBeLessThan(60_000);
  });
});
