/**
 * Why the database cannot do now what it could at another time: in words for the person who waits.
 */
export type Trouble = "the database is not responding" | "the disk is full";

/**
 * Classes of SQLSTATE (PostgreSQL, appendix A) that are about the server and not about what it was
 * asked.
 */
const passing = ["08", "40", "53", "55", "57", "58"];
const networkCodes = [
  "ECONNREFUSED",
  "ECONNRESET",
  "EPIPE",
  "ETIMEDOUT",
  "EHOSTUNREACH",
  "ENOTFOUND",
  "EAI_AGAIN",
];

const codesOf = (error: unknown): string[] => {
  const codes: string[] = [];
  for (let at = error; at instanceof Error; at = at.cause ?? (at as { parent?: unknown }).parent) {
    const { code } = at as { code?: unknown };
    if (typeof code === "string") codes.push(code);
    if (codes.length > 8) break;
  }
  return codes;
};

/**
 * What is the matter with the database, when an error means that; null when it is the request or
 * Nubble that is at fault.
 */
export const troubleOf = (error: unknown): Trouble | null => {
  if (!(error instanceof Error)) return null;
  const codes = codesOf(error);
  if (codes.includes("53100") || codes.includes("ENOSPC")) return "the disk is full";
  const isPassing = codes.some(
    (code) =>
      networkCodes.includes(code) ||
      (/^[0-9A-Z]{5}$/.test(code) && passing.includes(code.slice(0, 2))),
  );
  const isConnection =
    /^Sequelize(Connection|HostNotFound|HostNotReachable|AccessDenied|Timeout)/.test(error.name);
  // pg's own errors about its connection carry no code
  const isCut =
    /^(Connection terminated|Client has encountered a connection error|Query read timeout|timeout exceeded)/i.test(
      error.message,
    );
  return isPassing || isConnection || isCut ? "the database is not responding" : null;
};
