import { spawn } from "node:child_process";
import type { ChildProcess } from "node:child_process";
import { createWriteStream } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

export const root = join(dirname(fileURLToPath(import.meta.url)), "..");

export interface Served { readonly address: string; readonly child: ChildProcess; stop(signal?: NodeJS.Signals): Promise<void> }

/** Serves a build on loopback; its access log goes to a file. */
export const serve = async (build: string, port: number, databaseUrl: string, logFile: string): Promise<Served> => {
  const bin = createRequire(import.meta.url).resolve("@react-router/serve/package.json").replace("package.json", "bin.js");
  const child = spawn(process.execPath, [bin, join(build, "server/index.js")], {
    cwd: root, stdio: ["ignore", "pipe", "pipe"], detached: true,
    env: { ...process.env, NODE_ENV: "production", HOST: "127.0.0.1", PORT: String(port), DATABASE_URL: databaseUrl },
  });
  const log = createWriteStream(logFile, { flags: "a" });
  child.stdout?.pipe(log, { end: false });
  child.stderr?.pipe(log, { end: false });
  const address = `http://127.0.0.1:${port}`;
  const exited = new Promise<void>((resolve) => child.once("exit", () => { log.end(); resolve(); }));
  for (let i = 0; ; i++) {
    const up = await fetch(`${address}/health`).then((r) => r.ok, () => false);
    if (up) break;
    if (child.exitCode !== null || i > 300) throw new Error(`the server did not start; its own words are in ${logFile}`);
    await new Promise((r) => setTimeout(r, 100));
  }
  return {
    address, child,
    stop: async (signal = "SIGTERM") => {
      if (child.exitCode === null && child.signalCode === null) child.kill(signal);
      // windows hold their streams open, and the server would wait for them; every change is a transaction, so it may be cut off
      const patience = setTimeout(() => child.kill("SIGKILL"), 1500);
      await exited;
      clearTimeout(patience);
    },
  };
};
