import { useState } from "react";
import { withLane } from "#core/edit";
import { laneLabel, laneOf } from "#core/motion";
import type { LaneName } from "#core/motion";
import { ROOT } from "#core/project";
import { registry, titleOf } from "#core/properties";
import { useChosen } from "../state/context";
import { LaneRow } from "./LaneRow";
import type { useHead } from "./playing/useHead";
import { useLaneView } from "./useLaneView";
import type { LaneView } from "./useLaneView";
import { keyStep } from "../../ui/keys";
import { rowKey } from "./useTiming";
import type { Timed } from "./useTiming";
import { ValueAt } from "./ValueAt";
import { Tool } from "../../ui/Tool";
import { Pick } from "../../ui/fields/Pick";
import { timingWords } from "./words";

type Head = ReturnType<typeof useHead>;
interface Props {
  timed: Timed;
  picked: readonly (LaneName | null)[];
  onPick: (name: LaneName | null, add: boolean) => void;
  head: Head;
  /** whether the times of the way back are drawn, too */ withBack: boolean;
}

/** The ruler, along which the playhead is dragged. */
const TimeRuler = ({
  timed,
  view,
  measure,
  head,
}: {
  timed: Timed;
  view: LaneView;
  measure: (el: HTMLDivElement | null) => void;
  head: Head;
}) => {
  const scrub = (e: React.PointerEvent<HTMLElement>) => {
    if (e.type === "pointermove" && e.buttons !== 1) return;
    const box = e.currentTarget.getBoundingClientRect();
    const raw = view.first + (e.clientX - box.left) / view.scale;
    if (e.type === "pointerdown") e.currentTarget.setPointerCapture(e.pointerId);
    head.seek(Math.min(timed.shown, e.altKey ? raw : Math.round(raw / 5) * 5));
  };
  const nudge = (e: React.KeyboardEvent) => {
    const by = keyStep(e.key, "ArrowLeft", "ArrowRight");
    const ends: Readonly<Record<string, number>> = { Home: 0, End: timed.length };
    if (!by && ends[e.key] === undefined) return;
    e.preventDefault();
    e.stopPropagation();
    const stepped = Math.max(0, (head.at ?? 0) + by * (e.shiftKey ? 50 : 5));
    const at = ends[e.key] ?? stepped;
    head.seek(at);
    view.reveal(at);
  };
  return (
    <div className="lane-row ruler">
      <div className="lane-name">
        <span className="quiet small-text">{timingWords.msTotal(timed.length)}</span>
        <span className="line push">
          <Tool
            size="sm"
            icon="minus"
            iconSize={11}
            label={timingWords.zoomOut}
            onClick={() => view.zoomBy(1 / 1.5)}
            disabled={view.zoom <= 1}
          />
          <Tool
            size="sm"
            icon="plus"
            iconSize={11}
            label={timingWords.zoom}
            title={timingWords.ctrlWheelShiftWheel}
            onClick={() => view.zoomBy(1.5)}
          />
        </span>
      </div>
      <div
        className="lane-track time"
        ref={measure}
        role="slider"
        tabIndex={0}
        aria-label={timingWords.playhead}
        aria-valuemin={0}
        aria-valuemax={Math.round(timed.shown)}
        aria-valuenow={Math.round(head.at ?? 0)}
        aria-valuetext={timingWords.atMs(Math.round(head.at ?? 0))}
        onPointerDown={scrub}
        onPointerMove={scrub}
        onKeyDown={nudge}
      >
        <div className="lane-time" style={view.away}>
          {head.at !== null && (
            <span className="head-grip" style={{ left: head.at * view.scale }} />
          )}
          {view.marks.map((m) => (
            <span key={m} className="hour mono" style={{ left: m * view.scale }}>
              {m}
            </span>
          ))}
        </div>
      </div>
    </div>
  );
};

interface NewLaneProps {
  readonly timed: Timed;
  readonly onMade: (name: LaneName) => void;
}

/** A lane for a property of a layer that does not change otherwise: of the chosen one, to begin. */
const NewLane = ({ timed, onMade }: NewLaneProps) => {
  const { piece, motion } = timed;
  const [chosen] = useChosen();
  const [picked, setPicked] = useState<string | null>(null);
  const layers = Object.values(piece.layers);
  const layer = piece.layers[picked ?? chosen ?? ROOT] ?? piece.layers[chosen ?? ROOT];
  if (!layer) return null;
  const keys = registry.filter(
    (p) =>
      p.kinds.includes(layer.kind) &&
      ["number", "pair", "colour", "fill"].includes(p.type.is) &&
      (p.mixing !== "layout" || ["x", "y", "width", "height"].includes(p.key)) &&
      !laneOf(motion, { layer: layer.id, key: p.key }),
  );
  const make = (key: string) => {
    timed.set(withLane(motion, { layer: layer.id, key }, {}));
    onMade({ layer: layer.id, key });
  };
  return (
    <div className="lane-row">
      <div className="lane-name wide">
        <span className="quiet">{timingWords.addLane}</span>
        <Pick
          search
          label={timingWords.layerOfNewLane}
          value={layer.id}
          options={layers.map((l) => ({ value: l.id, words: l.name }))}
          onPick={setPicked}
        />
        <Pick
          label={timingWords.addLane}
          value=""
          options={[
            { value: "", words: timingWords.property },
            ...keys.map((p) => ({ value: p.key, words: titleOf(p.key) })),
          ]}
          onPick={(key) => {
            if (key !== "") make(key);
          }}
        />
      </div>
      <div className="lane-track" />
    </div>
  );
};

/** Lanes of a change on a ruler of time. */
export const Lanes = ({ timed, picked, onPick, head, withBack }: Props) => {
  const { motion, moving } = timed;
  const { view, lanes, measure } = useLaneView(timed, head);
  const [open, setOpen] = useState<readonly string[]>([]);
  const [guide, setGuide] = useState<number | null>(null);
  const row = {
    timed,
    view,
    head: head.at,
    picked,
    back: withBack && timed.back && timed.back !== "same" ? timed.back.motion : null,
    onPick,
    onGuide: setGuide,
    onSeek: head.seek,
  };
  const x = (ms: number) => ({
    left: `calc(var(--lane-names) + ${(ms - view.first) * view.scale}px)`,
  });
  const fold = (layer: string) =>
    setOpen(open.includes(layer) ? open.filter((o) => o !== layer) : [...open, layer]);
  return (
    <div className="lanes" ref={lanes}>
      <TimeRuler timed={timed} view={view} measure={measure} head={head} />
      <div className="lane-rows">
        <LaneRow {...row} name={null}>
          <span className="strong">{timingWords.allLayers}</span>
        </LaneRow>
        {moving.map(({ layer, name, keys }) => {
          const unfolded = open.includes(layer);
          const shown = keys.filter((k) => unfolded || laneOf(motion, { layer, key: k }));
          return [
            <LaneRow {...row} key={layer} name={{ layer, key: null }}>
              <Tool
                size="sm"
                icon={unfolded ? "down" : "right"}
                iconSize={11}
                label={timingWords.properties(name)}
                className="fold"
                aria-expanded={unfolded}
                onClick={(e) => {
                  e.stopPropagation();
                  fold(layer);
                }}
              />
              <span className="lane-words">{name}</span>
            </LaneRow>,
            ...shown.map((key) => (
              <LaneRow {...row} key={rowKey({ layer, key })} name={{ layer, key }}>
                <span className="lane-words">{laneLabel(key)}</span>
                <ValueAt timed={timed} name={{ layer, key }} head={head} />
              </LaneRow>
            )),
          ];
        })}
        {moving.length === 0 && (
          <p className="note padded">
            {timed.away ? timingWords.changesScreenBothScreens : timingWords.noLayersChangeHere}
          </p>
        )}
        <NewLane
          timed={timed}
          onMade={(name) => {
            setOpen([...open, name.layer]);
            onPick(name, false);
          }}
        />
        {guide !== null && <div className="lane-guide" style={x(guide)} />}
        {head.at !== null && head.at >= view.first && (
          <div className="lane-head" style={x(head.at)} />
        )}
      </div>
    </div>
  );
};
