import { existsSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { endProcess, hasVariable, isAlive } from "./processes.ts";

/** What a running Nubble notes about itself, for the next start. */
export interface RunState {
  readonly run: string;
  readonly address: string;
  readonly serverPid: number;
}

const isRunState = (value: unknown): value is RunState => {
  const { run, address, serverPid } = (value ?? {}) as Record<string, unknown>;
  return typeof run === "string" && typeof address === "string" && typeof serverPid === "number";
};

export const readRunState = (file: string): RunState | null => {
  if (!existsSync(file)) return null;
  try {
    const value: unknown = JSON.parse(readFileSync(file, "utf8"));
    return isRunState(value) ? value : null;
  } catch {
    return null;
  }
};

/** Notes it in one go, so that nobody reads half of it; returns why it could not be noted. */
export const writeRunState = (file: string, state: RunState): string | null => {
  try {
    writeFileSync(`${file}.new`, JSON.stringify(state), { mode: 0o600 });
    renameSync(`${file}.new`, file);
    return null;
  } catch (error) {
    return (error as Error).message;
  }
};

export const forgetRunState = (file: string): void => rmSync(file, { force: true });

/**
 * Ends a server that an earlier start left running. Numbers are used again: it must carry that
 * start's own mark.
 */
export const endLeftServer = async (state: RunState): Promise<boolean> => {
  if (!isAlive(state.serverPid) || !hasVariable(state.serverPid, "NUBBLE_RUN", state.run))
    return false;
  await endProcess(state.serverPid, "SIGTERM", 2000);
  return true;
};
