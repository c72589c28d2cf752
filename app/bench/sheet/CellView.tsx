import { plainText } from "#core/basics";
import type { Id } from "#core/basics";
import { conditionShort, conditionText } from "#core/looks";
import { contrastOf } from "#core/paint";
import type { Layer, Piece } from "#core/project";
import { gradientText } from "#core/properties";
import type { Shadow, Value } from "#core/properties";
import { useProject } from "../../session/context";
import { assetAddress } from "../../session/assets";
import { IconMark } from "../../parts/AssetPart";
import { useBench, useBenchStore } from "../state/state";
import type { Cell, Row } from "./rows";

/** How a fill looks, as CSS; null for none. */
const background = (
  value: Value | undefined,
  picture: (id: string) => string | undefined,
): string | null => {
  if (typeof value === "string") return value === "none" ? null : value;
  if (typeof value !== "object") return null;
  if ("stops" in value) return gradientText(value);
  if ("fit" in value) {
    const hash = picture(plainText(value.picture));
    return hash ? `center / cover url("${assetAddress(hash)}")` : null;
  }
  return null;
};

/** A small picture of a value, for what words say badly. */
const Mark = ({ row, cell }: { row: Row; cell: Cell }) => {
  const { assets } = useProject();
  const hashOf = (id: string) => {
    const a = assets[id];
    return a?.kind === "picture" ? a.hash : undefined;
  };
  if (row.type.is === "colour" || row.type.is === "fill") {
    const look = background(cell.value, hashOf);
    return (
      <span
        className={`chip${look === null ? " none" : ""}`}
        style={look === null ? undefined : { background: look }}
      />
    );
  }
  if (row.type.is === "shadows" && Array.isArray(cell.value) && cell.value.length > 0) {
    const css = (cell.value as readonly Shadow[])
      .map(
        (s) =>
          `${s.inner ? "inset " : ""}${s.x / 2}px ${s.y / 2}px ${s.blur / 2}px ${s.spread / 2}px ${s.colour === "none" ? "transparent" : s.colour}`,
      )
      .join(", ");
    return <span className="chip shadow" style={{ boxShadow: css }} />;
  }
  const asset =
    row.type.is === "asset" && typeof cell.said === "string" ? assets[cell.said] : undefined;
  if (asset?.kind === "icon")
    return (
      <span className="chip bare">
        <IconMark icon={asset} size={14} />
      </span>
    );
  if (asset?.kind === "picture")
    return <img className="chip" src={assetAddress(asset.hash)} alt="" />;
  return null;
};

/** Where a cell's value comes from, in a word or two; null when the variant says it itself. */
const sourceOf = (piece: Piece, row: Row, cell: Cell): string | null => {
  if (cell.origin.own) return null;
  const winner = cell.origin.from === null ? undefined : piece.looks[cell.origin.from];
  if (winner) return conditionShort(piece, winner.when);
  return row.inherent !== undefined ? "component" : null;
};

/** What a cell says about its origin when one points at it. */
export const cellTitle = (piece: Piece, cell: Cell): string | undefined => {
  const winner = cell.origin.from === null ? undefined : piece.looks[cell.origin.from];
  if (!winner) return undefined;
  const where = `Said ${Object.keys(winner.when).length ? `where ${conditionText(piece, winner.when)}` : "for all variants"}`;
  const hidden = cell.origin.hidden.length
    ? `; ${cell.origin.hidden.length === 1 ? "one weaker saying is" : `${cell.origin.hidden.length} weaker sayings are`} hidden by it`
    : "";
  return `${where}${cell.origin.styled ? ", by its text style" : ""}${hidden}`;
};

/**
 * How well a text can be read in a variant, beside its colour; told live, as the stage shows it.
 */
const ContrastMark = ({ layer, variant }: { layer: Id; variant: string }) => {
  const store = useBenchStore();
  useBench((s) => s.sceneCount);
  const scene = store.getState().scenes.current.get(variant || "only");
  const contrast = scene ? contrastOf(scene, layer) : null;
  if (!contrast) return null;
  const low = contrast.ratio < contrast.needed;
  return (
    <span
      className={`contrast${low ? " low" : ""}`}
      title={`Contrast ${contrast.ratio.toFixed(2)} : 1 with ${contrast.ground} behind it; ${low ? "too low for" : "enough for"} WCAG AA (${contrast.needed} : 1)`}
    >
      {contrast.ratio.toFixed(1)}
      {low ? " low" : ""}
    </span>
  );
};

export const CellView = ({
  piece,
  row,
  cell,
  layer,
  variant,
}: {
  piece: Piece;
  row: Row;
  cell: Cell;
  layer: Layer;
  variant: string;
}) => {
  const source = sourceOf(piece, row, cell);
  return (
    <span className="cell-line">
      <Mark row={row} cell={cell} />
      {cell.token !== null && (
        <span className={`token-mark${cell.token === "gone" ? " gone" : ""}`} aria-label="token">
          ◆
        </span>
      )}
      <span className="cell-text">{cell.text || "–"}</span>
      {cell.origin.styled && <span className="from">style</span>}
      {row.key === "fill" && layer.kind === "text" && (
        <ContrastMark layer={layer.id} variant={variant} />
      )}
      {source !== null && <span className="from">← {source}</span>}
    </span>
  );
};
