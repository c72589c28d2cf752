import { useMemo } from "react";
import type { Id } from "#core/basics";
import { variantsOf } from "#core/looks";
import type { Project } from "#core/project";
import { useDisplayedProject } from "../../session/displayed";
import { steady } from "../../ui/steady";
import { useBench, useChosen, usePiece, useVarying } from "../state/context";
import { stageOrder } from "../state/grid";
import { Grid } from "./Grid";
import { differs, rowsFor, sameRow } from "./rows";
import type { Row } from "./rows";
import { sheetWords } from "./words";

/** The rows for a layer of a piece; the same objects for as long as they say the same. */
const readRows = (pieceId: Id, layerId: Id | undefined, onlyDifferences: boolean) =>
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

/**
 * For the chosen layers: rows are properties, columns are variants; what a variant says for itself
 * is solid.
 */
export const Sheet = () => {
  const id = useBench((s) => s.pieceId);
  const piece = useVarying();
  const [lead] = useChosen();
  const layer = usePiece((p) => p.layers[lead ?? ""]);
  const onlyDifferences = useBench((s) => s.onlyDifferences);
  const down = useBench((s) => s.grid.down);
  const variants = useMemo(() => stageOrder(piece, down), [piece, down]);
  const read = useMemo(() => readRows(id, lead, onlyDifferences), [id, lead, onlyDifferences]);
  const rows = useDisplayedProject(read);
  if (!layer) return <p className="drawer-empty">{sheetWords.chooseLayerOnCard}</p>;
  if (rows.length === 0)
    return <p className="drawer-empty">{sheetWords.looksSameAllVariants(layer.name)}</p>;
  return <Grid layer={layer} rows={rows} variants={variants} />;
};
