import { present } from "../../basics";
import type { Id } from "../../basics";
import { childrenOf } from "../../looks";
import { ROOT } from "../../project";
import type { Project } from "../../project";
import { chainOf, liveAt, split } from "../chain";
import { dispatch, onLayer } from "../rules/fire";
import type { Emit } from "../events";
import { changed } from "../state";
import type { State } from "../state";
import type { ActiveInstance, Path } from "../types";
import { layersWith } from "../saying";
import { listensFor } from "../rules/listening";

/** How long the stand-in for whoever receives a form takes to answer, ms. */
const ANSWERS_AFTER = 600;
const LONGEST = 500;

/** How a layer is filled in; null when it is not. */
const entryAt = (
  project: Project,
  state: State,
  path: Path | undefined,
): { live: ActiveInstance; layer: Id; by: "typing" | "choosing"; choices: string[] } | null => {
  if (path === undefined) return null;
  const { copy, layer } = split(path);
  const live = liveAt(project, state, copy);
  const found = live && layersWith(project, live, "entry").find((e) => e.layer.id === layer);
  const { entry: by, choices = "" } = found?.values ?? {};
  if (!live || by === undefined || by === "nobody") return null;
  const list = choices.split(",").map((c) => c.trim());
  return { live, layer, by, choices: list.filter(Boolean) };
};

export const isEntry = (project: Project, state: State, path: Path | undefined): boolean =>
  entryAt(project, state, path) !== null;

const fill = (project: Project, state: State, path: Path, text: string, emit: Emit): State => {
  const { copy, layer } = split(path);
  const entries = { ...state.forms.entries, [path]: text.slice(0, LONGEST) };
  const next = changed(state, "forms", { entries });
  emit({ type: "filled", at: state.now, state: next, path: copy, layer, text });
  return onLayer(project, next, path, listensFor("typed"), emit);
};

/**
 * An entry is given a text, as a real field says it; of a choice, one of the list. Nothing else can
 * be filled in.
 */
export const fillIn = (
  project: Project,
  state: State,
  path: Path,
  text: string,
  emit: Emit,
): State => {
  const entry = entryAt(project, state, path);
  const isSame = (state.forms.entries[path] ?? "") === text;
  if (!entry || isSame) return state;
  if (entry.by === "choosing" && !entry.choices.includes(text)) return state;
  return fill(project, state, path, text, emit);
};

const chooseNext = (
  project: Project,
  state: State,
  path: Path,
  choices: readonly string[],
  by: number,
  emit: Emit,
): State => {
  const at = choices.indexOf(state.forms.entries[path] ?? "");
  const n = choices.length;
  if (n === 0) return state;
  const end = by > 0 ? 0 : n - 1;
  const next = at < 0 ? end : (at + by + n) % n;
  return fill(project, state, path, choices[next] ?? "", emit);
};

/**
 * A key for what is filled in and has the focus: letters are added, the last is taken back, choices
 * go on, Enter sends. Null: it is not for an entry.
 */
export const typeKey = (project: Project, state: State, key: string, emit: Emit): State | null => {
  const [path] = state.keyboard.focused;
  const entry = entryAt(project, state, path);
  if (!entry || path === undefined) return null;
  if (entry.by === "choosing") {
    if (key === "ArrowDown" || key === " ") {
      return chooseNext(project, state, path, entry.choices, 1, emit);
    }
    return key === "ArrowUp" ? chooseNext(project, state, path, entry.choices, -1, emit) : null;
  }
  const now = state.forms.entries[path] ?? "";
  if ([...key].length === 1) return fill(project, state, path, now + key, emit);
  if (key === "Backspace") return fill(project, state, path, [...now].slice(0, -1).join(""), emit);
  if (key !== "Enter") return null;
  const [sender] = inTreeOrder(
    entry.live,
    layersWith(project, entry.live, "sends").map((s) => s.layer.id),
  );
  return sender === undefined ? state : send(project, state, `${entry.live.path}/${sender}`, emit);
};

/** Ids of layers in the order of the tree. */
const inTreeOrder = (live: ActiveInstance, ids: readonly Id[]): Id[] => {
  const out: Id[] = [];
  const visit = (id: Id): void => {
    if (ids.includes(id)) out.push(id);
    for (const c of childrenOf(live.piece).get(id) ?? []) visit(c.id);
  };
  visit(ROOT);
  return out;
};

/**
 * A form is sent by a layer; its answer comes a little later. One that is on its way is not sent
 * again.
 */
const send = (project: Project, state: State, source: Path, emit: Emit): State => {
  const { copy } = split(source);
  const live = liveAt(project, state, copy);
  if (!live || state.forms.sending[copy]) return state;
  const fields = inTreeOrder(
    live,
    layersWith(project, live, "entry").map((e) => e.layer.id),
  ).map((layer) => ({ layer, text: state.forms.entries[`${copy}/${layer}`] ?? "" }));
  const form = { source, due: state.now + ANSWERS_AFTER };
  const next = changed(state, "forms", { sending: { ...state.forms.sending, [copy]: form } });
  emit({ type: "sending", at: state.now, state: next, path: copy, fields });
  return onLayer(project, next, source, listensFor("sent"), emit);
};

/** What a click does beside rules: the innermost layer clicked chooses on, or sends. */
export const clickedInForm = (
  project: Project,
  state: State,
  chain: readonly Path[],
  emit: Emit,
): State => {
  const entry = entryAt(project, state, chain[0]);
  if (entry?.by === "choosing")
    return chooseNext(project, state, present(chain[0]), entry.choices, 1, emit);
  const sender = chain.find((p) => {
    const { copy, layer } = split(p);
    const live = liveAt(project, state, copy);
    return live && layersWith(project, live, "sends").some((s) => s.layer.id === layer);
  });
  return sender === undefined ? state : send(project, state, sender, emit);
};

/** The answer to a form has come. */
export const answerCome = (project: Project, state: State, copy: Path, emit: Emit): State => {
  const { [copy]: form, ...sending } = state.forms.sending;
  const next = changed(state, "forms", { sending });
  if (!form || !liveAt(project, next, copy)) return next;
  const chain = chainOf(project, next, form.source.slice(next.screen.length + 1)).filter(
    (p) => split(p).copy === copy,
  );
  return dispatch(
    project,
    next,
    listensFor(next.forms.answersWell ? "succeeded" : "failed"),
    chain,
    emit,
  ).state;
};
