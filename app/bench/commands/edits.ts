import { useMemo } from "react";
import type { Id } from "#core/basics";
import {
  clearValue,
  duplicateLayers,
  isFitting,
  moveSaying,
  namesFollowing,
  pasteRules,
  removeLayers,
  rulesAbout,
  rulesAlong,
  setValues,
  settleFrame,
  topmost,
  wayBeside,
} from "#core/edit";
import type { Edits, RuleClip } from "#core/edit";
import { boundsIn, layout, unite } from "#core/layout";
import {
  Resolver,
  childrenOf,
  conditionText,
  exactly,
  originOf,
  suggestedScope,
  valuesIn,
} from "#core/looks";
import { ROOT, newId } from "#core/project";
import type { Change, Condition, Piece, Project, Variant } from "#core/project";
import { labelOf } from "#core/properties";
import type { Value } from "#core/properties";
import { PATIENCE } from "../../session/session";
import { activeOf } from "../state/active";
import { useWorkpiece } from "../state/context";
import type { BenchState } from "../state/state";
import type { Workpiece } from "../state/workpiece";
import { commandsWords } from "./words";

/** How far a duplicate goes aside where nothing says a way; px. */
const ASIDE = 12;

/** What one look says about a property of a layer. */
interface Said {
  readonly look: Id;
  readonly layer: Id;
  readonly key: string;
}

/** The edits made from several places of the bench: stage, sheet, keys. */
export class BenchEdits {
  constructor(private readonly workpiece: Workpiece) {}

  private get state(): BenchState {
    return this.workpiece.state;
  }

  /**
   * Says values in the present scope; tells when a more specific look hides them in the card one
   * looks at.
   */
  set(given: Edits, gesture: string | null = null, patience?: number): void {
    const edits = this.withBorder(given);
    const done = this.workpiece.run(
      (project, piece) => this.saying(project, piece, activeOf(piece, this.state).whens, edits),
      gesture,
      patience,
    );
    if (done) this.tellHidden(edits);
  }

  /** Says values; layers nobody has named are called after what they show then. */
  private saying(
    project: Project,
    piece: Piece,
    whens: readonly Condition[],
    edits: Edits,
  ): Change | null {
    const change = setValues(piece, whens, edits);
    const isForAll = whens.some((when) => Object.keys(when).length === 0);
    const names = change && isForAll ? namesFollowing(project, piece, edits) : [];
    return change && names.length ? { ...change, ops: [...change.ops, ...names] } : change;
  }

  /** A border that is given a colour gets a width, where it has none. */
  private withBorder(edits: Edits): Edits {
    const { piece, active, project } = this.workpiece;
    if (!piece || !active) return edits;
    const widthOf = (id: Id): unknown => {
      const layer = piece.layers[id];
      return layer && valuesIn(project, piece, active.variant, layer).borderWidth;
    };
    return Object.fromEntries(
      Object.entries(edits).map(([id, values]) => {
        const { borderColour, borderWidth } = values;
        const isGiven = borderColour !== undefined && borderColour !== "none";
        const needs = isGiven && borderWidth === undefined && widthOf(id) === 0;
        return [id, needs ? { ...values, borderWidth: 1 } : values];
      }),
    );
  }

  /** What more specific looks say on the chosen cards instead of what was just set. */
  private hiding(edits: Edits): Said[] {
    const { piece, active, project } = this.workpiece;
    const found: Said[] = [];
    if (!piece || !active || Object.keys(piece.traits).length === 0) return found;
    const note = (layer: Id, key: string, value: unknown): void => {
      const own = piece.layers[layer];
      for (const variant of own ? active.variants : []) {
        const origin = own && originOf(project, piece, variant, own, key);
        if (!origin || origin.from === null) continue;
        if (JSON.stringify(origin.value) === JSON.stringify(value)) continue;
        const said = { look: origin.from, layer, key };
        if (!found.some((f) => JSON.stringify(f) === JSON.stringify(said))) found.push(said);
      }
    };
    for (const [layer, values] of Object.entries(edits))
      for (const [key, value] of Object.entries(values)) note(layer, key, value);
    return found;
  }

  /**
   * An edit that a more specific look hides on a chosen card says so, and offers to clear what
   * hides it.
   */
  private tellHidden(edits: Edits): void {
    const { piece } = this.workpiece;
    const hiding = this.hiding(edits);
    const [first] = hiding;
    if (!piece || !first) {
      if (this.state.hint !== null) this.state.tell(null);
      return;
    }
    const words = conditionText(piece, piece.looks[first.look]?.when ?? {});
    const label = labelOf(first.key) ?? "value";
    this.offer(commandsWords.changedButCardKeeps(label, words), commandsWords.clearOwnValue, () => {
      this.clearAll(hiding);
      this.state.tell(null);
    });
  }

  /**
   * Says values for exactly some variants, whatever cards are chosen; one step of undo with others
   * of the same gesture.
   */
  setIn(variants: readonly Variant[], edits: Edits, gesture: string | null = null): void {
    const [first] = variants;
    if (!first) return;
    this.workpiece.run((_, piece) => {
      const whens = variants.length > 1 ? exactly(piece, variants) : [suggestedScope(piece, first)];
      return setValues(piece, whens, edits);
    }, gesture);
  }

  /** Says values for every variant; one step of undo with others of the same gesture. */
  setForAll(edits: Edits, gesture: string | null = null): void {
    this.workpiece.run((project, piece) => this.saying(project, piece, [{}], edits), gesture);
  }

  /** Says what a look says elsewhere: in a wider scope or a narrower one. */
  move(layerIds: readonly Id[], keys: readonly string[], look: Id, to: Condition): void {
    this.workpiece.run((_, piece) => moveSaying(piece, look, layerIds, keys, to));
  }

  /**
   * Takes back what looks say about properties, so that they are inherited again; one step of undo.
   */
  clearAll(list: readonly Said[]): void {
    const gesture = `clear ${newId()}`;
    for (const { look, layer, key } of list)
      this.workpiece.run(
        (_, piece) =>
          piece.looks[look]?.changes[layer]?.[key] === undefined
            ? null
            : clearValue(piece, look, layer, key),
        gesture,
      );
    this.endGesture();
  }

  /** Ends a gesture: what follows is a step of undo of its own. */
  endGesture(): void {
    this.workpiece.session.endGesture();
  }

  /** Tells something beside the scope, until it is closed or the next edit. */
  note(text: string): void {
    this.state.tell({ text, offer: null });
  }

  /** Tells something and offers to do something about it. */
  offer(text: string, label: string, run: () => void): void {
    this.state.tell({ text, offer: { label, run } });
  }

  /**
   * Brings layers that were put beyond the corner of a frame that fits them back into it, where the
   * edits reach every variant; one step of undo with the rest of the gesture.
   */
  settleFrame(gesture: string | null): void {
    const { piece, active, project, scenes } = this.workpiece;
    const everywhere = active?.whens.every((when) => Object.keys(when).length === 0);
    if (!piece || !active || !everywhere || !scenes.env || !isFitting(piece)) return;
    const tree = new Resolver().tree(project, piece.id, active.variant);
    const bounds = tree && boundsIn(layout(scenes.env, tree));
    const inside = (childrenOf(piece).get(ROOT) ?? []).flatMap((l) => bounds?.get(l.id) ?? []);
    const around = unite(inside);
    if (around) this.workpiece.run((_, now) => settleFrame(now, around), gesture);
  }

  /** Moves layers by px of what they lie in. */
  nudge(ids: readonly Id[], dx: number, dy: number): void {
    const { piece, active, project } = this.workpiece;
    if (!piece || !active) return;
    const edits = Object.fromEntries(
      topmost(piece, ids).map((id) => {
        const layer = piece.layers[id];
        const next: Record<string, Value> = {};
        if (!layer) return [id, next];
        const { x, y } = valuesIn(project, piece, active.variant, layer);
        if (dx) next.x = x + dx;
        if (dy) next.y = y + dy;
        return [id, next];
      }),
    );
    if (Object.keys(edits).length) this.set(edits, `nudge ${ids.join()}`, PATIENCE);
  }

  private wayBetween(a: Id | undefined, b: Id | undefined): { dx: number; dy: number } | null {
    const { piece, active, project } = this.workpiece;
    const one = piece?.layers[a ?? ""];
    const two = piece?.layers[b ?? ""];
    if (!piece || !active || !one || !two) return null;
    const v = valuesIn(project, piece, active.variant, one);
    const w = valuesIn(project, piece, active.variant, two);
    const dx = w.x - v.x;
    const dy = w.y - v.y;
    return dx || dy ? { dx, dy } : null;
  }

  /** The way from layers to their first duplicate. */
  private wayBeside(piece: Piece, tops: readonly Id[]): { dx: number; dy: number } | null {
    const { scene } = this.workpiece;
    const bounds = scene && boundsIn(scene);
    const parent = piece.layers[tops[0] ?? ""]?.parent;
    if (!bounds || parent == null) return null;
    const beside = (childrenOf(piece).get(parent) ?? []).filter((l) => !tops.includes(l.id));
    const isRoomy = parent === ROOT && isFitting(piece);
    return wayBeside(
      tops.flatMap((id) => bounds.get(id) ?? []),
      beside.flatMap((l) => bounds.get(l.id) ?? []),
      isRoomy ? null : (bounds.get(parent) ?? null),
    );
  }

  /** Removes layers with all that lies in them. */
  remove(ids: readonly Id[]): void {
    const done = this.workpiece.run((_, piece) =>
      topmost(piece, ids).length ? removeLayers(piece, ids) : null,
    );
    if (done) this.state.choose([]);
  }

  /**
   * Duplicates layers beside or below themselves; duplicates of the duplicates go by the same way
   * again, also after they were moved.
   */
  duplicate(ids: readonly Id[], by?: number): readonly Id[] {
    const { piece } = this.workpiece;
    const tops = piece ? topmost(piece, ids) : [];
    if (!piece || tops.length === 0) return [];
    const { lastCopy } = this.state;
    const repeat =
      by === undefined && lastCopy?.made.join() === tops.join()
        ? this.wayBetween(lastCopy.of[0], lastCopy.made[0])
        : null;
    const aside = { dx: by ?? ASIDE, dy: by ?? ASIDE };
    const way = repeat ?? (by === undefined ? this.wayBeside(piece, tops) : null) ?? aside;
    const made = this.workpiece.make((_, now) => duplicateLayers(now, tops, way));
    if (!made) return [];
    this.state.noteCopy({ of: tops, made: made.ids });
    this.state.choose(made.ids);
    this.askForRules(piece, made.twins);
    return made.ids;
  }

  /**
   * Duplicated layers do nothing yet: asks once whether what is said about the originals shall be
   * said about them too.
   */
  private askForRules(piece: Piece, twins: ReadonlyMap<Id, Id>): void {
    const n = rulesAbout(piece, [...twins.keys()]).length;
    if (n === 0) return;
    this.offer(
      commandsWords.duplicatedWithoutOriginals(n),
      n === 1 ? commandsWords.copyRuleToo : commandsWords.copyRulesToo,
      () => {
        const along = this.workpiece.make((_, now) => rulesAlong(now, twins));
        if (along) this.state.showRules(along.ids);
      },
    );
  }

  /** Adds copied rules; with rules that name what is not here, says so. */
  pasteRules(clip: RuleClip): void {
    const made = this.workpiece.make((_, piece) => pasteRules(piece, clip));
    if (made) this.state.showRules(made.ids);
  }
}

export const useEdits = (): BenchEdits => {
  const workpiece = useWorkpiece();
  return useMemo(() => new BenchEdits(workpiece), [workpiece]);
};
