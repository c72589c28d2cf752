import { entryOf } from "../../basics";
import type { Id } from "../../basics";
import type { Piece, Project, Variant } from "../../project";
import type { TraitSet } from "../events";
import { instanceIn, steeredInstances } from "../piece";
import type { Ask } from "../rules/asks";
import { contest } from "../rules/contest";
import { targetValue } from "../rules/target";
import type { ActiveInstance } from "../types";
import { layersWith } from "../saying";
import { both, membersOf } from "./bits";
import type { Bits } from "./bits";
import type { Group, NumberedRule } from "./plan";

/** The rules of a layer that answer an ask and may: those that fire, and those that lose, to which. */
export interface Answer {
  readonly rules: readonly NumberedRule[];
  readonly wins: readonly NumberedRule[];
  readonly losses: readonly { readonly rule: Id; readonly to: Id }[];
}

export type Sets = Readonly<Record<Id, Id>>;

/** What comes of setting traits of a copy. */
export interface Written {
  readonly variant: Variant;
  /** the traits that are others now */
  readonly sets: readonly TraitSet[];
  /** copies inside whose instances say other traits in the new variant */
  readonly steered: readonly {
    readonly layer: Id;
    readonly component: Piece;
    readonly start: Variant;
    readonly sets: Sets;
  }[];
}

const none: readonly NumberedRule[] = [];
const nobody: Answer = { rules: none, wins: none, losses: [] };

/** Which of some rules fire together, and which lose. */
export const contested = (rules: readonly NumberedRule[]): Answer => {
  if (rules.length === 0) return nobody;
  if (rules.length === 1) return { rules, wins: rules, losses: [] };
  const { wins, losses } = contest(rules.map((r) => r.rule));
  return {
    rules,
    wins: rules.filter((r) => wins.includes(r.rule)),
    losses: losses.map(({ rule, to }) => ({ rule: rule.id, to: to.id })),
  };
};

/** The rules of a piece, as its variants ask for them. */
export interface Answering {
  readonly project: Project;
  readonly piece: Piece;
  readonly rules: readonly NumberedRule[];
  /** the rules whose condition a variant meets */
  meeting(variant: Variant): Bits;
  /** the rules of layers that answer an ask, in whatever variant */
  answering(ask: Ask): ReadonlyMap<Id, Bits> | undefined;
  /** what is known of a variant; equal ones have one row */
  row(variant: Variant): VariantRow;
}

/** What is known of one variant of a piece; found once, when it is first asked for. */
export class VariantRow {
  /** the rules whose condition it meets */
  private readonly open: Bits;
  private readonly answers = new Map<Ask, Map<Id, Answer>>();
  private readonly setsOfGroups = new Map<Group, Sets>();
  private readonly writtenBySets = new Map<Sets, Written>();
  private readonly writtenByContent = new Map<string, Written>();
  private delaying: readonly NumberedRule[] | undefined;
  private plays: boolean | undefined;

  constructor(
    readonly table: Answering,
    readonly variant: Variant,
  ) {
    this.open = table.meeting(variant);
  }

  private rulesIn(bits: Bits): readonly NumberedRule[] {
    return membersOf(both(bits, this.open)).flatMap((i) => this.table.rules[i] ?? []);
  }

  isMet({ number }: NumberedRule): boolean {
    return (((this.open[number >>> 5] ?? 0) >>> (number & 31)) & 1) === 1;
  }

  /** Who answers an ask on a layer. */
  answer(ask: Ask, layer: Id): Answer {
    let byLayer = this.answers.get(ask);
    if (!byLayer) this.answers.set(ask, (byLayer = new Map<Id, Answer>()));
    const known = byLayer.get(layer);
    if (known) return known;
    const bits = this.table.answering(ask)?.get(layer);
    const answer = bits ? contested(this.rulesIn(bits)) : nobody;
    byLayer.set(layer, answer);
    return answer;
  }

  /** The rules that begin to wait. */
  get delays(): readonly NumberedRule[] {
    this.delaying ??= this.table.rules.filter(
      (r) => r.rule.trigger.type === "delay" && this.isMet(r),
    );
    return this.delaying;
  }

  /** Whether a clip is part of it. */
  get hasClips(): boolean {
    const live: ActiveInstance = { path: "", piece: this.table.piece, variant: this.variant };
    this.plays ??= layersWith(this.table.project, live, "plays").length > 0;
    return this.plays;
  }

  /** The values a group of settings gives traits here. */
  setsOf(group: Group): Sets {
    const known = this.setsOfGroups.get(group);
    if (known) return known;
    const sets = Object.fromEntries(
      group.settings.flatMap(({ trait, to }) => {
        const value = targetValue(this.table.piece, this.variant, trait, to);
        return value === null ? [] : [[trait, value]];
      }),
    );
    this.setsOfGroups.set(group, sets);
    return sets;
  }

  /** What comes of setting traits here. */
  write(sets: Sets): Written {
    let content = "";
    for (const trait in sets) content += `${trait} ${sets[trait]} `;
    return entryOf(this.writtenByContent, content, () => this.findWritten(sets));
  }

  /** The same, for values that are one object as long as they are the same. */
  writeKnown(sets: Sets): Written {
    const known = this.writtenBySets.get(sets);
    if (known) return known;
    const written = this.write(sets);
    this.writtenBySets.set(sets, written);
    return written;
  }

  private findWritten(sets: Sets): Written {
    const { project, piece } = this.table;
    const after = this.table.row({ ...this.variant, ...sets }).variant;
    const steered = steeredInstances(piece).flatMap((layer) => {
      const was = instanceIn(project, piece, this.variant, layer);
      const is = instanceIn(project, piece, after, layer);
      if (!was || !is) return [];
      const said = Object.entries(is.said).filter(([t, v]) => was.said[t] !== v);
      return said.length === 0
        ? []
        : [
            {
              layer: layer.id,
              component: is.component,
              start: was.start,
              sets: Object.fromEntries(said),
            },
          ];
    });
    const list = Object.entries(sets)
      .map(([trait, to]) => ({ trait, from: this.variant[trait] ?? "", to }))
      .filter((s) => s.from !== s.to);
    return { variant: after, sets: list, steered };
  }
}
