import { meets } from "../looks";
import { layersWith, liveCopies, frontPath, rulesOf, triggerOf } from "../machine";
import type { ActiveInstance, Path, State } from "../machine";
import { ROOT } from "../project";
import type { Project, Rule } from "../project";
import type { Goal } from "./run";

/** How a layer answers: to a pointer that presses it, or to keys while the focus is in it. */
type Sense = "press" | "key";

/** Whether a rule would fire now if its layer were pressed, or got a key. */
const senseOf = (rule: Rule, live: ActiveInstance): Sense | null => {
  if (!rule.on || !meets(rule.when, live.variant)) return null;
  const { by } = triggerOf(rule);
  return by === "press" || by === "key" ? by : null;
};

/**
 * The layers that answer somebody's click, drag, long press or key at this moment, as paths within
 * the shown piece: those with a rule whose condition holds, entries, and what sends a form, in the
 * front overlay if there is one. What takes no pointer or focus now is left out.
 */
export const answering = (project: Project, state: State, goal: Goal): Path[] => {
  const takes = (path: Path, sense: Sense): boolean =>
    sense === "press" ? goal.takesPointer(path) : goal.isFocusable(path);
  const front = frontPath(state);
  const within = (live: ActiveInstance, layer: string): Path =>
    `${live.path}/${layer}`.slice(state.screen.length + 1);
  const found = liveCopies(project, state)
    .filter((live) => `${live.path}/`.startsWith(`${front}/`))
    .flatMap((live) => [
      ...rulesOf(project, live.piece).flatMap((rule) => {
        const sense = senseOf(rule, live);
        const path = within(live, rule.source ?? ROOT);
        return sense && takes(path, sense) ? [path] : [];
      }),
      ...(["entry", "sends"] as const).flatMap((key) =>
        layersWith(project, live, key)
          .map(({ layer }) => within(live, layer.id))
          .filter((path) => takes(path, "press")),
      ),
    ]);
  return [...new Set(found)];
};
