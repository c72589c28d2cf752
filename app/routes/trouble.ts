import { data } from "react-router";
import { ProjectDamaged, troubleOf } from "#server";
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
      console.error(error);
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
