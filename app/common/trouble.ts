import { data } from "react-router";

/** Runs something that needs the database; when it cannot be reached the page says so (503) instead of breaking. */
export const withDatabase = async <T>(work: () => Promise<T>): Promise<T> => {
  try {
    return await work();
  } catch (error) {
    if (isAway(error)) throw data("Nubble's database does not answer at the moment. Nothing is lost: what was saved is in it, and what was not is kept in this browser. Try again in a moment.", { status: 503 });
    throw error;
  }
};

/** Whether an error means that the database is away rather than that something is wrong. */
export const isAway = (error: unknown): boolean =>
  error instanceof Error && /^Sequelize(Connection|HostNotFound|HostNotReachable|AccessDenied|Database|Timeout)/.test(error.name) &&
  !(error.name === "SequelizeDatabaseError" && !/terminat|shut|connection|timeout|starting up|recovery/i.test(error.message));
