import { present } from "../basics";
import type { Id } from "../basics";
import { removeLayers } from "../edit";
import { conditionText, isUnused, looksIn, meets, variantsOf } from "../looks";
import { hiddenIn } from "../machine";
import { BASE, remove } from "../project";
import type { Piece, Project } from "../project";
import { OPTION, defaultsOf, families, isBound, labelOf, property } from "../properties";
import type { SpecifiedValue } from "../properties";
import { findingId } from "./types";
import type { Finding, Inspected } from "./types";
import { checksWords } from "./words";

/** More variants than this are looked at in part. */
const MOST = 512;
const used = (piece: Piece) =>
  variantsOf(piece)
    .slice(0, MOST)
    .filter((v) => !isUnused(piece, v));

/** Looks without which every variant would look just the same. */
export const emptyLooks = ({ piece }: Inspected): Finding[] => {
  const variants = used(piece);
  return Object.values(piece.looks)
    .filter((look) => look.id !== BASE)
    .flatMap((look): Finding[] => {
      const tells = variants.some((v) => {
        if (!meets(look.when, v)) return false;
        const list = looksIn(piece, v);
        const at = list.indexOf(look);
        return Object.entries(look.changes).some(
          ([id, changes]) =>
            piece.layers[id] &&
            Object.entries(changes).some(([key, said]) => {
              if (list.slice(at + 1).some((l) => l.changes[id]?.[key] !== undefined)) return false;
              const beneath =
                list.slice(0, at).findLast((l) => l.changes[id]?.[key] !== undefined)?.changes[
                  id
                ]?.[key] ?? defaultsOf(present(piece.layers[id]).kind)[key];
              return JSON.stringify(beneath) !== JSON.stringify(said);
            }),
        );
      });
      if (tells || variants.length === MOST) return [];
      const words = conditionText(piece, look.when) || "nowhere";
      return [
        {
          id: findingId("empty-look", look.id),
          kind: "empty-look",
          severity: "note",
          layers: Object.keys(look.changes).filter((id) => piece.layers[id]),
          rules: [],
          text: checksWords.lookWhereChangesNothing(words),
          fix: {
            label: checksWords.deleteLook,
            change: {
              label: checksWords.deleteLookChangesNothing,
              ops: [remove(["pieces", piece.id, "looks", look.id])],
            },
          },
        },
      ];
    });
};

/** What a saying names and is not there. */
const missingIn = ({ project }: Inspected, key: string, said: SpecifiedValue): string | null => {
  if (isBound(said)) return project.tokens[said.token] ? null : checksWords.deletedToken;
  if (typeof said === "object" && "fit" in said) return missingPicture(project, said.picture);
  if (typeof said !== "string" || said === "" || key.startsWith(OPTION)) return null;
  const type = property(key)?.type.is;
  if (type === "asset") return project.assets[said] ? null : checksWords.deleted(key);
  if (type === "reference") return project.pieces[said] ? null : checksWords.deletedComponent;
  if (type === "family") return isHere(project, said) ? null : checksWords.fontWhichMissing(said);
  return null;
};

const missingPicture = (project: Project, picture: unknown): string | null =>
  typeof picture !== "string" || picture === "" || project.assets[picture]
    ? null
    : checksWords.deletedImage;

const isHere = (project: Project, family: string): boolean =>
  families[family] !== undefined ||
  Object.values(project.assets).some((a) => a.kind === "font" && a.family === family);

export const missing = (subject: Inspected): Finding[] => {
  const { piece } = subject;
  const out = new Map<string, Finding>();
  for (const look of Object.values(piece.looks))
    for (const [id, changes] of Object.entries(look.changes))
      for (const [key, said] of Object.entries(changes)) {
        const layer = piece.layers[id];
        const what = layer && missingIn(subject, key, said);
        if (!layer || !what) continue;
        const f = findingId("missing", id, key, what);
        out.set(f, {
          id: f,
          kind: "missing",
          severity: "error",
          layers: [id],
          rules: [],
          text: checksWords.uses(layer.name, what, labelOf(key) ?? key),
          fix: {
            label: checksWords.reset,
            change: {
              label: checksWords.clear(labelOf(key) ?? key),
              ops: [remove(["pieces", piece.id, "looks", look.id, "changes", id, key])],
            },
          },
        });
      }
  return [...out.values()];
};

/** "Knob", "Knob 2" and "knob copy" are one name. */
const plainName = (name: string): string =>
  name
    .toLowerCase()
    .replace(/\b(copy|kopie)\b/g, "")
    .replace(/[\s_-]*\d+$/, "")
    .trim();

/**
 * Layers that take turns and might be one: the same kind, name and place in the tree, never seen
 * together. They fade where one would move.
 */
export const unpaired = ({ piece }: Inspected): Finding[] => {
  const variants = used(piece);
  const out: Finding[] = [];
  if (variants.length < 2) return out;
  const layers = Object.values(piece.layers).filter((l) => l.parent !== null);
  const seen = new Map<Id, string>(
    layers.map((l) => [l.id, variants.map((v) => (hiddenIn(piece, v, l) ? "-" : "+")).join("")]),
  );
  for (const [i, a] of layers.entries())
    for (const b of layers.slice(i + 1)) {
      if (a.kind !== b.kind || a.parent !== b.parent || plainName(a.name) !== plainName(b.name))
        continue;
      const [x, y] = [seen.get(a.id) ?? "", seen.get(b.id) ?? ""];
      if (!x.includes("+") || !y.includes("+") || [...x].some((c, k) => c === "+" && y[k] === "+"))
        continue;
      out.push({
        id: findingId("unpaired", a.id, b.id),
        kind: "unpaired",
        severity: "note",
        layers: [a.id, b.id],
        rules: [],
        text: checksWords.areNeverVisibleSame(a.name, b.name),
        fix: { label: checksWords.delete(b.name), change: removeLayers(piece, [b.id]) },
      });
    }
  return out;
};
