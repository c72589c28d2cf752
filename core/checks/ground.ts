import { restingVariant, valuesIn } from "../looks";
import { ROOT, inOrder } from "../project";
import type { Project } from "../project";

/** What lies beneath where nobody has drawn anything. */
const PAPER = "#ffffff";

/**
 * What components lie on, as far as one can know: the fill of the screen a prototype starts on, or
 * of the first one, in the theme the project is in.
 */
export const groundOf = (project: Project): string => {
  const screens = inOrder(project.pieces).filter((p) => p.kind === "screen");
  const screen = screens.find((p) => p.id === project.start) ?? screens[0];
  const root = screen?.layers[ROOT];
  if (!screen || !root) return PAPER;
  const { fill } = valuesIn(project, screen, restingVariant(screen), root);
  return typeof fill === "string" && fill !== "none" ? fill : PAPER;
};
