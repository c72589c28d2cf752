import { describe, expect, it } from "vitest";
import { easingText, effectText, keyName, ruleText, ruleTrouble } from "#core/describe";
import { inOrder, triggerTypes } from "#core/project";
import type { Effect, EffectType, Project, Rule, TriggerType } from "#core/project";
import { keptProject, sampler } from "../../tests/support/kept";

const project = keptProject();
const piece = sampler(project);
const effects = inOrder(piece.rules).flatMap((r) => r.effects);
const byKind = new Map(effects.map((e): [EffectType, Effect] => [e.type, e]));
const withTrigger = new Map(
  inOrder(piece.rules).map((r): [TriggerType, Rule] => [r.trigger.type, r]),
);
const wordsOf = (kind: EffectType, within: Project = project): string | undefined => {
  const effect = byKind.get(kind);
  return effect && effectText(within, sampler(within), effect);
};

describe("what a rule does, in words", () => {
  it.each<[EffectType, string]>([
    ["nested", "in A instance Alerts becomes the opposite value"],
    ["raise", "send departed"],
    ["address", "open https://example.com/ferries"],
    ["go", "go to Ticket"],
    ["back", "go back"],
    ["open", "show Notice as overlay"],
    ["close", "close the overlay"],
    ["clip", "toggle play and pause of A picture"],
    ["seek", "move A picture to 500 ms"],
    ["scroll", "scroll to A text"],
    ["stir", "animate lanes only"],
    ["empty", "reset the form"],
  ])("%s: %s", (kind, words) => {
    expect(wordsOf(kind)).toBe(words);
  });

  it("sets a trait to a value or a step", () => {
    const sets = effects.filter((e) => e.type === "set");
    expect([...new Set(sets.map((e) => effectText(project, piece, e)))]).toEqual([
      "State becomes on",
      "State becomes the next value",
    ]);
  });

  it("calls what is gone deleted", () => {
    const bare: Project = {
      ...project,
      pieces: { sampler: { ...piece, layers: {}, signals: {}, traits: {} } },
    };
    expect(
      (["go", "open", "raise", "clip", "seek", "scroll", "set"] as const).map((k) =>
        wordsOf(k, bare),
      ),
    ).toEqual([
      "go to a deleted screen",
      "show a deleted screen as overlay",
      "send a deleted signal",
      "toggle play and pause of a deleted clip",
      "move a deleted clip to 500 ms",
      "scroll to a deleted layer",
      "set a deleted trait",
    ]);
  });
});

describe("what a rule waits for, in words", () => {
  const head = (type: TriggerType): string | undefined => {
    const rule = withTrigger.get(type);
    return rule && ruleText(project, piece, { ...rule, when: {} }).split(" → ")[0];
  };

  it("says something different for each kind", () => {
    const heads = triggerTypes.map(head);
    expect(heads).not.toContain(undefined);
    expect(new Set(heads).size).toBe(triggerTypes.length);
  });

  it.each<[TriggerType, string]>([
    ["click", "When A box is clicked"],
    ["hold", "When A box is held for 400 ms"],
    ["delay", "After 900 ms"],
    ["settled", "When the piece settles"],
    ["reached", "When A box reaches 1200 ms"],
    ["key", "When A box gets the Enter key"],
    ["drag", "When A box is dragged left 160 px"],
    ["signal", "When A box sends a deleted signal"],
    ["succeeded", "When A box is submitted successfully"],
  ])("%s: %s", (type, words) => {
    expect(head(type)).toBe(words);
  });

  it("calls keys by names one can read", () => {
    expect([" ", "a", "ArrowLeft", "Enter"].map(keyName)).toEqual([
      "Space",
      "A",
      "Arrow Left",
      "Enter",
    ]);
  });
});

describe("why a rule does nothing, in words", () => {
  const without = (kind: EffectType, cut: (p: Project) => Project): string | null => {
    const effect = byKind.get(kind);
    const click = withTrigger.get("click");
    if (!effect || !click) throw new Error(`no ${kind}`);
    const rule: Rule = { ...click, when: {}, effects: [effect] };
    expect(ruleTrouble(project, piece, rule)).toBeNull();
    const after = cut(project);
    return ruleTrouble(after, sampler(after), rule);
  };
  const change =
    (parts: Partial<typeof piece>) =>
    (p: Project): Project => ({
      ...p,
      pieces: { ...p.pieces, sampler: { ...piece, ...parts } },
    });
  const noLayer = (id: string) => {
    const { [id]: _gone, ...layers } = piece.layers;
    return change({ layers });
  };
  const noPiece =
    (id: string) =>
    (p: Project): Project => {
      const { [id]: _gone, ...pieces } = p.pieces;
      return { ...p, pieces };
    };

  it.each<[EffectType, (p: Project) => Project, string]>([
    ["go", noPiece("ticket"), "the screen it goes to was deleted"],
    ["open", noPiece("notice"), "the screen it opens was deleted"],
    ["raise", change({ signals: {} }), "the signal it sends was deleted"],
    ["clip", noLayer("picture"), "the clip it plays was deleted"],
    ["seek", noLayer("picture"), "the clip it plays was deleted"],
    ["scroll", noLayer("text"), "the layer it scrolls to was deleted"],
    ["nested", noLayer("instance"), "the copy it changes was deleted"],
    ["nested", noPiece("alert-switch"), "the copy it changes no longer has this trait"],
  ])("%s", (kind, cut, reason) => {
    expect(without(kind, cut)).toBe(`Does not work: ${reason}.`);
  });

  it.each<EffectType>(["back", "close", "stir", "empty", "address"])(
    "%s needs nothing that could be removed",
    (kind) => {
      const { root } = piece.layers;
      const box = piece.layers.box;
      if (!root || !box) throw new Error("no layers");
      expect(without(kind, change({ layers: { root, box }, signals: {} }))).toBeNull();
    },
  );
});

describe("a curve in words", () => {
  it("is called by its kind and what matters of it", () => {
    expect([
      easingText("ease-out"),
      easingText([0.3, 0, 0.2, 1]),
      easingText({ kind: "steps", count: 4, jump: "end" }),
      easingText({ kind: "bounce", times: 3, keeps: 0.4 }),
      easingText({ kind: "windup", back: 0.2 }),
      easingText({ kind: "spring", mass: 1, stiffness: 100, damping: 20 }),
    ]).toEqual([
      "ease-out",
      "cubic Bézier 0.3 0 0.2 1",
      "4 steps",
      "bounce, 3 times",
      "wind up",
      "spring, no bounce",
    ]);
  });
});
