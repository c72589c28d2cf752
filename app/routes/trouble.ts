import { data } from "react-router";
import { ProjectDamaged, troubleOf } from "#server";

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
      throw data(
        `This project cannot be read: ${error.reason}. Nothing of it was changed, and other projects are not affected.`,
        { status: 500 },
      );
    }
    const trouble = troubleOf(error);
    if (!trouble) throw error;
    const what =
      trouble === "the disk is full"
        ? "The disk that Nubble's database is on is full"
        : "Nubble's database does not answer at the moment";
    throw data(
      `${what}. Nothing is lost: what was saved is in it, and what was not is kept in this browser. Try again in a moment.`,
      { status: 503 },
    );
  }
};
