import { Controls, Handle, MarkerType, Position, ReactFlow } from "@xyflow/react";
import type { Edge, Node, NodeProps } from "@xyflow/react";
import { memo, useEffect, useMemo, useRef, useState } from "react";
import { Form } from "react-bootstrap";
import type { Id } from "#core/basics";
import { valueKey } from "#core/checks";
import type { MapLink, PieceMap } from "#core/checks";
import { triggerText } from "#core/describe";
import type { LayoutEnv } from "#core/layout";
import { restingVariant, traitsOf, valuesOf, variantKey, variantName } from "#core/looks";
import type { Piece, TriggerType, Variant } from "#core/project";
import { Swatch } from "../../ui/Icon";
import { PLACE } from "../../../workers/arrange";
import type { Arranged } from "../../../workers/arrange";
import { arrangedMap } from "../../services/inspector";
import { Choices } from "../../ui/Choices";
import { useBench, usePiece } from "../state/context";
import { PlainWay } from "./PlainWay";
import { WaitingWay } from "./WaitingWay";
import type { Wait } from "./WaitingWay";
import "@xyflow/react/dist/base.css";
import "./map.scss";

interface PlaceData extends Record<string, unknown> {
  readonly name: string;
  readonly pattern: number | null;
  readonly state: "plain" | "lost" | "ends" | "now";
  readonly rest: boolean;
}

const stateWords: Readonly<Partial<Record<PlaceData["state"], string>>> = {
  lost: "never reached",
  ends: "nothing leads on",
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
  const said = stateWords[data.state] ?? (data.rest ? "resting" : "");
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
const linkText = (piece: Piece, link: MapLink): string => {
  const said = link.triggers
    .filter((t) => t !== "undone")
    .map((t) => {
      const rule = link.rules.map((r) => piece.rules[r]).find((r) => r?.trigger.type === t);
      return t === "delay" && rule ? `after ${rule.trigger.ms ?? 0} ms` : words(t);
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
          : variantName(piece, n.variant) || "the only variant",
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

const edgesOf = (
  piece: Piece,
  map: PieceMap,
  at: Arranged,
  trigger: string,
  here: ReadonlySet<string>,
  waits: ReadonlyMap<Id, Wait>,
  many = map.links.length > MOST_LABELS,
): Edge[] =>
  map.links
    .filter((l) => trigger === "" || (l.triggers as readonly string[]).includes(trigger))
    .map((l): Edge => {
      const wait = here.has(l.from)
        ? l.rules.map((r) => waits.get(r)).find((w) => w !== undefined)
        : undefined;
      const around = (at[l.to]?.x ?? 0) <= (at[l.from]?.x ?? 0);
      const undone = l.triggers.every((t) => t === "undone");
      return {
        id: `${l.from} ${l.to}`,
        source: l.from,
        target: l.to,
        ...(around
          ? { type: "smoothstep", sourceHandle: "back-out", targetHandle: "back-in" }
          : {}),
        ...(many && !wait ? { type: "line" } : {}),
        ...(wait ? { type: "waiting" } : {}),
        label: undone || (many && !wait) ? undefined : linkText(piece, l),
        className: `way${wait ? " waits" : ""}${undone ? " undone" : ""}`,
        ...(many && !wait
          ? {}
          : {
              markerEnd: {
                type: MarkerType.ArrowClosed,
                width: 16,
                height: 16,
                color: wait ? "#b4501d" : "#5f6f6a",
              },
            }),
        data: {
          rules: l.rules,
          ...(many ? { words: linkText(piece, l) } : {}),
          ...(wait ? { wait, around } : {}),
        },
        labelBgPadding: [4, 2],
        labelBgBorderRadius: 4,
      };
    });

/** More variants than this are first shown by trait. */
const MOST_AT_FIRST = 12;

/** What leads from which variant to which, live with what is being tried. */
export const MapView = ({ env }: { env: LayoutEnv }) => {
  const piece = usePiece();
  const maps = useBench((s) => s.inspection?.maps);
  const running = useBench((s) => s.running);
  const want = useBench((s) => s.want);
  const showRules = useBench((s) => s.showRules);
  const room = useRef<HTMLDivElement>(null);
  const [chosen, setByTrait] = useState<boolean | null>(null);
  const [trigger, setTrigger] = useState("");
  const byTrait = chosen ?? (maps?.byVariant?.nodes.length ?? 0) > MOST_AT_FIRST;
  const map = (byTrait ? maps?.byTrait : (maps?.byVariant ?? maps?.byTrait)) ?? null;
  const [layout, setLayout] = useState<{ map: PieceMap; at: Arranged } | null>(null);
  useEffect(() => {
    if (!map) return;
    let stale = false;
    if (map.byVariant)
      void arrangedMap(env, map).then((at) => {
        if (!stale) setLayout({ map, at });
      });
    return () => {
      stale = true;
    };
  }, [env, map]);
  const rows = useMemo(() => lanes(piece), [piece]);
  const arrangedAt = layout?.map === map ? layout?.at : null;
  const at = map && !map.byVariant ? rows : arrangedAt;
  const waits = useMemo(
    () =>
      new Map(
        (running?.waits ?? []).map((w) => [
          w.rule,
          { left: w.left, since: running?.since ?? 0, rate: running?.rate ?? 1 },
        ]),
      ),
    [running],
  );
  const nodes = useMemo(
    () => (map && at ? nodesOf(piece, map, at, running?.variant ?? {}) : []),
    [piece, map, at, running],
  );
  const edges = useMemo(
    () =>
      map && at
        ? edgesOf(
            piece,
            map,
            at,
            trigger,
            new Set(nodes.filter((n) => n.data.state === "now").map((n) => n.id)),
            waits,
          )
        : [],
    [piece, map, at, trigger, nodes, waits],
  );
  if (!map || map.nodes.length === 0)
    return (
      <p className="drawer-empty">
        {maps
          ? "There is nothing to draw: the piece has no traits."
          : "Looking at everything the piece can come to …"}
      </p>
    );
  return (
    <div className="map">
      <div className="rule-filter">
        <Choices
          label="Drawn by"
          value={map.byVariant ? "variant" : "trait"}
          choices={[
            { value: "trait", words: "By trait" },
            {
              value: "variant",
              words: "By variant",
              disabled: !maps?.byVariant,
              ...(maps?.byVariant ? {} : { title: "More than 500 variants are folded by trait" }),
            },
          ]}
          onChoose={(by) => setByTrait(by === "trait")}
        />
        <Form.Select
          className="word"
          aria-label="Only ways set off by"
          value={trigger}
          onChange={(e) => setTrigger(e.target.value)}
        >
          <option value="">all ways</option>
          {triggersOf(map).map((t) => (
            <option key={t} value={t}>
              {words(t)}
            </option>
          ))}
        </Form.Select>
        <span className="quiet push">
          {map.nodes.length} {map.byVariant ? "variants" : "values"}, {edges.length} ways. Click one
          to show it in Try, a way to edit its rule.
        </span>
      </div>
      <div className="map-room" ref={room}>
        {at && (
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
            onNodeClick={(_e, n) => {
              const found = map.nodes.find((x) => x.key === n.id);
              if (found) want({ ...found.variant });
            }}
            onEdgeClick={(_e, edge) => showRules((edge.data?.rules ?? []) as string[])}
            ariaLabelConfig={{ "node.a11yDescription.default": "Press Enter to show it in Try" }}
          >
            <Controls showInteractive={false} />
          </ReactFlow>
        )}
        {!at && (
          <p className="drawer-empty" role="status">
            Drawing …
          </p>
        )}
      </div>
    </div>
  );
};
