import { wrap } from "comlink";
import type { ReadSvg } from "#core/formats/svg";
import type { SvgReader } from "../../workers/svg";
import { servicesWords } from "./words";

/** How long one file may take, ms. */
const PATIENCE = 20_000;

const outOfPatience = (): Promise<ReadSvg> =>
  new Promise((resolve) => {
    setTimeout(
      () => resolve({ ok: false, error: servicesWords.readingTakesLongerThan(PATIENCE / 1000) }),
      PATIENCE,
    );
  });

const broken = (worker: Worker): Promise<ReadSvg> =>
  new Promise((resolve) => {
    worker.onerror = () => resolve({ ok: false, error: servicesWords.cannotBeRead });
  });

/**
 * Reads an SVG text in a worker of its own, which is ended when it takes too long: files come from
 * anywhere.
 */
export const readSvgApart = async (source: string): Promise<ReadSvg> => {
  const worker = new Worker(new URL("../../workers/svg.ts", import.meta.url), { type: "module" });
  try {
    const read = wrap<SvgReader>(worker)
      .readSvg(source)
      .catch((): ReadSvg => ({ ok: false, error: servicesWords.cannotBeRead }));
    return await Promise.race([read, broken(worker), outOfPatience()]);
  } finally {
    worker.terminate();
  }
};
