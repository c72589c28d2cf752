import type { Project } from "#core/project";
import { ProjectLog } from "#server";
import type { Desk } from "./kit";

/** The project of a desk as it is saved, once all is. */
export const savedProject = async (desk: Desk): Promise<Project> => {
  await desk.me.saved();
  const snapshot = await new ProjectLog(desk.db).read(desk.id);
  if (!snapshot) throw new Error("the project is gone");
  return snapshot.project;
};
