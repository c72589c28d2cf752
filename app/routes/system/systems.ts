import { editions, projectLog } from "#server";
import type { System } from "../../editions/adopted/systems";
import { withDatabase } from "../trouble";

const systemOf = async (id: string, name: string): Promise<System> => ({
  id,
  name,
  isGone: !(await projectLog().exists(id)),
  editions: await editions().of(id),
});

/** The systems a project may adopt, and those it has adopted. */
export const systemsOf = (projectId: string): Promise<{ systems: readonly System[] }> =>
  withDatabase(async () => {
    const found = new Map<string, string>();
    for (const { system, systemName } of await editions().newest())
      if (system !== projectId) found.set(system, systemName);
    const snapshot = await projectLog().read(projectId);
    for (const { system, name } of Object.values(snapshot?.project.adoptions ?? {}))
      if (!found.has(system)) found.set(system, name);
    const systems: System[] = [];
    for (const [id, name] of found) systems.push(await systemOf(id, name));
    return { systems };
  });
