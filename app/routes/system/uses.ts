import { usageOf } from "#core/system";
import { editions, projectLog } from "#server";
import type { Using } from "../../editions/publishing/using";

/** Who uses a system, in which editions, and how. */
export const usesOf = async (system: string): Promise<Using[]> => {
  const found: Using[] = [];
  for (const { projectId, adoption, number } of await editions().adopters(system)) {
    const snapshot = await projectLog().read(projectId);
    if (!snapshot) continue;
    const { project } = snapshot;
    found.push({ projectId, projectName: project.name, number, uses: usageOf(project, adoption) });
  }
  return found;
};
