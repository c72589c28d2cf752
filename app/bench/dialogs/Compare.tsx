import { useEffect, useMemo, useState } from "react";
import { Button, Form, Modal } from "react-bootstrap";
import { layout } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import {
  Resolver,
  differenceText,
  differencesBetween,
  variantKey,
  variantName,
  variantsOf,
} from "#core/looks";
import type { Variant } from "#core/project";
import { Choices } from "../../ui/Choices";
import { useBench, usePiece } from "../state/context";
import { useDisplayedProject } from "../../session/displayed";
import { Canvas } from "../../parts/Canvas";

const BLINK = 550;
const ways = [
  { value: "slide", words: "Slide" },
  { value: "blink", words: "In turn" },
  { value: "beside", words: "Side by side" },
] as const;
type Way = "slide" | "blink" | "beside";

/**
 * Two variants over one another with a slider, in turn, or side by side; and in what they differ,
 * in words.
 */
export const Compare = ({ env, a, b }: { env: LayoutEnv; a: Variant; b: Variant }) => {
  const project = useDisplayedProject();
  const piece = usePiece();
  const openDialog = useBench((s) => s.openDialog);
  const close = useBench((s) => s.closeDialog);
  const choose = useBench((s) => s.choose);
  const look = useBench((s) => s.look);
  const [way, setWay] = useState<Way>("slide");
  const [at, setAt] = useState(50);
  const [second, setSecond] = useState(false);
  useEffect(() => {
    if (way !== "blink") return;
    const timer = setInterval(() => setSecond((s) => !s), BLINK);
    return () => clearInterval(timer);
  }, [way]);
  const scene = (v: Variant) => {
    const tree = new Resolver().tree(project, piece.id, v);
    return tree && layout(env, tree);
  };
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the scenes follow from these
  const [one, two] = useMemo(() => [scene(a), scene(b)], [project, piece, a, b, env]);
  const differences = useMemo(
    () => differencesBetween(project, piece, a, b),
    [project, piece, a, b],
  );
  const w = Math.max(one?.width ?? 1, two?.width ?? 1);
  const h = Math.max(one?.height ?? 1, two?.height ?? 1);
  const zoom = Math.min(4, (way === "beside" ? 320 : 640) / w, 330 / h);
  const others = variantsOf(piece);
  const picker = (label: string, now: Variant, pick: (v: Variant) => void) => (
    <Form.Select
      size="sm"
      aria-label={label}
      value={variantKey(piece, now)}
      onChange={(e) => {
        const v = others.find((o) => variantKey(piece, o) === e.target.value);
        if (v) pick(v);
      }}
    >
      {others.map((v) => (
        <option key={variantKey(piece, v)} value={variantKey(piece, v)}>
          {variantName(piece, v)}
        </option>
      ))}
    </Form.Select>
  );
  const view = (placed: typeof one, style: React.CSSProperties = {}) => (
    <div className="compare-view" style={{ width: w * zoom, height: h * zoom, ...style }}>
      <Canvas placed={placed} zoom={zoom} />
    </div>
  );
  return (
    <Modal show onHide={close} size="xl" aria-labelledby="compare-title" className="compare">
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="compare-title">
          Compare two variants
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <div className="compare-head">
          {picker("First variant", a, (v) => openDialog({ kind: "compare", a: v, b }))}
          <span className="quiet">and</span>
          {picker("Second variant", b, (v) => openDialog({ kind: "compare", a, b: v }))}
          <Choices label="How they are compared" value={way} choices={ways} onChoose={setWay} />
        </div>
        <div className="compare-body">
          <div className="compare-stage">
            {way === "beside" ? (
              <div className="compare-pair">
                {view(one)}
                {view(two)}
              </div>
            ) : (
              <div className="compare-stack" style={{ width: w * zoom, height: h * zoom }}>
                {view(
                  one,
                  way === "blink"
                    ? { visibility: second ? "hidden" : "visible" }
                    : { clipPath: `inset(-40px ${100 - at}% -40px -40px)` },
                )}
                {view(
                  two,
                  way === "blink"
                    ? { visibility: second ? "visible" : "hidden" }
                    : { clipPath: `inset(-40px -40px -40px ${at}%)` },
                )}
                {way === "slide" && <span className="compare-edge" style={{ left: `${at}%` }} />}
              </div>
            )}
            {way === "slide" && (
              <Form.Range
                aria-label="Where one ends and the other begins"
                min={0}
                max={100}
                value={at}
                onChange={(e) => setAt(Number(e.target.value))}
              />
            )}
            {way === "blink" && (
              <p className="note" aria-live="off">
                {variantName(piece, second ? b : a)}
              </p>
            )}
          </div>
          <div className="compare-list">
            <h3 className="caption">
              {differences.length === 0
                ? "No difference"
                : `${differences.length} difference${differences.length === 1 ? "" : "s"}`}
            </h3>
            <ul>
              {differences.map((d) => (
                <li key={`${d.layer.id} ${d.key}`}>
                  <Button
                    variant="link"
                    size="sm"
                    onClick={() => {
                      look(b);
                      choose([d.layer.id]);
                      close();
                    }}
                    title="Go to it in the sheet"
                  >
                    {differenceText(project, d)}
                  </Button>
                </li>
              ))}
            </ul>
            {differences.length === 0 && (
              <p className="note">
                Both variants look the same. If that is meant, one of them may be marked as not
                used.
              </p>
            )}
          </div>
        </div>
      </Modal.Body>
    </Modal>
  );
};
