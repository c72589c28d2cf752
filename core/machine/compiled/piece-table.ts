import { entryOf } from "../../basics";
import type { Id } from "../../basics";
import { ROOT } from "../../project";
import type { Piece, Project, Variant } from "../../project";
import { rulesOf } from "../piece";
import { answeredBy } from "../rules/asks";
import type { Ask } from "../rules/asks";
import { triggerOf } from "../rules/triggers";
import { bitsOf, both } from "./bits";
import type { Bits } from "./bits";
import { planOf } from "./plan";
import type { NumberedRule } from "./plan";
import { VariantRow } from "./variant-row";
import type { Answering } from "./variant-row";

/** The rules of a piece by what they are asked, by layer and by the values they ask for. */
export class PieceTable implements Answering {
  readonly rules: readonly NumberedRule[];
  readonly hasDelays: boolean;
  readonly waitsForRest: boolean;
  /** layers with rules that come some time after a press */
  readonly afterPress: ReadonlySet<Id>;
  private readonly asked = new Map<Ask, Map<Id, Bits>>();
  /** for each trait some condition names and each value it names: the rules that may fire there */
  private readonly allowed = new Map<Id, Map<Id, Bits>>();
  /** for each trait some condition names: the rules that do not ask for it */
  private readonly indifferent = new Map<Id, Bits>();
  private readonly rowsByContent = new Map<string, VariantRow>();
  private readonly rowsByVariant = new WeakMap<Variant, VariantRow>();

  constructor(
    readonly project: Project,
    readonly piece: Piece,
  ) {
    const rules = rulesOf(project, piece);
    this.rules = rules.map((rule, number) => ({ number, rule, plan: planOf(rule) }));
    this.hasDelays = rules.some((r) => r.trigger.type === "delay");
    this.waitsForRest = rules.some((r) => r.trigger.type === "settled");
    const late = rules.filter((r) => triggerOf(r).afterPress);
    this.afterPress = new Set(late.map((r) => r.source ?? ROOT));
    for (const ask of new Set(rules.flatMap(answeredBy))) this.asked.set(ask, this.byLayer(ask));
    for (const trait of new Set(rules.flatMap((r) => Object.keys(r.when)))) this.index(trait);
  }

  private byLayer(ask: Ask): Map<Id, Bits> {
    const answering = this.rules.filter(({ rule }) => answeredBy(rule).includes(ask));
    const layers = new Set(answering.map(({ rule }) => rule.source ?? ROOT));
    const isOn = (i: number, layer: Id) =>
      answering.some(({ number, rule }) => number === i && (rule.source ?? ROOT) === layer);
    return new Map([...layers].map((l) => [l, this.rulesThat((i) => isOn(i, l))]));
  }

  private index(trait: Id): void {
    const wanted = this.rules.map(({ rule }) => rule.when[trait]);
    const values = new Set(wanted.flatMap((w) => w ?? []));
    const allows = (value: Id) => (i: number) => wanted[i]?.includes(value) ?? true;
    const byValue = new Map([...values].map((v) => [v, this.rulesThat(allows(v))]));
    this.allowed.set(trait, byValue);
    this.indifferent.set(
      trait,
      this.rulesThat((i) => wanted[i] === undefined),
    );
  }

  private rulesThat(isIn: (number: number) => boolean): Bits {
    return bitsOf(this.rules.length, isIn);
  }

  /** The rules whose condition a variant meets. */
  meeting(variant: Variant): Bits {
    let open = this.rulesThat(() => true);
    for (const [trait, byValue] of this.allowed) {
      const allowed = byValue.get(variant[trait] ?? "") ?? this.indifferent.get(trait);
      if (allowed) open = both(open, allowed);
    }
    return open;
  }

  /** The rules of layers that answer an ask, in whatever variant; undefined where none does. */
  answering(ask: Ask): ReadonlyMap<Id, Bits> | undefined {
    return this.asked.get(ask);
  }

  /** What is known of a variant; equal variants have one row. */
  row(variant: Variant): VariantRow {
    const known = this.rowsByVariant.get(variant);
    if (known) return known;
    const content = JSON.stringify(Object.entries(variant).sort(([a], [b]) => (a < b ? -1 : 1)));
    const row = entryOf(this.rowsByContent, content, () => new VariantRow(this, variant));
    this.rowsByVariant.set(variant, row);
    return row;
  }
}
