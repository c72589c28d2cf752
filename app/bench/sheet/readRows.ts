import type { Id } from "#core/basics";
import { variantsOf } from "#core/looks";
import type { Project } from "#core/project";
import { steady } from "../../ui/steady";
import { differs, rowsFor, sameRow } from "./rows";
import type { Row } from "./rows";

/** The rows for a layer of a piece; the same objects for as long as they say the same. */
export const readRows = (pieceId: Id, layerId: Id | undefined, onlyDifferences: boolean) =>
  steady(
    (project: Project): readonly Row[] => {
      const piece = project.pieces[pieceId];
      const layer = piece?.layers[layerId ?? ""];
      if (!piece || !layer) return [];
      const all = rowsFor(project, piece, layer, variantsOf(piece));
      return onlyDifferences ? all.filter((r) => differs(piece, layer, r)) : all;
    },
    (a, b) => a.length === b.length && a.every((row, i) => b[i] && sameRow(row, b[i])),
  );
