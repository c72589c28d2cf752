import { useEffect, useMemo, useState } from "react";
import type { CSSProperties } from "react";
import { Button, Form, Modal } from "react-bootstrap";
import { layout } from "#core/layout";
import type { LayoutBox, LayoutEnv } from "#core/layout";
import {
  Resolver,
  differenceText,
  differencesBetween,
  variantKey,
  variantName,
  variantsOf,
} from "#core/looks";
import type { Variant } from "#core/project";
import { Canvas } from "../../parts/shown/Canvas";
import { useDisplayedProject } from "../../session/displayed";
import { Choices } from "../../ui/fields/Choices";
import { useBench, usePiece, useVarying } from "../state/context";
import { dialogsWords } from "./words";

const ways = [
  { value: "slide", words: dialogsWords.split },
  { value: "blink", words: dialogsWords.alternate },
  { value: "beside", words: dialogsWords.sideBySide },
] as const;
type Way = (typeof ways)[number]["value"];

/** How long each of the two shows in turn, ms. */
const BLINK = 550;
/** The room there is for both over one another, and for each beside the other, px. */
const WIDE = 640;
const NARROW = 320;
const HIGH = 330;

interface PickerProps {
  readonly label: string;
  readonly variant: Variant;
  readonly onPick: (variant: Variant) => void;
}

const Picker = ({ label, variant, onPick }: PickerProps) => {
  const piece = useVarying();
  const all = variantsOf(piece);
  return (
    <Form.Select
      size="sm"
      aria-label={label}
      value={variantKey(piece, variant)}
      onChange={(e) => {
        const picked = all.find((v) => variantKey(piece, v) === e.target.value);
        if (picked) onPick(picked);
      }}
    >
      {all.map((v) => (
        <option key={variantKey(piece, v)} value={variantKey(piece, v)}>
          {variantName(piece, v)}
        </option>
      ))}
    </Form.Select>
  );
};

/** How both variants look, laid out. */
const useScenesOf = (env: LayoutEnv, a: Variant, b: Variant) => {
  const project = useDisplayedProject();
  const id = useBench((s) => s.pieceId);
  return useMemo(() => {
    const scene = (v: Variant) => {
      const tree = new Resolver().tree(project, id, v);
      return tree && layout(env, tree);
    };
    return [scene(a), scene(b)] as const;
  }, [project, id, a, b, env]);
};

/** The two in turn: whether the second one shows. */
const useTurns = (on: boolean): boolean => {
  const [second, setSecond] = useState(false);
  useEffect(() => {
    if (!on) return;
    const timer = setInterval(() => setSecond((s) => !s), BLINK);
    return () => clearInterval(timer);
  }, [on]);
  return second;
};

interface ViewProps {
  readonly way: Way;
  readonly one: LayoutBox | null;
  readonly two: LayoutBox | null;
  readonly names: readonly [string, string];
}

/** Both variants, over one another or beside. */
const Views = ({ way, one, two, names }: ViewProps) => {
  const [at, setAt] = useState(50);
  const second = useTurns(way === "blink");
  const width = Math.max(one?.width ?? 1, two?.width ?? 1);
  const height = Math.max(one?.height ?? 1, two?.height ?? 1);
  const zoom = Math.min(4, (way === "beside" ? NARROW : WIDE) / width, HIGH / height);
  const size = { width: width * zoom, height: height * zoom };
  const view = (placed: LayoutBox | null, style: CSSProperties = {}) => (
    <div className="compare-view" style={{ ...size, ...style }}>
      <Canvas placed={placed} zoom={zoom} />
    </div>
  );
  const shownIf = (shown: boolean): CSSProperties => ({
    visibility: shown ? "visible" : "hidden",
  });
  switch (way) {
    case "beside":
      return (
        <div className="compare-pair">
          {view(one)}
          {view(two)}
        </div>
      );
    case "blink":
      return (
        <>
          <div className="compare-stack" style={size}>
            {view(one, shownIf(!second))}
            {view(two, shownIf(second))}
          </div>
          <p className="note" aria-live="off">
            {names[second ? 1 : 0]}
          </p>
        </>
      );
    case "slide":
      return (
        <>
          <div className="compare-stack" style={size}>
            {view(one, { clipPath: `inset(-40px ${100 - at}% -40px -40px)` })}
            {view(two, { clipPath: `inset(-40px -40px -40px ${at}%)` })}
            <span className="compare-edge" style={{ left: `${at}%` }} />
          </div>
          <Form.Range
            aria-label={dialogsWords.dividerPosition}
            min={0}
            max={100}
            value={at}
            onChange={(e) => setAt(Number(e.target.value))}
          />
        </>
      );
  }
};

interface PairProps {
  readonly a: Variant;
  readonly b: Variant;
}

/** In what the two differ, in words; each leads to its cell in the sheet. */
const Differences = ({ a, b }: PairProps) => {
  const project = useDisplayedProject();
  const piece = usePiece();
  const choose = useBench((s) => s.choose);
  const look = useBench((s) => s.look);
  const close = useBench((s) => s.closeDialog);
  const differences = useMemo(
    () => differencesBetween(project, piece, a, b),
    [project, piece, a, b],
  );
  const n = differences.length;
  return (
    <div className="compare-list">
      <h3 className="caption">
        {n === 0 ? dialogsWords.noDifference : dialogsWords.difference(n)}
      </h3>
      <ul>
        {differences.map((d) => (
          <li key={`${d.layer.id} ${d.key}`}>
            <Button
              variant="link"
              size="sm"
              title={dialogsWords.showSheet}
              onClick={() => {
                look(b);
                choose([d.layer.id]);
                close();
              }}
            >
              {differenceText(project, d)}
            </Button>
          </li>
        ))}
      </ul>
      {n === 0 && <p className="note">{dialogsWords.bothVariantsLookSame}</p>}
    </div>
  );
};

/**
 * Two variants over one another with a slider, in turn, or side by side; and in what they differ,
 * in words.
 */
export const Compare = ({ env, a, b }: PairProps & { readonly env: LayoutEnv }) => {
  const piece = useVarying();
  const openDialog = useBench((s) => s.openDialog);
  const close = useBench((s) => s.closeDialog);
  const [way, setWay] = useState<Way>("slide");
  const [one, two] = useScenesOf(env, a, b);
  const compare = (first: Variant, second: Variant) =>
    openDialog({ kind: "compare", a: first, b: second });
  return (
    <Modal show onHide={close} size="xl" aria-labelledby="compare-title" className="compare">
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="compare-title">
          {dialogsWords.compareTwoVariants}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <div className="compare-head">
          <Picker label={dialogsWords.firstVariant} variant={a} onPick={(v) => compare(v, b)} />
          <span className="quiet">{dialogsWords.and}</span>
          <Picker label={dialogsWords.secondVariant} variant={b} onPick={(v) => compare(a, v)} />
          <Choices label={dialogsWords.comparison} value={way} choices={ways} onChoose={setWay} />
        </div>
        <div className="compare-body">
          <div className="compare-stage">
            <Views
              way={way}
              one={one}
              two={two}
              names={[variantName(piece, a), variantName(piece, b)]}
            />
          </div>
          <Differences a={a} b={b} />
        </div>
      </Modal.Body>
    </Modal>
  );
};
