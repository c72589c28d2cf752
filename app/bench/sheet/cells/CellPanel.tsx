import type { KeyboardEvent, ReactNode } from "react";
import { Button } from "react-bootstrap";
import { tokensFor } from "#core/looks";
import type { Fill, Shadow, SpecifiedValue } from "#core/properties";
import { AssetPart } from "../../../parts/AssetPart";
import { FillPanel } from "../../../parts/FillPanel";
import { ShadowPanel } from "../../../parts/ShadowPanel";
import { TokenPart } from "../../../parts/TokenPart";
import { useDisplayedProject } from "../../../session/displayed";
import { Panel } from "../../../ui/floating/Panel";
import { PosePanel } from "./PosePanel";
import type { Cell, Row } from "../rows";
import { sheetWords } from "../words";

interface Props {
  readonly row: Row;
  readonly cell: Cell;
  /** what was typed to open the cell */
  readonly start: string | null;
  readonly onLive: (said: SpecifiedValue) => void;
  /** a choice that ends the editing */
  readonly onPick: (said: SpecifiedValue) => void;
  readonly onDone: () => void;
  readonly onKeyDown: (e: KeyboardEvent) => void;
  /** said above what can be picked */
  readonly hint: ReactNode;
}

/** Whether a row is edited in a panel of its own beside the field. */
export const hasPanel = (row: Row): boolean =>
  row.choices === null && ["colour", "fill", "shadows", "asset", "away"].includes(row.type.is);

/** The tokens a value can be bound to, where there are any. */
const Tokens = ({ row, cell, onPick, onKeyDown, hint }: Props) => {
  const any = useDisplayedProject((p) =>
    Object.values(p.tokens).some((t) => tokensFor(row).includes(t.type)),
  );
  if (!any) return null;
  return (
    <Panel label={sheetWords.tokens} width={210} height={170} onKeyDown={onKeyDown} hint={hint}>
      <div className="panel-body">
        <TokenPart wanted={tokensFor(row)} said={cell.said} onPick={onPick} />
      </div>
    </Panel>
  );
};

/** What a value can be picked from, beside typing it. */
export const CellPanel = (props: Props) => {
  const { row, cell, onLive, onDone, onKeyDown, hint } = props;
  const { type } = row;
  if (type.is === "colour" || type.is === "fill")
    return (
      <FillPanel
        type={type}
        tokens={tokensFor(row)}
        said={cell.said}
        fill={(cell.value ?? "none") as Fill}
        onLive={onLive}
        onDone={onDone}
        onKeyDown={onKeyDown}
        hint={hint}
      />
    );
  if (type.is === "shadows")
    return (
      <ShadowPanel
        tokens={tokensFor(row)}
        said={cell.said}
        shadows={(cell.value ?? []) as readonly Shadow[]}
        onLive={onLive}
        onDone={onDone}
        onKeyDown={onKeyDown}
        hint={hint}
      />
    );
  if (type.is === "asset")
    return (
      <Panel label={row.label} width={292} height={356} onKeyDown={onKeyDown}>
        <div className="panel-body">
          <AssetPart
            of={type.of}
            chosen={typeof cell.said === "string" ? cell.said : ""}
            find={props.start ?? ""}
            onPick={onLive}
            onTaken={onDone}
          />
        </div>
        <div className="panel-foot">
          <Button size="sm" variant="link" onClick={() => onLive("")}>
            {sheetWords.noneInCellPanel}
          </Button>
          <Button size="sm" onClick={onDone}>
            {sheetWords.done}
          </Button>
        </div>
      </Panel>
    );
  if (type.is === "away")
    return (
      <PosePanel
        of={row.key === "goesTo" ? "goesTo" : "comesFrom"}
        label={row.label}
        words={type.words}
        value={cell.value}
        onLive={onLive}
        onDone={onDone}
        onKeyDown={onKeyDown}
      />
    );
  return <Tokens {...props} />;
};
