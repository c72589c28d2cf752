import type { Id } from "../../basics";
import { tableEntry } from "../../project";
import type { Motion, Project } from "../../project";
import { liveAt } from "../chain";
import type { Emit } from "../events";
import { goBack, goTo, openOverlay } from "../navigate";
import { onLayer } from "../rules/fire";
import { listensFor } from "../rules/listening";
import { writeTraits } from "../rules/writing";
import { changed } from "../state";
import type { State } from "../state";
import { noteInMotion, scheduleTimers } from "../time/timers";
import type { Input, Path } from "../types";
import { moveTo } from "./drag";
import { fillIn } from "./forms";

const still: Motion = { kind: "cut", duration: 0, delay: 0, easing: "linear" };
/** A quick tween for traits switched by hand, so that one sees what changed. */
export const byHand: Motion = { kind: "tween", duration: 150, delay: 0, easing: "ease-out" };

/** Who leads to a screen where no rule does. */
const byPresenter = (path: Path) => ({ path, rule: null });

/** Inputs of a pointer, a key or a focus, which go through the layers they are at. */
type ContactInput = Extract<
  Input,
  { readonly type: "over" | "down" | "up" | "cancel" | "focus" | "key" | "click" }
>;

/** Inputs that say themselves what changes. */
export type DirectInput = Exclude<Input, ContactInput>;

/** Takes an input that says itself what changes. */
export const takeDirect = (
  project: Project,
  state: State,
  input: DirectInput,
  emit: Emit,
): State => {
  switch (input.type) {
    case "move":
      return moveTo(project, state, [input.x, input.y], emit);
    case "fill":
      return fillIn(project, state, `${state.screen}/${input.layer}`, input.text, emit);
    case "scroll": {
      const layer = `${state.screen}/${input.layer}`;
      const offsets = { ...state.scroll.offsets, [layer]: Math.max(0, input.to) };
      const next = changed(state, "scroll", { offsets });
      emit({ type: "scrolled", at: state.now, state: next, path: state.screen });
      return next;
    }
    case "seen":
      return see(
        project,
        state,
        input.layers.map((l) => `${state.screen}/${l}`),
        emit,
      );
    case "answer":
      return changed(state, "forms", { answersWell: input.well });
    case "show":
      return showTrait(project, state, input.at, input.trait, input.value, emit);
    case "screen":
      return input.screen === state.screen
        ? state
        : goTo(project, state, input.screen, still, byPresenter(input.screen), emit);
    case "overlay":
      return openOverlay(project, state, input.screen, still, byPresenter(state.screen), emit);
    case "back":
      return goBack(project, state, still, byPresenter(state.screen), emit);
  }
};

/** Layers have come into sight, others out of it; those that come are told so. */
const see = (project: Project, state: State, inSight: readonly Path[], emit: Emit): State =>
  inSight
    .filter((p) => !state.scroll.inSight.includes(p))
    .reduce(
      (s, p) => onLayer(project, s, p, listensFor("seen"), emit),
      changed(state, "scroll", { inSight }),
    );

const showTrait = (
  project: Project,
  state: State,
  at: Path,
  trait: Id,
  value: Id,
  emit: Emit,
): State => {
  const live = liveAt(project, state, at);
  const known = live && tableEntry(live.piece.traits, trait);
  if (!known || !tableEntry(known.values, value)) return state;
  const serial = state.serial + 1;
  const written = writeTraits(project, { ...state, serial }, live, { [trait]: value }, serial);
  const motion = known.motion ?? byHand;
  const moving = written.sets.length
    ? noteInMotion(project, written.state, at, motion)
    : written.state;
  const next = scheduleTimers(project, moving);
  if (written.sets.length)
    emit({ type: "shown", at: state.now, state: next, path: at, sets: written.sets, motion });
  return next;
};
