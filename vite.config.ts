import { reactRouter } from "@react-router/dev/vite";
import { defineConfig } from "vite";
import type { Plugin } from "vite";

/**
 * Browsers are given polygon-clipping's module: what its package names for them is a UMD bundle,
 * which is larger and cannot be shaken.
 */
const modulesForBrowsers = (): Plugin => ({
  name: "modules-for-browsers",
  enforce: "pre",
  resolveId(id, importer) {
    if (id !== "polygon-clipping" || this.environment.name === "ssr") return null;
    return this.resolve("polygon-clipping/dist/polygon-clipping.esm.js", importer);
  },
});

export default defineConfig(({ isSsrBuild }) => ({
  plugins: [modulesForBrowsers(), reactRouter()],
  worker: { plugins: () => [modulesForBrowsers()] },
  css: {
    preprocessorOptions: {
      scss: {
        quietDeps: true,
        silenceDeprecations: ["import", "global-builtin", "color-functions", "if-function"],
      },
    },
  },
  build: {
    target: "es2022",
    chunkSizeWarningLimit: 1200,
    ...(isSsrBuild ? { rollupOptions: { input: "app/http/main.ts" } } : {}),
  },
}));
