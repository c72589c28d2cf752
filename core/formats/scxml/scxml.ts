import type { Id } from "../../basics";
import { ruleText } from "../../describe";
import { restOf, specificity, traitsOf, valuesOf } from "../../looks";
import { ancestry, claimOf, contest, rulesOf, targetValue, triggerOf } from "../../machine";
import { ROOT } from "../../project";
import type { Condition, Piece, Project, Rule, Trait } from "../../project";
import { contentOf } from "./effects";
import { eventsOf } from "./triggers";
import { escape } from "./xml";

/**
 * A piece's behaviour as State Chart XML (W3C Recommendation of 1 September 2015). One parallel
 * region for each trait, one state for each value; a rule is a transition in the region of every
 * trait it sets, its condition is said with In(). What the events are called, and what lies outside
 * of the file, is written down in docs/scxml.md.
 */
export const writeScxml = (project: Project, piece: Piece): string =>
  new Chart(project, piece).text();

/** The event with which what a contact did goes back. */
const ending = { hover: "leave", focus: "blur", press: "letgo" } as const;
const endOf = (rule: Rule): "leave" | "blur" | "letgo" | null => {
  const { contact } = triggerOf(rule);
  return rule.undo && contact ? ending[contact] : null;
};

/** A name as the attribute wants it, an NMTOKEN; and one that may stand in programs too. */
const nameToken = (name: string): string => `piece_${name.replaceAll(/[^A-Za-z0-9]+/g, "_")}`;
const quote = (text: string): string =>
  `'${text.replaceAll("\\", "\\\\").replaceAll("'", "\\'").replaceAll("\n", "\\n")}'`;
const stateId = (trait: Id, value: Id): string => `V_${trait}.${value}`;
const all = (parts: readonly string[]): string =>
  parts.filter((p) => p !== "true").join(" && ") || "true";

/** A rule that answers an event, and the expression of when it does. */
interface Answer {
  readonly rule: Rule;
  readonly event: string;
  readonly when: string;
  /** the layer whose contact it is */ readonly layer: Id;
}

class Chart {
  private readonly rules: readonly Rule[];
  private readonly traits: readonly Trait[];
  private readonly answers: readonly Answer[];

  constructor(
    private readonly project: Project,
    private readonly piece: Piece,
  ) {
    this.rules = rulesOf(project, piece).filter((r) => r.trigger.type !== "drag");
    this.traits = traitsOf(piece);
    this.answers = this.events().flatMap(({ event, takers }) => this.taken(event, takers));
  }

  text(): string {
    const regions = [
      ...this.traits.map((t) => this.region(t)),
      ...this.rules.filter((r) => r.trigger.type === "delay").map((r) => this.wait(r)),
      this.doing(),
    ];
    return [
      '<?xml version="1.0" encoding="UTF-8"?>',
      `<!-- ${escape(this.piece.name).replaceAll("--", "- -")}: made by Nubble. The events are described in docs/scxml.md. -->`,
      `<scxml xmlns="http://www.w3.org/2005/07/scxml" version="1.0" datamodel="ecmascript" initial="piece" name="${nameToken(this.piece.name)}">`,
      `<script>${escape(books)}</script>`,
      '<parallel id="piece">',
      ...regions,
      "</parallel>",
      "</scxml>",
      "",
    ].join("\n");
  }

  /**
   * Every event of the piece, with the layers that may take it, innermost first, and their rules.
   */
  private events(): { event: string; takers: { layer: Id; rules: Rule[] }[] }[] {
    const out = new Map<string, { event: string; takers: { layer: Id; rules: Rule[] }[] }>();
    const layers = sourcesOf(this.rules);
    const groups = new Map<string, Rule[]>();
    for (const r of this.rules)
      for (const key of kindsOf(r)) {
        const list = groups.get(key);
        if (list) list.push(r);
        else groups.set(key, [r]);
      }
    for (const [kind, list] of groups) {
      const [first] = list;
      if (!first) continue;
      const { of, climbs, name: usual } = eventsOf(first);
      const name = kind === RING ? (_rule: Rule, layer: Id) => `ring.${layer}` : usual;
      if (of === "rule") {
        for (const r of list) {
          const layer = r.source ?? ROOT;
          out.set(r.id, { event: name(r, layer), takers: [{ layer, rules: [r] }] });
        }
        continue;
      }
      if (of === "piece") {
        const event = name(first, ROOT);
        out.set(event, { event, takers: [{ layer: ROOT, rules: list }] });
        continue;
      }
      const at = (layer: Id) => ({
        layer,
        rules: list.filter((r) => (r.source ?? ROOT) === layer),
      });
      for (const layer of climbs ? layers : sourcesOf(list)) {
        const takers = (climbs ? ancestry(this.piece, layer) : [layer])
          .map(at)
          .filter((t) => t.rules.length);
        const event = name(first, layer);
        const known = out.get(event);
        if (!takers.length) continue;
        if (known)
          out.set(event, {
            event,
            takers: [
              {
                layer,
                rules: [
                  ...known.takers.flatMap((t) => t.rules),
                  ...takers.flatMap((t) => t.rules),
                ].sort((a, b) => this.rules.indexOf(a) - this.rules.indexOf(b)),
              },
            ],
          });
        else out.set(event, { event, takers });
      }
    }
    return [...out.values()];
  }

  /**
   * When each rule answers an event: no layer further in takes it, and no better rule wants the
   * same.
   */
  private taken(event: string, takers: readonly { layer: Id; rules: readonly Rule[] }[]): Answer[] {
    const out: Answer[] = [];
    const inner: string[] = [];
    for (const { layer, rules } of takers) {
      for (const rule of rules) {
        const own = all([
          ...inner.map((e) => `!(${e})`),
          this.wins(rule, rules),
          ...(eventsOf(rule).unlessHeld ? ["!held"] : []),
        ]);
        out.push({ rule, event, when: own, layer });
      }
      inner.push(`(${rules.map((r) => this.enabled(r)).join(" || ")})`);
    }
    return out;
  }

  /** When a rule may answer; one for a focus that is shown only while that is so. */
  private enabled({ when, trigger }: Rule): string {
    const wantsShown =
      (trigger.type === "focus" || trigger.type === "blur") && trigger.by !== "any";
    return all([this.condition(when), ...(wantsShown ? ["shown"] : [])]);
  }

  private condition(when: Condition): string {
    return all(
      Object.entries(when).map(([t, values]) =>
        values.length === 0
          ? "false"
          : `(${values.map((v) => `In(${quote(stateId(t, v))})`).join(" || ")})`,
      ),
    );
  }

  /**
   * A rule wins when it may and none that is ranked before it, and wants something of the same,
   * does.
   */
  private wins(rule: Rule, rules: readonly Rule[]): string {
    const before = (a: Rule, b: Rule) =>
      specificity(b.when) - specificity(a.when) || rules.indexOf(a) - rules.indexOf(b);
    const wanted = new Set(rule.effects.map(claimOf).filter((claim) => claim !== null));
    const better = rules.filter(
      (r) =>
        r !== rule &&
        before(r, rule) < 0 &&
        contest([r, rule]).losses.length > 0 &&
        r.effects.some((e) => wanted.has(claimOf(e) ?? "")),
    );
    return all([this.enabled(rule), ...better.map((r) => `!(${this.wins(r, rules)})`)]);
  }

  private region(trait: Trait): string {
    const states = valuesOf(trait).map((v) => {
      const id = stateId(trait.id, v.id);
      return `    <state id="${id}"><!-- ${escape(v.name).replaceAll("--", "- -")} -->\n${[...this.goings(trait, v.id), ...this.returns(trait, v.id)].map((t) => `      ${t}`).join("\n")}\n    </state>`;
    });
    return `  <state id="T_${trait.id}" initial="${stateId(trait.id, restOf(trait))}"><!-- ${escape(trait.name).replaceAll("--", "- -")} -->\n${states.join("\n")}\n  </state>`;
  }

  /** What rules do to a trait while it has a value. */
  private goings(trait: Trait, value: Id): string[] {
    return this.answers.flatMap(({ rule, event, when, layer }) => {
      let to: Id | null = null;
      for (const e of rule.effects)
        if (e.type === "set" && e.trait === trait.id)
          to = targetValue(this.piece, { [trait.id]: to ?? value }, trait.id, e.to);
      if (to === null) return [];
      const cause = endOf(rule);
      const keep = cause
        ? `hold(${quote(trait.id)}, ${quote(value)}, ${quote(cause === "letgo" ? "letgo" : `${cause}.${layer}`)})`
        : `write(${quote(trait.id)})`;
      return [
        `<transition event="${event}" cond="${escape(when)}"${to === value ? "" : ` target="${stateId(trait.id, to)}"`}><script>${keep}</script></transition>`,
      ];
    });
  }

  /** What goes back when a contact ends. */
  private returns(trait: Trait, value: Id): string[] {
    const ends = new Set(
      this.answers.flatMap(({ rule, layer }) => {
        const end = endOf(rule);
        return end && rule.effects.some((e) => e.type === "set" && e.trait === trait.id)
          ? [end === "letgo" ? "letgo" : `${end}.${layer}`]
          : [];
      }),
    );
    return [...ends].flatMap((event) => [
      ...valuesOf(trait)
        .filter((v) => v.id !== value)
        .map(
          (v) =>
            `<transition event="${event}" cond="back(${quote(trait.id)}, ${quote(event)}) === ${quote(v.id)}" target="${stateId(trait.id, v.id)}"><script>end(${quote(trait.id)}, ${quote(event)})</script></transition>`,
        ),
      `<transition event="${event}"><script>end(${quote(trait.id)}, ${quote(event)})</script></transition>`,
    ]);
  }

  /**
   * A wait: it begins when its condition becomes true, is dropped when it stops being true, and
   * ends once each time.
   */
  private wait(rule: Rule): string {
    const when = escape(this.condition(rule.when));
    const id = `W_${rule.id}`;
    return `  <state id="${id}" initial="${id}.idle"><!-- ${escape(ruleText(this.project, this.piece, rule)).replaceAll("--", "- -")} -->
    <state id="${id}.idle"><transition cond="${when}" target="${id}.waiting"/></state>
    <state id="${id}.waiting">
      <onentry><send event="due.${rule.id}" delay="${rule.trigger.ms ?? 0}ms" id="${id}.send"/></onentry>
      <onexit><cancel sendid="${id}.send"/></onexit>
      <transition cond="!(${when})" target="${id}.idle"/>
      <transition event="due.${rule.id}" target="${id}.over"/>
    </state>
    <state id="${id}.over"><transition cond="!(${when})" target="${id}.idle"/></state>
  </state>`;
  }

  /** What rules do beside setting traits, and what a contact's end tells. */
  private doing(): string {
    const out: string[] = [];
    for (const { rule, event, when } of this.answers) {
      const does = rule.effects.flatMap((e) => contentOf(e, this.project, this.piece) ?? []);
      if (rule.trigger.type === "hold") does.unshift("<script>held = true</script>");
      if (does.length)
        out.push(
          `<transition event="${event}" cond="${escape(when)}">${does.join("")}</transition>`,
        );
    }
    // the layer is left before what listens for that hears of it, and what a contact did has then
    // gone back
    for (const layer of sourcesOf(this.rules))
      for (const end of ["leave", "blur"])
        if (this.rules.some((r) => r.trigger.type === end && (r.source ?? ROOT) === layer))
          out.push(
            `<transition event="${end}.${layer}"><raise event="${end === "leave" ? "left" : "blurred"}.${layer}"/></transition>`,
          );
    for (const r of this.rules)
      if (r.trigger.type === "hold")
        out.push(
          `<transition event="press.${r.source ?? ROOT}" cond="${escape(this.condition(r.when))}"><send event="held.${r.id}" delay="${r.trigger.ms ?? 0}ms" id="H_${r.id}"/></transition>`,
        );
    const cancels = this.rules
      .filter((r) => r.trigger.type === "hold")
      .map((r) => `<cancel sendid="H_${r.id}"/>`)
      .join("");
    out.push(
      '<transition event="focusshown"><script>shown = true</script></transition>',
      '<transition event="focushidden"><script>shown = false</script></transition>',
    );
    out.push(`<transition event="letgo"><script>held = false</script>${cancels}</transition>`);
    return `  <state id="does">\n${out.map((t) => `    ${t}`).join("\n")}\n  </state>`;
  }
}

/** Layers with rules; events name the innermost of them. */
const sourcesOf = (rules: readonly Rule[]): Id[] => [
  ...new Set(rules.map((r) => r.source ?? ROOT)),
];

/** What rules for a focus that is shown answer, too: one that is there is shown from now on. */
const RING = "ring";

/** Rules of one kind answer the same events. */
const kindsOf = ({ trigger }: Rule): string[] => {
  if (trigger.type === "key") return [`key ${trigger.key}`];
  if (trigger.type === "signal") return [`signal ${trigger.signal}`];
  return trigger.type === "focus" && trigger.by !== "any" ? ["focus", RING] : [trigger.type];
};

/**
 * Who wrote a trait last, and what it was before contacts that shall be undone; the same
 * bookkeeping as the machine's.
 */
const books = `
var held = false, shown = false, serial = 0, writers = {}, holds = [];
function write(trait) { writers[trait] = ++serial; }
function hold(trait, was, cause) { var before = writers[trait] || 0; write(trait); holds.push({ trait: trait, cause: cause, serial: serial, was: was, writer: before }); }
function ended(trait, cause) {
  var list = holds.map(function (h) { return { trait: h.trait, cause: h.cause, serial: h.serial, was: h.was, writer: h.writer }; }), writer = writers[trait] || 0, value = null;
  for (var i = list.length - 1; i >= 0; i--) {
    var h = list[i];
    if (h.trait !== trait || h.cause !== cause) continue;
    list.splice(i, 1);
    if (writer === h.serial) { value = h.was; writer = h.writer; }
    else list.forEach(function (o) { if (o.trait === trait && o.writer === h.serial) { o.was = h.was; o.writer = h.writer; } });
  }
  return { list: list, writer: writer, value: value };
}
function back(trait, cause) { return ended(trait, cause).value; }
function end(trait, cause) { var e = ended(trait, cause); holds = e.list; writers[trait] = e.writer; }
`;
