import { useMemo } from "react";
import { Form } from "react-bootstrap";
import type { Id } from "#core/basics";
import type { Drawing, DrawnLayer, Fixed, Track } from "#core/gather";
import { Icon } from "../../ui/Icon";
import { SortItem, SortList } from "../../ui/SortList";
import { dialogsWords } from "./words";

/** Surer than this needs no second look. */
export const SURE = 0.72;

const sureClass = (part: string | null, sure: number): string => {
  if (part === null) return " none";
  return sure < SURE ? " unsure" : "";
};

const chip = (l: DrawnLayer | undefined) => {
  const fill = l?.values.fill;
  return typeof fill === "string" && fill !== "none" ? (
    <span className="chip" style={{ background: fill }} />
  ) : (
    <Icon name={l?.kind ?? "box"} size={13} />
  );
};

interface PartProps {
  readonly track: Track;
  readonly drawing: Drawing;
  /** which drawing it is */
  readonly index: number;
  /** the roots always are one */
  readonly root: boolean;
  readonly onPick: (layer: string) => void;
}

/** The layer of one drawing that a track takes up. */
const Part = ({ track, drawing, index, root, onPick }: PartProps) => {
  const part = track.parts[index] ?? null;
  const sure = track.sure[index] ?? 0;
  const title = part === null ? dialogsWords.notDrawing : dialogsWords.sure(sure * 100);
  return (
    <span role="cell" className={`gather-part${sureClass(part, sure)}`} title={title}>
      {part !== null && chip(drawing.layers.find((l) => l.id === part))}
      <Form.Select
        size="sm"
        aria-label={dialogsWords.inName(track.name, drawing.name)}
        disabled={root}
        value={part ?? ""}
        onChange={(e) => onPick(e.target.value)}
      >
        <option value="">{dialogsWords.none}</option>
        {(root ? drawing.layers : drawing.layers.slice(1)).map((l) => (
          <option key={l.id} value={l.id}>
            {l.name}
          </option>
        ))}
      </Form.Select>
      {part !== null && index > 0 && (
        <span className="gather-sure" style={{ width: `${Math.round(sure * 100)}%` }} />
      )}
    </span>
  );
};

/** How deep the layer of a track lies in the drawing that first has it. */
const useDepth = (drawings: readonly Drawing[]) => {
  const byId = useMemo(
    () => drawings.map((d) => new Map(d.layers.map((l) => [l.id, l]))),
    [drawings],
  );
  return (track: Track): number => {
    const first = track.parts.findIndex((p) => p !== null);
    const layers = byId[first];
    let depth = 0;
    let layer = layers?.get(track.parts[first] ?? "");
    while (layer && layer.parent !== null) {
      layer = layers?.get(layer.parent);
      depth++;
    }
    return depth;
  };
};

interface Props {
  readonly tracks: readonly Track[];
  readonly drawings: readonly Drawing[];
  readonly fixed: Fixed;
  readonly onFixed: (f: Fixed) => void;
  readonly onOrder: (id: Id, index: number) => void;
}

/** Which layers of the drawings are the same: a line is one layer of what comes of them. */
export const Pairs = ({ tracks, drawings, fixed, onFixed, onOrder }: Props) => {
  const depthOf = useDepth(drawings);
  const move = (track: Track, index: number, layer: string) => {
    const next: Record<Id, Id | null> = { ...fixed };
    const before = track.parts[index];
    if (before) next[before] = null;
    if (layer !== "") next[layer] = track.id;
    onFixed(next);
  };
  return (
    <section aria-labelledby="gather-pairs">
      <div className="gather-head">
        <h3 id="gather-pairs">{dialogsWords.matchingLayers2}</h3>
        <span className="note">{dialogsWords.eachRowBecomesOne}</span>
      </div>
      <div className="gather-room tall">
        <div
          className="gather-pairs"
          role="table"
          aria-label={dialogsWords.matchedLayers}
          style={{ gridTemplateColumns: `190px repeat(${drawings.length}, minmax(120px, 1fr))` }}
        >
          <div role="row" className="gather-row head">
            <span role="columnheader">{dialogsWords.layer}</span>
            {drawings.map((d, i) => (
              <span key={i} role="columnheader" title={d.name}>
                {d.name}
              </span>
            ))}
          </div>
          <SortList ids={tracks.map((t) => t.id)} onMove={onOrder}>
            {tracks.map((track, line) => (
              <SortItem
                key={track.id}
                id={track.id}
                name={track.name}
                role="row"
                className="gather-row"
              >
                {(grip) => (
                  <>
                    <span role="rowheader" style={{ paddingLeft: depthOf(track) * 12 }}>
                      {line > 0 ? grip : <span className="grip" />}
                      {track.name}
                    </span>
                    {drawings.map((drawing, index) => (
                      <Part
                        key={index}
                        track={track}
                        drawing={drawing}
                        index={index}
                        root={line === 0}
                        onPick={(layer) => move(track, index, layer)}
                      />
                    ))}
                  </>
                )}
              </SortItem>
            ))}
          </SortList>
        </div>
      </div>
    </section>
  );
};
