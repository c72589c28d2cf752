import { data } from "react-router";
import { logger, ProjectDamaged, troubleOf } from "#server";
import { routesWords } from "./words";

/**
 * Runs something that needs the database; when it cannot be reached the page says so (503) instead
 * of breaking.
 */
export const withDatabase = async <T>(work: () => Promise<T>): Promise<T> => {
  try {
    return await work();
  } catch (error) {
    if (error instanceof ProjectDamaged) {
      logger.error({ error }, "a project cannot be read");
      throw data(routesWords.projectCannotBeRead2(error.reason), { status: 500 });
    }
    const trouble = troubleOf(error);
    if (!trouble) throw error;
    const what =
      trouble === "the disk is full"
        ? routesWords.diskNubblesDatabaseOn
        : routesWords.databaseNotResponding;
    throw data(routesWords.savedWorkSafeUnsaved(what), { status: 503 });
  }
};

/** The same for what is left out, as null, where the project cannot be read. */
export const unlessDamaged = <T>(work: () => Promise<T>): Promise<T | null> =>
  withDatabase(() =>
    work().catch((error: unknown) => {
      if (!(error instanceof ProjectDamaged)) throw error;
      logger.warn({ error }, "a picture of a project that cannot be read is left out");
      return null;
    }),
  );
