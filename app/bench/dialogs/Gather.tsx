import { useEffect, useMemo, useState } from "react";
import { Button, Form, Modal, Table } from "react-bootstrap";
import { useNavigate } from "react-router";
import type { Id } from "#core/basics";
import { addGathered, freeName, topmost } from "#core/edit";
import { drawingOf, planFromNames, planProblems, traitNameFor } from "#core/gather";
import type { Drawing, DrawnLayer, Fixed, NamePlan, Track } from "#core/gather";
import { findBox } from "#core/layout";
import { changesIn, looksIn } from "#core/looks";
import { newId, orderAfter } from "#core/project";
import type { LayerChanges } from "#core/project";
import { heavy } from "../../services/heavy";
import { Icon } from "../../ui/Icon";
import { SortItem, SortList } from "../../ui/SortList";
import { activeScene } from "../state/active";
import { useBench, useWorkpiece } from "../state/context";
import { Canvas } from "../../parts/Canvas";
import { Tool } from "../../ui/Tool";
import { dialogsWords } from "./words";

/** Surer than this needs no second look. */
const SURE = 0.72;

/** The chosen groups as drawings, read once when the window opens. */
const useDrawings = () => {
  const workpiece = useWorkpiece();
  return useState(() => {
    const { piece, active, state } = workpiece;
    const scene = piece && active && activeScene(piece, active, state);
    if (!piece || !active || !scene)
      return { drawings: [] as Drawing[], scenes: [], ids: [] as Id[] };
    const looks = looksIn(piece, active.variant);
    const said = (id: Id): LayerChanges =>
      Object.assign({}, ...changesIn(looks, id)) as LayerChanges;
    const ids = topmost(piece, state.chosen).sort((a, b) => {
      const p = findBox(scene, a);
      const q = findBox(scene, b);
      return (p?.y ?? 0) - (q?.y ?? 0) || (p?.x ?? 0) - (q?.x ?? 0);
    });
    const found = ids.flatMap((id) => {
      const p = findBox(scene, id)?.placed;
      return p ? [p] : [];
    });
    return {
      drawings: found.map((p) => drawingOf(p.layer.name, p, said)),
      scenes: found.map((p) => ({ ...p, x: 0, y: 0 })),
      ids,
    };
  })[0];
};

const Names = ({
  plan,
  drawings,
  scenes,
  onPlan,
}: {
  plan: NamePlan;
  drawings: readonly Drawing[];
  scenes: ReturnType<typeof useDrawings>["scenes"];
  onPlan: (p: NamePlan) => void;
}) => {
  const problems = planProblems(plan);
  const withRows = (rows: NamePlan["rows"], traits = plan.traits) =>
    onPlan({
      ...plan,
      rows,
      traits: traits.map((t, i) => ({
        ...t,
        values: [...new Set(rows.map((r) => r[i] ?? ""))].filter((v) => v !== ""),
      })),
    });
  const cell = (row: number, column: number, text: string) =>
    withRows(plan.rows.map((r, i) => (i === row ? r.map((v, k) => (k === column ? text : v)) : r)));
  const add = () =>
    withRows(
      plan.rows.map((r, i) => [...r, String(i + 1)]),
      [
        ...plan.traits,
        {
          name: traitNameFor(
            ["1", "2"],
            plan.traits.map((t) => t.name),
          ),
          values: [],
        },
      ],
    );
  const drop = (c: number) =>
    withRows(
      plan.rows.map((r) => r.filter((_, i) => i !== c)),
      plan.traits.filter((_, i) => i !== c),
    );
  return (
    <section aria-labelledby="gather-names">
      <div className="gather-head">
        <h3 id="gather-names">{dialogsWords.whatNamesSay}</h3>
        <label>
          {dialogsWords.component}{" "}
          <Form.Control
            size="sm"
            className="gather-name"
            aria-label={dialogsWords.nameComponent}
            value={plan.component}
            onChange={(e) => onPlan({ ...plan, component: e.target.value })}
          />
        </label>
      </div>
      <div className="gather-room">
        <Table className="gather-table">
          <thead>
            <tr>
              <th>{dialogsWords.drawing}</th>
              {plan.traits.map((t, c) => (
                <th key={c}>
                  <span className="gather-trait">
                    <Form.Control
                      size="sm"
                      aria-label={dialogsWords.nameTrait(c)}
                      value={t.name}
                      onChange={(e) =>
                        onPlan({
                          ...plan,
                          traits: plan.traits.map((x, i) =>
                            i === c ? { ...x, name: e.target.value } : x,
                          ),
                        })
                      }
                    />
                    {plan.traits.length > 1 && (
                      <Tool
                        size="sm"
                        icon="close"
                        iconSize={11}
                        label={dialogsWords.removeTrait(t.name)}
                        onClick={() => drop(c)}
                      />
                    )}
                  </span>
                </th>
              ))}
              <th>
                <Tool
                  size="sm"
                  icon="plus"
                  iconSize={13}
                  label={dialogsWords.oneMoreTrait}
                  onClick={add}
                />
              </th>
            </tr>
          </thead>
          <tbody>
            {plan.rows.map((row, r) => (
              <tr key={r} className={problems.some((p) => p.row === r) ? "bad" : ""}>
                <th scope="row">
                  <span className="gather-drawing">
                    <span className="gather-thumb">
                      {scenes[r] && (
                        <Canvas
                          placed={scenes[r]}
                          zoom={Math.min(1, 70 / scenes[r].width, 34 / scenes[r].height)}
                        />
                      )}
                    </span>
                    <span className="gather-label">{drawings[r]?.name}</span>
                  </span>
                </th>
                {row.map((v, c) => (
                  <td key={c}>
                    <Form.Control
                      size="sm"
                      aria-label={dialogsWords.of(plan.traits[c]?.name, drawings[r]?.name)}
                      list={dialogsWords.gather(c)}
                      value={v}
                      onChange={(e) => cell(r, c, e.target.value)}
                    />
                  </td>
                ))}
                <td />
              </tr>
            ))}
          </tbody>
        </Table>
        {plan.traits.map((t, c) => (
          <datalist key={c} id={`gather-${c}`}>
            {t.values.map((v) => (
              <option key={v} value={v} />
            ))}
          </datalist>
        ))}
      </div>
      {problems.length > 0 && (
        <p className="refusal" role="alert">
          {problems[0]?.text}
        </p>
      )}
    </section>
  );
};

const sureClass = (part: string | null, sure: number): string => {
  if (part === null) return " none";
  return sure < SURE ? " unsure" : "";
};

const unsureWords = (count: number): string => {
  if (count === 0) return dialogsWords.allPairsAreClear;
  return count === 1 ? dialogsWords.n1PairWorthLook : dialogsWords.pairsAreWorthLook(count);
};

const chip = (l: DrawnLayer | undefined) => {
  const fill = l?.values.fill;
  return typeof fill === "string" && fill !== "none" ? (
    <span className="chip" style={{ background: fill }} />
  ) : (
    <Icon name={l?.kind ?? "box"} size={13} />
  );
};

const Pairs = ({
  tracks,
  drawings,
  fixed,
  onFixed,
  onOrder,
}: {
  tracks: readonly Track[];
  drawings: readonly Drawing[];
  fixed: Fixed;
  onFixed: (f: Fixed) => void;
  onOrder: (id: Id, index: number) => void;
}) => {
  const byId = useMemo(
    () => drawings.map((d) => new Map(d.layers.map((l) => [l.id, l]))),
    [drawings],
  );
  const depth = (t: Track): number => {
    const d = t.parts.findIndex((p) => p !== null);
    let n = 0;
    for (let l = byId[d]?.get(t.parts[d] ?? ""); l && l.parent !== null; l = byId[d]?.get(l.parent))
      n++;
    return n;
  };
  const move = (track: Track, d: number, layer: string) => {
    const next: Record<Id, Id | null> = { ...fixed };
    const was = track.parts[d];
    if (was) next[was] = null;
    if (layer !== "") next[layer] = track.id;
    onFixed(next);
  };
  return (
    <section aria-labelledby="gather-pairs">
      <div className="gather-head">
        <h3 id="gather-pairs">{dialogsWords.whichLayersAreSame}</h3>
        <span className="note">{dialogsWords.lineOneLayerComponent}</span>
      </div>
      <div className="gather-room tall">
        <div
          className="gather-pairs"
          role="table"
          aria-label={dialogsWords.pairsLayers}
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
            {tracks.map((t, index) => (
              <SortItem key={t.id} id={t.id} name={t.name} className="gather-row">
                {(grip) => (
                  <>
                    <span role="rowheader" style={{ paddingLeft: depth(t) * 12 }}>
                      {index > 0 ? grip : <span className="grip" />}
                      {t.name}
                    </span>
                    {drawings.map((d, i) => {
                      const part = t.parts[i] ?? null;
                      const layer = part === null ? undefined : byId[i]?.get(part);
                      const sure = t.sure[i] ?? 0;
                      return (
                        <span
                          key={i}
                          role="cell"
                          className={`gather-part${sureClass(part, sure)}`}
                          title={
                            part === null
                              ? dialogsWords.notShownThisDrawing
                              : dialogsWords.sure(sure * 100)
                          }
                        >
                          {part !== null && chip(layer)}
                          <Form.Select
                            size="sm"
                            aria-label={dialogsWords.inName(t.name, d.name)}
                            disabled={index === 0}
                            value={part ?? ""}
                            onChange={(e) => move(t, i, e.target.value)}
                          >
                            <option value="">{dialogsWords.notThere}</option>
                            {(index === 0 ? d.layers : d.layers.slice(1)).map((l) => (
                              <option key={l.id} value={l.id}>
                                {l.name}
                              </option>
                            ))}
                          </Form.Select>
                          {part !== null && i > 0 && (
                            <span
                              className="gather-sure"
                              style={{ width: `${Math.round(sure * 100)}%` }}
                            />
                          )}
                        </span>
                      );
                    })}
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

/**
 * Several separately drawn groups become one component: names and pairs are proposed, can be
 * corrected, and only then something is made.
 */
export const Gather = () => {
  const workpiece = useWorkpiece();
  const navigate = useNavigate();
  const close = useBench((s) => s.closeDialog);
  const { drawings, scenes, ids } = useDrawings();
  const [plan, setPlan] = useState<NamePlan>(() => planFromNames(drawings.map((d) => d.name)));
  const [fixed, setFixed] = useState<Fixed>({});
  const [tracks, setTracks] = useState<readonly Track[] | null>(null);
  const [order, setOrder] = useState<readonly Id[]>([]);
  const [replace, setReplace] = useState(true);
  const [missing, setMissing] = useState(true);
  const [busy, setBusy] = useState(false);
  useEffect(() => {
    let stale = false;
    void heavy()
      .pairDrawings(drawings, fixed)
      .then((t) => {
        if (!stale) setTracks(t);
      });
    return () => {
      stale = true;
    };
  }, [drawings, fixed]);
  // what was put into another order by hand stays there when pairs change
  const sorted = useMemo(() => {
    if (!tracks) return [];
    const place = new Map(order.map((id, i) => [id, i]));
    return [...tracks].sort(
      (a, b) =>
        (place.get(a.id) ?? 1e6) - (place.get(b.id) ?? 1e6) ||
        tracks.indexOf(a) - tracks.indexOf(b),
    );
  }, [tracks, order]);
  const reorder = (id: Id, index: number) => {
    const rest = sorted.map((t) => t.id).filter((t) => t !== id);
    rest.splice(Math.max(1, index), 0, id);
    setOrder(rest);
  };
  const problems = planProblems(plan);
  const unsure = sorted.reduce(
    (n, t) => n + t.parts.filter((p, i) => p !== null && i > 0 && (t.sure[i] ?? 0) < SURE).length,
    0,
  );
  const make = async () => {
    setBusy(true);
    const { project } = workpiece;
    const id = newId();
    const names = Object.values(project.pieces).map((p) => p.name);
    const named = { ...plan, component: freeName(plan.component.trim(), names) };
    const order = orderAfter(Object.values(project.pieces));
    const made = await heavy().buildGathered(drawings, sorted, named, id, order, missing);
    setBusy(false);
    const gathered = ids.map((layer, i) => ({ layer, values: named.rows[i] ?? [] }));
    if (!workpiece.run((_, home) => addGathered(made, gathered, replace ? home : null))) return;
    close();
    void navigate(`/projects/${workpiece.session.id}/pieces/${id}`);
  };
  return (
    <Modal
      show
      onHide={close}
      size="xl"
      aria-labelledby="gather-title"
      className="gather"
      backdrop="static"
    >
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="gather-title">
          {dialogsWords.gatherDrawingsIntoOne(drawings.length)}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <Names plan={plan} drawings={drawings} scenes={scenes} onPlan={setPlan} />
        {tracks === null ? (
          <p className="quiet" role="status">
            {dialogsWords.pairingLayers}
          </p>
        ) : (
          <Pairs
            tracks={sorted}
            drawings={drawings}
            fixed={fixed}
            onFixed={setFixed}
            onOrder={reorder}
          />
        )}
      </Modal.Body>
      <Modal.Footer>
        <label className="only">
          <Form.Check.Input checked={replace} onChange={(e) => setReplace(e.target.checked)} />{" "}
          {dialogsWords.putCopiesPlaceDrawings}
        </label>
        <label className="only">
          <Form.Check.Input checked={missing} onChange={(e) => setMissing(e.target.checked)} />{" "}
          {dialogsWords.combinationsNobodyDrewAre}
        </label>
        <span className="note push">{tracks !== null && unsureWords(unsure)}</span>
        <Button
          size="sm"
          disabled={busy || tracks === null || problems.length > 0}
          onClick={() => void make()}
        >
          {busy ? dialogsWords.making : dialogsWords.makeComponent}
        </Button>
      </Modal.Footer>
    </Modal>
  );
};
