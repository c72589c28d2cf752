import { memo } from "react";
import { isUnused, traitsOf } from "#core/looks";
import { ROOT } from "#core/project";
import { Tool } from "../../../ui/Tool";
import { Toolbar } from "../../../ui/focus/Toolbar";
import { useBench, useVarying } from "../../state/context";
import { gridOf, variantOf } from "../../state/grid";
import { nextZoom } from "../fit";
import { GridMenu } from "./GridBar";
import { ReferenceMenu } from "../Reference";
import { stageWords } from "../words";

interface Props {
  /** px on screen per px of the piece */
  readonly zoom: number;
  readonly onFit: () => void;
}

/** What the stage shows, and how large. */
export const ZoomBar = memo(function ZoomBar({ zoom, onFit }: Props) {
  const piece = useVarying();
  const view = useBench((s) => s.grid);
  const only = useBench((s) => s.only);
  const fits = useBench((s) => s.zoom === "fit");
  const setZoom = useBench((s) => s.setZoom);
  const showOnly = useBench((s) => s.showOnly);
  const choose = useBench((s) => s.choose);
  const grid = gridOf(piece, view);
  const unused = grid.rows
    .flatMap((r) => grid.columns.map((c) => variantOf(r, c)))
    .filter((v) => isUnused(piece, v)).length;
  const turn = (by: 1 | -1) => {
    const next = nextZoom(zoom, by);
    if (next !== null) setZoom(next);
  };
  return (
    <Toolbar className="zoom-bar" label={stageWords.zoom}>
      {only && (
        <Tool on onClick={() => showOnly(null)}>
          {stageWords.allCards}
        </Tool>
      )}
      <ReferenceMenu />
      {traitsOf(piece).length > 0 && !only && <GridMenu />}
      {unused > 0 && !only && (
        <span className="quiet small-text">{stageWords.unused2(unused)}</span>
      )}
      <Tool icon="minus" label={stageWords.zoomOut} onClick={() => turn(-1)} />
      <Tool className="mono" title={stageWords.realSize} onClick={() => setZoom(1)}>
        {Math.round(zoom * 100)} %
      </Tool>
      <Tool icon="plus" label={stageWords.zoom2} onClick={() => turn(1)} />
      <Tool on={fits} onClick={onFit}>
        {stageWords.fit}
      </Tool>
      <Tool
        icon="box"
        label={stageWords.wholePiece}
        title={stageWords.selectWholePieceSet}
        onClick={() => choose([ROOT])}
      />
    </Toolbar>
  );
});
