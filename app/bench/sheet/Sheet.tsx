import { useMemo } from "react";
import { useDisplayedProject } from "../../session/displayed";
import { useSettings } from "../../services/settings";
import { shownLayers } from "../state/active";
import { useBench, useChosen, usePiece, useVarying } from "../state/context";
import { stageOrder } from "../state/grid";
import { Grid } from "./Grid";
import { readRows } from "./readRows";
import { isWanted, sectionsOf } from "./rows";
import { sheetWords } from "./words";

/**
 * For the chosen layers: rows are properties, columns are variants; what a variant says for itself
 * is solid.
 */
export const Sheet = () => {
  const id = useBench((s) => s.pieceId);
  const piece = useVarying();
  const [lead] = shownLayers(useChosen());
  const layer = usePiece((p) => p.layers[lead ?? ""]);
  const onlyDifferences = useBench((s) => s.onlyDifferences);
  const down = useBench((s) => s.grid.down);
  const variants = useMemo(() => stageOrder(piece, down), [piece, down]);
  const read = useMemo(() => readRows(id, lead, onlyDifferences), [id, lead, onlyDifferences]);
  const all = useDisplayedProject(read);
  const wanted = useBench((s) => s.sought);
  const folded = useSettings((s) => s.foldedGroups);
  const rows = useMemo(() => all.filter((row) => isWanted(row, wanted)), [all, wanted]);
  // one that was looked for is not hidden in a folded group
  const sections = useMemo(
    () => sectionsOf(rows, wanted === "" ? folded : []),
    [rows, wanted, folded],
  );
  if (!layer) return null;
  if (rows.length === 0 && wanted !== "")
    return <p className="drawer-empty">{sheetWords.noValueNamed(layer.name, wanted)}</p>;
  if (rows.length === 0)
    return <p className="drawer-empty">{sheetWords.hasSameValuesAll(layer.name)}</p>;
  return <Grid layer={layer} sections={sections} variants={variants} />;
};
