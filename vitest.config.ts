import { defineConfig } from "vitest/config";

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: "unit",
          include: ["{core,player,server,app,workers,demo,scripts}/**/*.test.ts"],
          setupFiles: ["core/combine/index.ts"],
          environment: "node",
          // every file would read the whole of core anew
          isolate: false,
          testTimeout: 30_000,
        },
      },
      {
        test: {
          name: "whole",
          include: ["tests/**/*.test.ts"],
          setupFiles: ["core/combine/index.ts"],
          environment: "node",
          testTimeout: 120_000,
          hookTimeout: 180_000,
          fileParallelism: false,
          globalSetup: "tests/setup.ts",
        },
      },
    ],
  },
});
