import { pino, stdTimeFunctions } from "pino";

/** What is known of a fault, without anything that people wrote. */
interface Fault {
  readonly type: string;
  readonly code?: string;
  readonly message: string;
  /** the places in the code, without the message that stands before them */
  readonly stack: string;
  readonly cause?: Fault;
}

/** Letters of a message that are told. */
const LONGEST = 200;

/** An error as the server's own log has it: errors of the database carry what was sent to it. */
export const faultOf = (error: unknown): Fault => {
  if (!(error instanceof Error))
    return { type: typeof error, message: String(error).slice(0, LONGEST), stack: "" };
  const { code, parent } = error as { code?: unknown; parent?: unknown };
  const cause = error.cause ?? parent;
  const [firstLine = ""] = error.message.split("\n");
  const frames = (error.stack ?? "").split("\n").filter((line) => /^\s+at /.test(line));
  return {
    type: error.name,
    ...(typeof code === "string" ? { code } : {}),
    message: firstLine.slice(0, LONGEST),
    stack: frames.map((line) => line.trim()).join("\n"),
    ...(cause instanceof Error ? { cause: faultOf(cause) } : {}),
  };
};

/** What the server says of itself: a line of JSON each, on its standard output. */
export const logger = pino({
  level: process.env.NUBBLE_LOG_LEVEL ?? "info",
  base: { pid: process.pid },
  timestamp: stdTimeFunctions.isoTime,
  serializers: { error: faultOf },
});
