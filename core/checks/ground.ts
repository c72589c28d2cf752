import { startScreen } from "../edit";
import { restingVariant, valuesIn } from "../looks";
import { ROOT } from "../project";
import type { Project } from "../project";

/** What lies beneath where nobody has drawn anything. */
const PAPER = "#ffffff";

/**
 * What components lie on, as far as one can know: the fill of the screen a prototype starts on, in
 * the theme the project is in.
 */
export const groundOf = (project: Project): string => {
  const screen = startScreen(project);
  const root = screen?.layers[ROOT];
  if (!screen || !root) return PAPER;
  const { fill } = valuesIn(project, screen, restingVariant(screen), root);
  return typeof fill === "string" && fill !== "none" ? fill : PAPER;
};
