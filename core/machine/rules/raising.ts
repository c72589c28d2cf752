import type { Id } from "../../basics";
import { liveAt, split } from "../chain";
import { signalAsk } from "./asks";
import type { Doing } from "./effect-types";
import type { State } from "../state";

/** Tells the piece around a copy something; who listens for that on the copy answers. */
export const raised = (doing: Doing, signal: Id): State => {
  const { project, state, emit, fireOn } = doing;
  const { path } = doing.cause;
  emit({ type: "signalled", at: state.now, state, path, signal });
  const { copy, layer } = split(path);
  const around = liveAt(project, state, copy);
  if (!path.includes("/") || !around) return state;
  return fireOn(project, state, around, layer, signalAsk(signal), emit).state;
};
