import { emptyProject } from "../../../core/edit/index.ts";
import { newId } from "../../../core/project/index.ts";
import { kelpwayKit } from "../../../demo/index.ts";
import { fetched, middle } from "./fetched.ts";
import { withHarbour } from "./served.ts";
import type { Line } from "../support.ts";

const PROJECTS = 1000;
/** Projects whose pictures are asked for, as many as a large window shows. */
const IN_SIGHT = 24;
const ROUNDS = 20;

const times = async (addresses: readonly string[]): Promise<readonly number[]> => {
  const all: number[] = [];
  for (const address of addresses) all.push((await fetched(address)).ms);
  return all;
};

/** How long the page of many projects takes, and the pictures in it. */
export const projects = (line: Line): Promise<void> =>
  withHarbour(async ({ log, serve }) => {
    const ids: string[] = [];
    for (let i = 0; i < PROJECTS; i++) {
      const id = newId();
      const name = `Harbour ${i} of the islands`;
      await log.create(id, i < IN_SIGHT ? { ...kelpwayKit(), name } : emptyProject(name));
      ids.push(id);
    }
    const served = await serve(1);
    const home = `${served.address}/`;
    const { size } = await fetched(home);
    const pages = await times(Array<string>(ROUNDS).fill(home));
    line(
      `projects: the page of ${PROJECTS}`,
      `${middle(pages)} ms, ${(size / 1000).toFixed(1)} kB packed`,
    );
    const pictures = ids.slice(0, IN_SIGHT).map((id) => `${home}projects/${id}/picture`);
    const made = await times(pictures);
    const kept = await times(pictures);
    line("projects: a picture, made", `${middle(made)} ms`);
    line("projects: a picture, kept", `${middle(kept)} ms`);
    await served.stop();
  });
