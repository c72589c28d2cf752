import { entryOf } from "../basics";
import type { Id } from "../basics";
import { componentsAt } from "../machine";
import { inOrder } from "../project";
import type { Piece, Project, Rule, Signal } from "../project";

/** A signal of a component: the rules that send it, and those elsewhere that listen for it. */
export interface SignalUse {
  readonly signal: Signal;
  readonly sent: readonly Rule[];
  readonly heard: readonly { readonly piece: Piece; readonly rule: Rule }[];
}

interface Listening {
  readonly piece: Piece;
  readonly rule: Rule;
  readonly component: Id;
}

const listening = new WeakMap<object, readonly Listening[]>();

/** All rules that listen for a signal of a copy, by the components that the copy may be. */
const listenersIn = (project: Project): readonly Listening[] =>
  entryOf(listening, project.pieces, () =>
    inOrder(project.pieces).flatMap((piece) =>
      inOrder(piece.rules)
        .filter((rule) => rule.trigger.type === "signal" && rule.source !== null)
        .flatMap((rule) =>
          componentsAt(project, piece, rule.source ?? "").map(({ id }) => ({
            piece,
            rule,
            component: id,
          })),
        ),
    ),
  );

const sends = (rule: Rule, signal: Id): boolean =>
  rule.effects.some((effect) => effect.type === "raise" && effect.signal === signal);

/** The signals of a component, in their order, with who sends and who hears them. */
export const signalUses = (project: Project, component: Piece): readonly SignalUse[] =>
  inOrder(component.signals).map((signal) => ({
    signal,
    sent: inOrder(component.rules).filter((rule) => sends(rule, signal.id)),
    heard: listenersIn(project).filter(
      (l) => l.component === component.id && l.rule.trigger.signal === signal.id,
    ),
  }));
