import { reactRouter } from "@react-router/dev/vite";
import { defineConfig } from "vite";

export default defineConfig(({ isSsrBuild }) => ({
  plugins: [reactRouter()],
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
