import { ownPieces } from "../../world";
import type { Id } from "../../basics";
import { setValues } from "../../edit";
import { restingVariant, tokenValueOf, valuesIn } from "../../looks";
import { inOrder } from "../../project";
import type { Piece, Project, Token } from "../../project";
import { isBound } from "../../properties";
import { libraryWords } from "../words";
import type { SystemFinding } from "./types";

/** What makes two text styles look the same. */
const telling = ["font", "weight", "size"] as const;

interface Style {
  readonly token: Token;
  readonly key: string;
}

const keyOf = (values: Readonly<Record<string, unknown>>): string =>
  telling.map((key) => String(values[key])).join(" ");

/** The text layers of a piece that no look binds to a text style. */
const unstyled = (piece: Piece): readonly Id[] =>
  inOrder(piece.layers).flatMap((layer) => {
    const isStyled = Object.values(piece.looks).some((look) => {
      const style = look.changes[layer.id]?.style;
      return style !== undefined && isBound(style);
    });
    return layer.kind === "text" && !isStyled ? [layer.id] : [];
  });

/** Texts of components that follow no text style, though the system has some. */
export const ownStyles = (project: Project): readonly SystemFinding[] => {
  const styles = inOrder(project.tokens).flatMap((token): Style[] => {
    const value = token.type === "style" && tokenValueOf(project.tokens, "style", token.id);
    return value ? [{ token, key: keyOf({ ...value }) }] : [];
  });
  if (styles.length === 0) return [];
  return ownPieces(project).flatMap((piece): SystemFinding[] => {
    if (piece.kind !== "component") return [];
    const rest = restingVariant(piece);
    const layers = unstyled(piece).map((id) => {
      const layer = piece.layers[id];
      const key = layer ? keyOf(valuesIn(project, piece, rest, layer)) : "";
      return { id, name: layer?.name ?? "", style: styles.find((s) => s.key === key) };
    });
    if (layers.length === 0) return [];
    const fitting = layers.filter((l) => l.style);
    const edits = Object.fromEntries(
      fitting.map((l) => [l.id, { style: { token: l.style?.token.id ?? "" } }] as const),
    );
    const names = [...new Set(fitting.map((l) => l.style?.token.name ?? ""))].join(", ");
    return [
      {
        id: `own-style ${piece.id}`,
        check: "own-style",
        text: libraryWords.ownStyle(piece.name, layers.map((l) => l.name).join(", ")),
        pieces: [piece.id],
        fixes:
          fitting.length > 0
            ? [{ label: libraryWords.follow(names), change: setValues(piece, [{}], edits) }]
            : [],
      },
    ];
  });
};
