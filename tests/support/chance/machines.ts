import type { Id } from "#core/basics";
import { addSignal } from "#core/edit";
import { chainOf, liveCopies } from "#core/machine";
import type { Input, State } from "#core/machine";
import { ROOT, inOrder } from "#core/project";
import type {
  Condition,
  Effect,
  Motion,
  Piece,
  Project,
  Trigger,
  TriggerType,
} from "#core/project";
import { Builder } from "../pieces";
import type { Dice } from "./dice";

type Some<T> = readonly [T, ...T[]];

const some = <T>(list: readonly T[]): Some<T> | null => {
  const [first, ...rest] = list;
  return first === undefined ? null : [first, ...rest];
};

const pickOr = <T>(dice: Dice, list: readonly T[], other: T): T => {
  const full = some(list);
  return full ? dice.pick(full) : other;
};

const cut: Motion = { kind: "cut", duration: 0, delay: 0, easing: "linear" };

const motionOf = (dice: Dice): Motion =>
  dice.chance(0.4)
    ? cut
    : {
        kind: "tween",
        duration: dice.pick([80, 200, 640]),
        delay: dice.pick([0, 40]),
        easing: "linear",
      };

const conditionOf = (dice: Dice, piece: Piece, share: number): Condition =>
  Object.fromEntries(
    inOrder(piece.traits)
      .filter(() => dice.chance(share))
      .map((trait): [Id, Id[]] => {
        const values = inOrder(trait.values).map((v) => v.id);
        return [trait.id, values.slice(dice.whole(0, 1), dice.whole(1, values.length))];
      })
      .filter(([, values]) => values.length > 0),
  );

const layersOf = (piece: Piece, kinds: readonly string[]): Id[] =>
  Object.values(piece.layers)
    .filter((l) => kinds.includes(l.kind))
    .map((l) => l.id);

/** The component a copy shows at rest. */
const shownBy = (project: Project, piece: Piece, copy: Id): Piece | undefined => {
  const said = Object.values(piece.looks).map((l) => l.changes[copy]?.component);
  const component = said.find((c) => typeof c === "string");
  return component === undefined ? undefined : project.pieces[component];
};

const targetOf = (dice: Dice, piece: Piece, trait: Id) => {
  const values = inOrder(piece.traits[trait]?.values ?? {});
  return dice.chance(0.5)
    ? { step: dice.pick(["next", "previous", "opposite", "first"] as const) }
    : { value: pickOr(dice, values, { id: "", name: "", order: "" }).id };
};

/** An effect of whatever kind that suits a piece; a step of one of its traits where none does. */
const effectOf = (dice: Dice, { project, piece }: Builder): Effect => {
  const traits = inOrder(piece.traits).map((t) => t.id);
  const own = pickOr(dice, traits, "");
  const plain: Effect = { type: "set", trait: own, to: targetOf(dice, piece, own) };
  const copy = pickOr(dice, layersOf(piece, ["instance"]), "");
  const clip = pickOr(dice, layersOf(piece, ["picture"]), "");
  const screens = Object.values(project.pieces).filter((p) => p.kind === "screen");
  const screen = pickOr(dice, screens, piece).id;
  const timed = <T extends object>(effect: T): T =>
    dice.chance(0.3) ? { ...effect, motion: motionOf(dice) } : effect;
  const inside = copy === "" ? undefined : shownBy(project, piece, copy);
  const kind = dice.whole(0, 19);
  if (kind <= 4 && inside) {
    const trait = pickOr(
      dice,
      inOrder(inside.traits).map((t) => t.id),
      "",
    );
    if (kind === 0 && inside.options["words"])
      return timed({ type: "option", layer: copy, option: "words", value: dice.pick(["a", "b"]) });
    return timed({ type: "nested", layer: copy, trait, to: targetOf(dice, inside, trait) });
  }
  if (kind === 5 && clip)
    return { type: "clip", layer: clip, act: dice.pick(["play", "pause", "turn"]) };
  if (kind === 6 && clip) return { type: "seek", layer: clip, ms: dice.pick([0, 300, 900]) };
  if (kind === 7) return timed({ type: "open", screen });
  if (kind === 8) return timed({ type: "close" });
  if (kind === 9) return dice.chance(0.5) ? timed({ type: "go", screen }) : timed({ type: "back" });
  if (kind === 10) return { type: "stir" };
  if (kind === 11) return { type: "empty" };
  const signals = Object.keys(piece.signals);
  if (kind <= 13 && signals.length) return { type: "raise", signal: pickOr(dice, signals, "") };
  return timed(plain);
};

const ofPiece: readonly TriggerType[] = ["delay", "settled"];
const kinds: Some<TriggerType> = [
  "click",
  "click",
  "click",
  "double",
  "press",
  "press",
  "release",
  "hold",
  "hold",
  "enter",
  "leave",
  "hover",
  "hover",
  "focus",
  "blur",
  "key",
  "delay",
  "settled",
  "drag",
  "played",
  "paused",
  "reached",
  "ended",
  "typed",
  "sent",
  "succeeded",
  "failed",
  "seen",
];

const triggerOf = (dice: Dice, signals: readonly Id[]): Trigger => {
  if (signals.length && dice.chance(0.25))
    return { type: "signal", signal: pickOr(dice, signals, "") };
  const type = dice.pick(kinds);
  if (type === "hold") return { type, ms: dice.pick([300, 500]) };
  if (type === "delay") return { type, ms: dice.pick([0, 100, 300, 800]) };
  if (type === "reached") return { type, ms: dice.pick([200, 300]) };
  if (type === "key") return { type, key: dice.pick(["Enter", "a", "Escape"]) };
  if (type === "drag")
    return { type, way: dice.pick(["line", "free"]), direction: dice.pick(["right", "any"]) };
  const isFocus = type === "focus" || type === "blur";
  return isFocus && dice.chance(0.5) ? { type, by: "any" } : { type };
};

const addRandomRule = (dice: Dice, b: Builder): void => {
  const { piece, project } = b;
  const layers = Object.keys(piece.layers);
  const copies = layersOf(piece, ["instance"]);
  const copy = pickOr(dice, copies, "");
  const heard = copy === "" ? [] : Object.keys(shownBy(project, piece, copy)?.signals ?? {});
  const trigger = triggerOf(dice, heard);
  const clips = layersOf(piece, ["picture"]);
  const isOfClip = ["played", "paused", "reached", "ended"].includes(trigger.type);
  const where = isOfClip ? pickOr(dice, clips, ROOT) : pickOr(dice, layers, ROOT);
  const source = trigger.type === "signal" ? copy : where;
  b.rule({
    source: ofPiece.includes(trigger.type) ? null : source,
    trigger,
    when: conditionOf(dice, piece, 0.4),
    effects: dice.times(dice.pick([1, 1, 1, 2, 3]), () => effectOf(dice, b)),
    motion: motionOf(dice),
    undo: dice.chance(0.4),
    ...(dice.chance(0.2) ? { back: motionOf(dice) } : {}),
  });
};

const addLayers = (dice: Dice, b: Builder): void => {
  const box = b.layer("box", { width: 80, height: 40 });
  b.layer("text", { text: "Quay" }, box);
  if (dice.chance(0.4)) b.layer("ellipse");
  if (dice.chance(0.3))
    b.layer("picture", { plays: 1000, repeats: dice.chance(0.5), starts: dice.chance(0.5) });
  if (dice.chance(0.25)) {
    b.layer("text", { text: "Name", entry: "typing" });
    b.layer("text", { text: "Deck", entry: "choosing", choices: "upper, lower" });
    b.layer("box", { sends: true });
  }
};

/** Copies of components made before, of which looks say other traits, or that they are hidden. */
const addCopies = (dice: Dice, b: Builder, components: readonly Id[]): void => {
  if (components.length === 0) return;
  for (let n = dice.whole(1, 2); n > 0; n--) {
    const component = pickOr(dice, components, "");
    const copy = b.layer("instance", { component });
    const inside = b.project.pieces[component];
    const trait = inside && inOrder(inside.traits)[0];
    const [, second] = inOrder(trait?.values ?? {});
    const when = conditionOf(dice, b.piece, 0.6);
    if (trait && second && dice.chance(0.5))
      b.look(when, copy, { [`trait:${trait.id}`]: second.id });
    else if (dice.chance(0.5)) b.look(when, copy, { visible: false });
    else if (dice.chance(0.4)) b.look(when, copy, { component: pickOr(dice, components, "") });
  }
};

const addTraits = (dice: Dice, b: Builder): void => {
  b.trait("Tide", "low", "high");
  if (dice.chance(0.6)) b.trait("Light", "off", "dim", "bright");
};

/** A project of components in one another and screens of them, whose rules are whatever comes. */
export const machineProject = (dice: Dice): { project: Project; screens: readonly Id[] } => {
  const b = new Builder();
  const components: Id[] = [];
  for (let n = dice.whole(1, 3); n > 0; n--) {
    const id = b.new("component", `Buoy ${n}`);
    addTraits(dice, b);
    if (dice.chance(0.6)) b.do(addSignal(b.piece, "passed").change);
    addLayers(dice, b);
    addCopies(dice, b, components);
    if (dice.chance(0.4)) addOption(b);
    components.push(id);
  }
  const screens = ["Bay", "Notice"].map((name) => {
    const id = b.new("screen", name);
    addTraits(dice, b);
    addLayers(dice, b);
    addCopies(dice, b, components);
    return id;
  });
  for (const id of [...components, ...screens]) {
    b.on(id);
    for (let n = dice.whole(2, 8); n > 0; n--) addRandomRule(dice, b);
  }
  return { project: b.project, screens };
};

const addOption = (b: Builder): void => {
  const layer = pickOrFirst(layersOf(b.piece, ["text"]));
  b.do({
    label: "x",
    ops: [
      {
        op: "set",
        path: ["pieces", b.at, "options", "words"],
        value: { id: "words", name: "Words", order: "a0", layer, key: "text" },
      },
    ],
  });
};

const pickOrFirst = (list: readonly Id[]): Id => list[0] ?? ROOT;

/** The layers that can be met in a state, as inputs name them. */
const layersIn = (project: Project, state: State): string[] =>
  liveCopies(project, state).flatMap(({ path, piece }) =>
    Object.keys(piece.layers).map((layer) => `${path}/${layer}`.slice(state.screen.length + 1)),
  );

/** An input of whatever kind, or how many ms pass. */
export const anyInput = (
  dice: Dice,
  project: Project,
  state: State,
  screens: readonly Id[],
): Input | number => {
  const layer = pickOr(dice, layersIn(project, state), ROOT);
  const kind = dice.whole(0, 39);
  if (kind < 10) return { type: "over", layer: dice.chance(0.1) ? null : layer };
  if (kind < 17) return { type: "down" };
  if (kind < 24) return { type: "up" };
  if (kind < 29) return dice.pick([0, 20, 60, 150, 350, 700]);
  if (kind < 31) return { type: "move", x: dice.whole(0, 200), y: dice.whole(0, 80) };
  if (kind < 33) return { type: "focus", layer: dice.chance(0.2) ? null : layer };
  if (kind < 35)
    return {
      type: "key",
      key: dice.pick(["Enter", " ", "a", "Escape", "Backspace", "ArrowDown"]),
      phase: dice.pick(["down", "up"]),
    };
  if (kind === 35) return { type: "click", layer };
  if (kind === 36)
    return dice.pick<Input>([
      { type: "cancel" },
      { type: "back" },
      { type: "answer", well: dice.chance(0.5) },
      { type: "scroll", layer, to: dice.whole(0, 90) },
    ]);
  if (kind === 37) return { type: "fill", layer, text: dice.pick(["upper", "lower", "Ada"]) };
  if (kind === 38)
    return {
      type: "seen",
      layers: chainOf(project, state, layer).map((p) => p.slice(state.screen.length + 1)),
    };
  return pickJump(dice, project, state, screens);
};

const pickJump = (dice: Dice, project: Project, state: State, screens: readonly Id[]): Input => {
  const screen = pickOr(dice, screens, "");
  if (dice.chance(0.3)) return { type: dice.chance(0.5) ? "screen" : "overlay", screen };
  const live = some(liveCopies(project, state));
  const at = live && dice.pick(live);
  const trait = at && some(inOrder(at.piece.traits));
  if (!at || !trait) return { type: "back" };
  const { id, values } = dice.pick(trait);
  const value = pickOr(dice, Object.keys(values), "");
  return { type: "show", at: at.path, trait: id, value };
};
