import { wrap } from "comlink";
import type { Remote } from "comlink";
import { servicesWords } from "./words";

/** Rejects when the code of a worker cannot be had, or breaks. */
const failureOf = (worker: Worker): Promise<never> =>
  new Promise((_, fail) => {
    // where the code could not be loaded nothing is said
    worker.onerror = ({ message }) => fail(new Error(message || servicesWords.cannotBeReached));
  });

/** Lets a worker do one thing, and ends it when that is done or has failed. */
export const apart = async <W, T>(
  worker: Worker,
  task: (remote: Remote<W>) => Promise<T>,
): Promise<T> => {
  try {
    return await Promise.race([task(wrap<W>(worker)), failureOf(worker)]);
  } finally {
    worker.terminate();
  }
};
