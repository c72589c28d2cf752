import { useEffect, useMemo, useState } from "react";
import { Button, Form, Modal } from "react-bootstrap";
import { useNavigate } from "react-router";
import type { Id } from "#core/basics";
import { addGathered, freeName, topmost } from "#core/edit";
import { drawingOf, planFromNames, planProblems } from "#core/gather";
import type { Drawing, Fixed, NamePlan, Track } from "#core/gather";
import { findBox } from "#core/layout";
import { changesIn, looksIn } from "#core/looks";
import { newId, orderAfter } from "#core/project";
import type { LayerChanges } from "#core/project";
import { heavy } from "../../services/heavy";
import { useBench, useWorkpiece } from "../state/context";
import { Names } from "./GatherNames";
import { Pairs, SURE } from "./GatherPairs";
import { dialogsWords } from "./words";

/** The chosen groups as drawings, read once when the window opens. */
const useDrawings = () => {
  const workpiece = useWorkpiece();
  return useState(() => {
    const { piece, active, scene, state } = workpiece;
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

const unsureWords = (count: number): string => {
  if (count === 0) return dialogsWords.allLayersMatched;
  return count === 1 ? dialogsWords.matchReview : dialogsWords.matchesReview(count);
};

/** Which layers of the drawings are the same: proposed, and as a person corrects it. */
const usePairs = (drawings: readonly Drawing[]) => {
  const [fixed, setFixed] = useState<Fixed>({});
  const [tracks, setTracks] = useState<readonly Track[] | null>(null);
  const [order, setOrder] = useState<readonly Id[]>([]);
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
  const unsure = sorted.reduce(
    (n, t) => n + t.parts.filter((p, i) => p !== null && i > 0 && (t.sure[i] ?? 0) < SURE).length,
    0,
  );
  return { tracks, sorted, unsure, fixed, setFixed, reorder };
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
  const { tracks, sorted, unsure, fixed, setFixed, reorder } = usePairs(drawings);
  const [replace, setReplace] = useState(true);
  const [missing, setMissing] = useState(true);
  const [busy, setBusy] = useState(false);
  const problems = planProblems(plan);
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
    void navigate(`${workpiece.session.home}/pieces/${id}`);
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
            {dialogsWords.matchingLayers}
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
          {dialogsWords.replaceDrawingsWithCopies}
        </label>
        <label className="only">
          <Form.Check.Input checked={missing} onChange={(e) => setMissing(e.target.checked)} />{" "}
          {dialogsWords.markCombinationsWithoutDrawing}
        </label>
        <span className="note push">{tracks !== null && unsureWords(unsure)}</span>
        <Button
          size="sm"
          disabled={busy || tracks === null || problems.length > 0}
          onClick={() => void make()}
        >
          {busy ? dialogsWords.creating : dialogsWords.createComponent}
        </Button>
      </Modal.Footer>
    </Modal>
  );
};
