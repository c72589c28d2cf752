import { useMemo } from "react";
import { plainText } from "#core/basics";
import type { Id } from "#core/basics";
import { conditionShort, conditionText } from "#core/looks";
import { contrastOf } from "#core/paint";
import type { Layer, Variant, Varying } from "#core/project";
import { gradientText } from "#core/properties";
import type { Shadow, Value } from "#core/properties";
import { cardKey } from "../../state/active";
import { useScene } from "../../state/context";
import { useDisplayedProject } from "../../../session/displayed";
import { assetAddress } from "../../../session/assets";
import { IconMark } from "../../../parts/AssetPart";
import type { Cell, Row } from "../rows";
import { sheetWords } from "../words";

/** The id of the picture a value shows; empty for none. */
const pictureIn = (value: Value | undefined): string =>
  typeof value === "object" && "fit" in value ? plainText(value.picture) : "";

/** How a fill looks, as CSS; null for none. */
const background = (value: Value | undefined, hashOf: () => string | undefined): string | null => {
  if (typeof value === "string") return value === "none" ? null : value;
  if (typeof value !== "object") return null;
  if ("stops" in value) return gradientText(value);
  if ("fit" in value) {
    const hash = hashOf();
    return hash ? `center / cover url("${assetAddress(hash)}")` : null;
  }
  return null;
};

/** A fill or a colour as a chip; a picture is fetched by what the project calls it. */
const FillMark = ({ value }: { value: Value | undefined }) => {
  const picture = useDisplayedProject((p) => p.assets[pictureIn(value)]);
  const hashOf = () => (picture?.kind === "picture" ? picture.hash : undefined);
  const look = background(value, hashOf);
  return (
    <span
      className={`chip${look === null ? " none" : ""}`}
      style={look === null ? undefined : { background: look }}
    />
  );
};

const AssetMark = ({ id }: { id: string }) => {
  const asset = useDisplayedProject((p) => p.assets[id]);
  if (asset?.kind === "picture")
    return <img className="chip" src={assetAddress(asset.hash)} alt="" />;
  if (asset?.kind !== "icon") return null;
  return (
    <span className="chip bare">
      <IconMark icon={asset} size={14} />
    </span>
  );
};

/** Shadows as CSS, half as large as they are. */
const shadowCss = (shadows: readonly Shadow[]): string =>
  shadows
    .map((s) => {
      const sizes = [s.x, s.y, s.blur, s.spread].map((n) => `${n / 2}px`).join(" ");
      return `${s.inner ? "inset " : ""}${sizes} ${s.colour === "none" ? "transparent" : s.colour}`;
    })
    .join(", ");

/** A small picture of a value, for what words say badly. */
const Mark = ({ row, cell }: { row: Row; cell: Cell }) => {
  const { is } = row.type;
  if (is === "colour" || is === "fill") return <FillMark value={cell.value} />;
  if (is === "asset" && typeof cell.said === "string") return <AssetMark id={cell.said} />;
  if (is !== "shadows" || !Array.isArray(cell.value) || cell.value.length === 0) return null;
  const css = shadowCss(cell.value as readonly Shadow[]);
  return <span className="chip shadow" style={{ boxShadow: css }} />;
};

/** Where a cell's value comes from, in a word or two; null when the variant says it itself. */
const sourceOf = (piece: Varying, row: Row, cell: Cell): string | null => {
  if (cell.origin.own) return null;
  if (cell.when) return conditionShort(piece, cell.when);
  return row.inherent !== undefined ? "component" : null;
};

/** What a cell says about its origin when one points at it. */
export const cellTitle = (piece: Varying, { when, origin }: Cell): string | undefined => {
  if (!when) return undefined;
  const where = sheetWords.set(Object.keys(when).length, conditionText(piece, when));
  const n = origin.hidden.length;
  const weaker = n === 1 ? sheetWords.oneOtherValue : sheetWords.otherValues(n);
  const hidden = n ? sheetWords.overrides(weaker) : "";
  return `${where}${origin.styled ? sheetWords.fromTextStyle : ""}${hidden}`;
};

/**
 * How well a text can be read in a variant, beside its colour; told live, as the stage shows it.
 */
const ContrastMark = ({ layer, card }: { layer: Id; card: string }) => {
  const scene = useScene(card);
  const contrast = useMemo(() => (scene ? contrastOf(scene, layer) : null), [scene, layer]);
  if (!contrast) return null;
  const low = contrast.ratio < contrast.needed;
  return (
    <span
      className={`contrast${low ? " low" : ""}`}
      title={sheetWords.contrastAgainstWcagAa(
        contrast.ratio,
        contrast.ground,
        low,
        contrast.needed,
      )}
    >
      {sheetWords.contrast(contrast.ratio, low)}
    </span>
  );
};

interface Props {
  readonly piece: Varying;
  readonly row: Row;
  readonly cell: Cell;
  readonly layer: Layer;
  readonly variant: Variant;
}

/** What a cell shows: its value, and where that comes from. */
export const CellView = ({ piece, row, cell, layer, variant }: Props) => {
  const source = sourceOf(piece, row, cell);
  return (
    <span className="cell-line">
      <Mark row={row} cell={cell} />
      {cell.token !== null && (
        <span
          className={`token-mark${cell.token === "gone" ? " gone" : ""}`}
          role="img"
          aria-label={sheetWords.token}
        >
          ◆
        </span>
      )}
      <span className="cell-text">{cell.text || "–"}</span>
      {cell.origin.styled && <span className="from">{sheetWords.style}</span>}
      {row.key === "fill" && layer.kind === "text" && (
        <ContrastMark layer={layer.id} card={cardKey(piece, variant)} />
      )}
      {source !== null && <span className="from">← {source}</span>}
    </span>
  );
};
