import { Fragment } from "react";
import type { ReactNode } from "react";
import { Button } from "react-bootstrap";
import { usedAgain } from "#core/edit";
import { isUnused, variantKey, variantName } from "#core/looks";
import type { Variant, Varying } from "#core/project";
import { Swatch } from "../../ui/Icon";
import { useCommand } from "../state/context";
import { gridOf, headings, variantOf } from "../state/grid";
import type { GridLine } from "../state/grid";
import type { GridView } from "../state/view";
import { GAP, SIDE } from "./fit";
import { stageWords } from "./words";

/** What a heading says of the values that change with its line. */
const Heads = ({ lines, at }: { lines: readonly GridLine[]; at: number }) =>
  headings(lines, at).map((v) => (
    <span key={v.trait.id} className="line-name">
      <Swatch pattern={v.trait.pattern} />
      <span>
        {v.trait.name}: <b>{v.name}</b>
      </span>
    </span>
  ));

/** In place of the card of a variant that is not used. */
const Unused = ({ piece, variant }: { piece: Varying; variant: Variant }) => {
  const command = useCommand();
  return (
    <div className="card-away">
      <span>{stageWords.unused(variantName(piece, variant))}</span>
      <Button variant="link" size="sm" onClick={() => command((_, now) => usedAgain(now, variant))}>
        {stageWords.useAgain}
      </Button>
    </div>
  );
};

interface Props {
  readonly piece: Varying;
  readonly view: GridView;
  /** px */
  readonly cardWidth: number;
  /** how many cards lie side by side when one trait is laid in several lines; null for one line */
  readonly flow: number | null;
  readonly cardOf: (variant: Variant, pinned: boolean) => ReactNode;
}

/** The cards that stay above all others. */
const Pins = ({ piece, view, cardWidth, cardOf }: Props) => {
  const pinned = view.pinned.filter((v) => !isUnused(piece, v));
  if (pinned.length === 0) return null;
  return (
    <div
      className="stage-grid pins"
      role="group"
      aria-label={stageWords.pinnedCards}
      style={{ gap: GAP, gridAutoColumns: cardWidth }}
    >
      {pinned.map((v) => (
        <Fragment key={variantKey(piece, v)}>{cardOf(v, true)}</Fragment>
      ))}
    </div>
  );
};

/** A card for every variant, in rows and columns along the traits. */
export const StageGrid = (props: Props) => {
  const { piece, view, cardWidth, flow, cardOf } = props;
  const grid = gridOf(piece, view);
  const side = (grid.rows[0]?.values.length ?? 0) > 0;
  const columns = flow ?? grid.columns.length;
  const headed = flow === null && (grid.columns[0]?.values.length ?? 0) > 0;
  const pinned = new Set(view.pinned.map((v) => variantKey(piece, v)));
  const cell = (variant: Variant) => {
    if (isUnused(piece, variant)) return <Unused piece={piece} variant={variant} />;
    if (pinned.has(variantKey(piece, variant)))
      return <div className="card-away">{stageWords.pinnedAbove}</div>;
    return cardOf(variant, false);
  };
  return (
    <>
      <Pins {...props} />
      <div
        className="stage-grid"
        style={{
          gridTemplateColumns: `${side ? `${SIDE}px ` : ""}repeat(${columns}, ${cardWidth}px)`,
          gap: GAP,
        }}
      >
        {headed && side && <span />}
        {headed &&
          grid.columns.map((column, c) => (
            <div key={column.key} className="line-head">
              <Heads lines={grid.columns} at={c} />
            </div>
          ))}
        {grid.rows.map((row, r) => (
          <Fragment key={row.key}>
            {side && (
              <div className="line-head side">
                <Heads lines={grid.rows} at={r} />
              </div>
            )}
            {grid.columns.map((column) => (
              <Fragment key={column.key}>{cell(variantOf(row, column))}</Fragment>
            ))}
          </Fragment>
        ))}
      </div>
    </>
  );
};
