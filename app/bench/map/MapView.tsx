import { Controls, Handle, MarkerType, Position, ReactFlow } from "@xyflow/react";
import type { Edge, Node, NodeProps } from "@xyflow/react";
import { memo, useEffect, useMemo, useRef, useState } from "react";
import type { Id } from "#core/basics";
import { valueKey } from "#core/checks";
import type { MapLink, PieceMap } from "#core/checks";
import { triggerText } from "#core/describe";
import type { LayoutEnv } from "#core/layout";
import {
  restingName,
  restingVariant,
  traitsOf,
  valuesOf,
  variantKey,
  variantName,
} from "#core/looks";
import { rulesOf } from "#core/machine";
import type { Piece, Rule, TriggerType, Variant } from "#core/project";
import { useDisplayedProject } from "../../session/displayed";
import { Swatch } from "../../ui/Icon";
import { PLACE } from "../../../workers/arrange";
import type { Arranged } from "../../../workers/arrange";
import { arrangedMap } from "../../services/inspector";
import { Choices } from "../../ui/fields/Choices";
import { Pick } from "../../ui/fields/Pick";
import { useBench, usePiece } from "../state/context";
import { PlainWay } from "./PlainWay";
import { WaitingWay } from "./WaitingWay";
import type { Wait } from "./WaitingWay";
import "@xyflow/react/dist/base.css";
import "./map.scss";
import { mapWords } from "./words";

interface PlaceData extends Record<string, unknown> {
  readonly name: string;
  readonly pattern: number | null;
  readonly state: "plain" | "lost" | "ends" | "now";
  readonly rest: boolean;
}

const stateWords: Readonly<Partial<Record<PlaceData["state"], string>>> = {
  lost: mapWords.neverReached,
  ends: mapWords.deadEnd,
};

const stateOf = (
  node: PieceMap["nodes"][number],
  here: boolean,
  map: PieceMap,
): PlaceData["state"] => {
  if (here) return "now";
  if (!node.reached) return "lost";
  return node.ends && map.links.length > 0 ? "ends" : "plain";
};

const MapPlace = memo(function Place({ data }: NodeProps<Node<PlaceData>>) {
  const said =
    stateWords[data.state] ?? (data.rest && data.name !== restingName ? restingName : "");
  return (
    <div className={`place ${data.state}`} title={said || undefined}>
      <Handle type="target" position={Position.Left} isConnectable={false} />
      {data.pattern === null && !said ? (
        data.name
      ) : (
        <>
          <span className="place-name">
            {data.pattern !== null && <Swatch pattern={data.pattern} />}
            <span>{data.name}</span>
          </span>
          {said && <span className="place-said">{said}</span>}
        </>
      )}
      <Handle type="source" position={Position.Right} isConnectable={false} />
      <Handle id="back-out" type="source" position={Position.Bottom} isConnectable={false} />
      <Handle id="back-in" type="target" position={Position.Bottom} isConnectable={false} />
    </div>
  );
});
const nodeTypes = { place: MapPlace };
const edgeTypes = { waiting: WaitingWay, line: PlainWay };

/** Traits as lanes, one under another, their values from left to right. */
const lanes = (piece: Piece): Arranged =>
  Object.fromEntries(
    traitsOf(piece).flatMap((t, row) =>
      valuesOf(t).map((v, i) => [
        valueKey(t.id, v.id),
        { x: 20 + i * (PLACE.width + 96), y: 20 + row * (PLACE.height + 44) },
      ]),
    ),
  );

const triggersOf = (map: PieceMap): (TriggerType | "undone")[] => [
  ...new Set(map.links.flatMap((l) => l.triggers)),
];
const words = (t: TriggerType | "undone"): string => (t === "undone" ? "undone" : triggerText(t));

/** What is written on a way: what sets it off, and while it waits, that it does. */
const linkText = (rules: readonly Rule[], link: MapLink): string => {
  const said = link.triggers
    .filter((t) => t !== "undone")
    .map((t) => {
      const rule = rules.find((r) => r.trigger.type === t && link.rules.includes(r.id));
      return t === "delay" && rule ? mapWords.after(rule.trigger.ms ?? 0) : words(t);
    });
  return said.length > 2 ? `${said[0]} + ${said.length - 1}` : said.join(", ");
};

const nodesOf = (piece: Piece, map: PieceMap, at: Arranged, now: Variant): Node<PlaceData>[] =>
  map.nodes.map((n) => {
    const [traitId] = Object.keys(n.variant);
    const trait = map.byVariant ? undefined : piece.traits[traitId ?? ""];
    const value = trait?.values[n.variant[trait.id] ?? ""];
    const here = map.byVariant
      ? n.key === variantKey(piece, now)
      : trait !== undefined && now[trait.id] === value?.id;
    return {
      id: n.key,
      type: "place",
      position: at[n.key] ?? { x: 0, y: 0 },
      width: PLACE.width,
      height: PLACE.height,
      draggable: false,
      connectable: false,
      data: {
        rest: map.byVariant && n.key === variantKey(piece, restingVariant(piece)),
        name: trait
          ? `${trait.name}: ${value?.name ?? ""}`
          : variantName(piece, n.variant) || mapWords.onlyVariant,
        pattern: trait?.pattern ?? null,
        state: stateOf(n, here, map),
      },
    };
  });

/**
 * With more ways than this only lines are drawn; what a way is called is told when it is pointed
 * at.
 */
const MOST_LABELS = 150;

/** The links of a map that something sets off; all of them for the empty text. */
const linksOf = (map: PieceMap, trigger: string): readonly MapLink[] =>
  map.links.filter((l) => trigger === "" || l.triggers.some((t) => t === trigger));

const arrow = (waits: boolean) => ({
  type: MarkerType.ArrowClosed,
  width: 16,
  height: 16,
  color: waits ? "#b4501d" : "#5f6f6a",
});

/** How a way is drawn: a plain line among many, else with its words; waiting, it counts down. */
const edgeOf = (
  rules: readonly Rule[],
  l: MapLink,
  { many, around, wait }: { many: boolean; around: boolean; wait: Wait | undefined },
): Edge => {
  const undone = l.triggers.every((t) => t === "undone");
  const line = many && !wait;
  const words = linkText(rules, l);
  const bent = { type: "smoothstep", sourceHandle: "back-out", targetHandle: "back-in" };
  return {
    id: `${l.from} ${l.to}`,
    source: l.from,
    target: l.to,
    ...(around ? bent : {}),
    ...(line ? { type: "line" } : {}),
    ...(wait ? { type: "waiting" } : {}),
    label: undone || line ? undefined : words,
    className: `way${wait ? " waits" : ""}${undone ? " undone" : ""}`,
    ...(line ? {} : { markerEnd: arrow(wait !== undefined) }),
    data: { rules: l.rules, ...(many ? { words } : {}), ...(wait ? { wait, around } : {}) },
    labelBgPadding: [4, 2],
    labelBgBorderRadius: 4,
  };
};

const edgesOf = (
  rules: readonly Rule[],
  map: PieceMap,
  at: Arranged,
  trigger: string,
  here: ReadonlySet<string>,
  waits: ReadonlyMap<Id, Wait>,
): Edge[] => {
  const many = map.links.length > MOST_LABELS;
  return linksOf(map, trigger).map((l) => {
    const around = (at[l.to]?.x ?? 0) <= (at[l.from]?.x ?? 0);
    const [wait] = here.has(l.from) ? l.rules.flatMap((r) => waits.get(r) ?? []) : [];
    return edgeOf(rules, l, { many, around, wait });
  });
};

/** More variants than this are first shown by trait. */
const MOST_AT_FIRST = 12;

/** Where the places of a map lie; computed in the worker, and null until then. */
const useArranged = (env: LayoutEnv, map: PieceMap | null): Arranged | null => {
  const piece = usePiece();
  const [layout, setLayout] = useState<{ map: PieceMap; at: Arranged } | null>(null);
  const rows = useMemo(() => lanes(piece), [piece]);
  useEffect(() => {
    if (!map?.byVariant) return;
    let stale = false;
    void arrangedMap(env, map).then((at) => {
      if (!stale) setLayout({ map, at });
    });
    return () => {
      stale = true;
    };
  }, [env, map]);
  if (map && !map.byVariant) return rows;
  return layout?.map === map ? (layout?.at ?? null) : null;
};

/** The waits of the running copy, by their rules. */
const useWaits = (): ReadonlyMap<Id, Wait> => {
  const running = useBench((s) => s.running);
  return useMemo(
    () =>
      new Map(
        (running?.waits ?? []).map((w) => [
          w.rule,
          { left: w.left, since: running?.since ?? 0, rate: running?.rate ?? 1 },
        ]),
      ),
    [running],
  );
};

interface DrawnProps {
  readonly map: PieceMap;
  readonly at: Arranged;
  /** only ways set off by it; empty for all */
  readonly trigger: string;
}

/** The map itself: places to be shown in Try, ways that lead to their rules. */
const Drawn = ({ map, at, trigger }: DrawnProps) => {
  const project = useDisplayedProject();
  const piece = usePiece();
  const now = useBench((s) => s.running?.variant);
  const want = useBench((s) => s.want);
  const showRules = useBench((s) => s.showRules);
  const waits = useWaits();
  const room = useRef<HTMLDivElement>(null);
  const nodes = useMemo(() => nodesOf(piece, map, at, now ?? {}), [piece, map, at, now]);
  const edges = useMemo(() => {
    const here = nodes.filter((n) => n.data.state === "now").map((n) => n.id);
    return edgesOf(rulesOf(project, piece), map, at, trigger, new Set(here), waits);
  }, [project, piece, map, at, trigger, nodes, waits]);
  const show = (key: string) => {
    const found = map.nodes.find((n) => n.key === key);
    if (found) want({ ...found.variant });
  };
  return (
    <div className="map-flow" ref={room}>
      <ReactFlow
        key={`${map.byVariant}`}
        nodes={nodes}
        edges={edges}
        nodeTypes={nodeTypes}
        edgeTypes={edgeTypes}
        fitView
        fitViewOptions={{ maxZoom: 1, padding: 0.08 }}
        onMove={(e) => {
          if (e) room.current?.classList.add("moving");
        }}
        onMoveEnd={() => room.current?.classList.remove("moving")}
        minZoom={0.1}
        maxZoom={2}
        nodesConnectable={false}
        onNodeClick={(_e, n) => show(n.id)}
        onEdgeClick={(_e, edge) => showRules((edge.data?.rules ?? []) as string[])}
        ariaLabelConfig={{ "node.a11yDescription.default": mapWords.pressEnterShowTry }}
      >
        <Controls showInteractive={false} />
      </ReactFlow>
    </div>
  );
};

interface FilterProps {
  readonly map: PieceMap;
  /** too many variants to be drawn one by one */
  readonly folded: boolean;
  readonly trigger: string;
  readonly onTrigger: (trigger: string) => void;
  readonly onByTrait: (byTrait: boolean) => void;
}

/** By what the map is drawn, and which ways it shows. */
const Filter = ({ map, folded, trigger, onTrigger, onByTrait }: FilterProps) => {
  const shown = linksOf(map, trigger).length;
  return (
    <div className="rule-filter">
      <Choices
        label={mapWords.group}
        value={map.byVariant ? "variant" : "trait"}
        choices={[
          { value: "trait", words: mapWords.trait },
          {
            value: "variant",
            words: mapWords.variant,
            disabled: folded,
            ...(folded ? { title: mapWords.tooManyVariantsShow } : {}),
          },
        ]}
        onChoose={(by) => onByTrait(by === "trait")}
      />
      <Pick
        label={mapWords.showTransitionsWithTrigger}
        value={trigger}
        options={[
          { value: "", words: mapWords.allTriggers },
          ...triggersOf(map).map((t) => ({ value: t, words: words(t) })),
        ]}
        onPick={onTrigger}
      />
      <span className="quiet push">
        {mapWords.transitionsClickCardShow(map.nodes.length, map.byVariant, shown)}
      </span>
    </div>
  );
};

/** What leads from which variant to which, live with what is being tried. */
export const MapView = ({ env }: { env: LayoutEnv }) => {
  const maps = useBench((s) => s.inspection?.maps);
  const [chosen, setByTrait] = useState<boolean | null>(null);
  const [trigger, setTrigger] = useState("");
  const byTrait = chosen ?? (maps?.byVariant?.nodes.length ?? 0) > MOST_AT_FIRST;
  const map = (byTrait ? maps?.byTrait : (maps?.byVariant ?? maps?.byTrait)) ?? null;
  const at = useArranged(env, map);
  if (!map || map.nodes.length === 0)
    return (
      <p className="drawer-empty">
        {maps ? mapWords.noMapYetPiece : mapWords.exploringAllSituations}
      </p>
    );
  return (
    <div className="map">
      <Filter
        map={map}
        folded={!maps?.byVariant}
        trigger={trigger}
        onTrigger={setTrigger}
        onByTrait={setByTrait}
      />
      <div className="map-room">
        {at ? (
          <Drawn map={map} at={at} trigger={trigger} />
        ) : (
          <p className="drawer-empty" role="status">
            {mapWords.drawing}
          </p>
        )}
      </div>
    </div>
  );
};
