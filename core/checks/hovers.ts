import type { Id } from "../basics";
import { setRule } from "../edit";
import { rulesOf } from "../machine";
import { ROOT } from "../project";
import type { Rule } from "../project";
import { findingId } from "./types";
import type { Finding, Inspected } from "./types";
import { checksWords } from "./words";

/** What a rule sets for good, by the copy and the trait; "" for the piece itself. */
const setBy = (rule: Rule): string[] =>
  rule.effects.flatMap((e) => {
    if (e.type === "set") return [` ${e.trait}`];
    return e.type === "nested" ? [`${e.layer} ${e.trait}`] : [];
  });

const traitName = ({ project, piece }: Inspected, key: string): string => {
  const [layer = "", trait = ""] = key.split(" ");
  const owners = layer === "" ? [piece] : Object.values(project.pieces);
  return owners.find((p) => p.traits[trait])?.traits[trait]?.name ?? "";
};

/** Hovers whose end takes nothing back, so that what was hovered once looks so for ever. */
export const hoverStays = (subject: Inspected): Finding[] => {
  const { project, piece } = subject;
  const rules = rulesOf(project, piece);
  const takenBack = (source: Id | null): Set<string> =>
    new Set(rules.filter((r) => r.trigger.type === "leave" && r.source === source).flatMap(setBy));
  return rules.flatMap((rule): Finding[] => {
    if (rule.trigger.type !== "hover" || rule.undo) return [];
    const back = takenBack(rule.source);
    const stays = setBy(rule).filter((key) => !back.has(key));
    if (stays.length === 0) return [];
    const name = piece.layers[rule.source ?? ROOT]?.name ?? checksWords.wholePiece;
    const traits = new Set(stays.map((key) => traitName(subject, key)));
    const what = new Intl.ListFormat("en-GB").format(traits);
    return [
      {
        id: findingId("hover-stays", rule.id),
        kind: "hover-stays",
        severity: "warning",
        layers: rule.source ? [rule.source] : [],
        rules: [rule.id],
        text: checksWords.hoveringChangesPermanentlyNothing(name, what),
        fix: {
          label: checksWords.revertWhenEnds,
          change: setRule(piece, rule.id, { undo: true }),
        },
      },
    ];
  });
};
