import { rmSync } from "node:fs";
import { join } from "node:path";
import type { TestProject } from "vitest/node";
import { startHarbour } from "./support/servers/harbour";
import { build } from "../scripts/build";
import { makeScratch } from "../scripts/run/scratch";
import { root } from "../scripts/serve";

declare module "vitest" {
  export interface ProvidedContext {
    address: string;
    databaseUrl: string;
    build: string;
  }
}

/**
 * One throwaway database and server for all tests of the whole; those that break things start their
 * own.
 */
export default async (project: TestProject): Promise<() => Promise<void>> => {
  const folder = process.env.NUBBLE_BUILD ?? join(root, "build");
  if (!process.env.NUBBLE_BUILD) build(folder);
  const home = makeScratch("test");
  const harbour = await startHarbour(home, folder);
  project.provide("address", harbour.served.address);
  project.provide("databaseUrl", harbour.postgres.url);
  project.provide("build", folder);
  return async () => {
    await harbour.stop();
    rmSync(home, { recursive: true, force: true });
  };
};
