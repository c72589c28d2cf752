import { data } from "react-router";
import type { ProjectsAnswer } from "../../projects/answer";

/** Says why what was asked for projects is not done; read by browsers and by the server alike. */
export const refused = (reason: string, status: number) =>
  data<ProjectsAnswer>({ kind: "refused", reason }, { status });
