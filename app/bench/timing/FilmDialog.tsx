import { useRef, useState } from "react";
import { Button, Form, Modal } from "react-bootstrap";
import { ProgressLine } from "../../ui/ProgressLine";
import { saveBytes } from "../../services/download";
import { film, momentsOf } from "./film";
import type { Filming } from "./film";
import type { Timed } from "./useTiming";
import { timingWords } from "./words";

const rates = { gif: [10, 20, 25, 50], png: [10, 24, 30, 60], svg: [10, 20, 30, 60] } as const;
const usual = {
  gif: { scale: 1, rate: 25, ground: "#ffffff" },
  png: { scale: 2, rate: 30, ground: "" },
  svg: { scale: 1, rate: 30, ground: "" },
} as const;
const files = {
  gif: { title: timingWords.animatedGif, ending: "gif", type: "image/gif" },
  png: { title: timingWords.pngFramesZip, ending: "zip", type: "application/zip" },
  svg: { title: timingWords.animatedSvg, ending: "svg", type: "image/svg+xml" },
} as const;
const scales = [0.5, 1, 2, 3] as const;
const grounds = [
  { value: "#ffffff", words: timingWords.white },
  { value: "#f5f1e8", words: timingWords.paper },
  { value: "#16211f", words: timingWords.night },
  { value: "", words: timingWords.none },
] as const;
/** A change that goes on for ever is filmed for so long, ms. */
const LONGEST = 12_000;
const MARGIN = 24;
const PAUSE = 900;

interface Props {
  readonly timed: Timed;
  readonly kind: Filming["kind"];
  readonly name: string;
  readonly onClose: () => void;
}

/** How large, how many pictures a second, and on what. */
interface Manner {
  readonly scale: number;
  readonly rate: number;
  readonly ground: string;
}

/** A change that is being filmed: how far it is, what went wrong, and how to cancel it. */
const useFilming = ({ timed, kind, name, onClose }: Props, manner: Manner) => {
  const [done, setDone] = useState<number | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const stopped = useRef(false);
  const { from, to } = timed.scenes;
  const size = {
    width: Math.max(from.width, to.width),
    height: Math.max(from.height, to.height),
  };
  const length = Math.min(LONGEST, Math.max(1, timed.length));
  const how = { ...manner, kind, ground: manner.ground || null, margin: MARGIN, pause: PAUSE };
  const run = async () => {
    stopped.current = false;
    setTrouble(null);
    setDone(0);
    const frame = (ms: number) => timed.change.frame(ms);
    try {
      const bytes = await film(frame, size, length, how, setDone, () => stopped.current);
      setDone(null);
      if (!bytes) return;
      saveBytes(`${name}.${files[kind].ending}`, files[kind].type, bytes);
      onClose();
    } catch {
      setDone(null);
      setTrouble(timingWords.exportFailedFontImage);
    }
  };
  const stop = () => {
    stopped.current = true;
  };
  return { done, trouble, size, length, run, stop };
};

interface ChoiceProps<T extends string | number> {
  readonly id: string;
  readonly label: string;
  readonly value: T;
  readonly choices: readonly { readonly value: T; readonly words: string }[];
  readonly disabled: boolean;
  readonly onPick: (value: string) => void;
}

const Choice = <T extends string | number>(props: ChoiceProps<T>) => (
  <Form.Group controlId={props.id}>
    <Form.Label>{props.label}</Form.Label>
    <Form.Select
      size="sm"
      value={props.value}
      disabled={props.disabled}
      onChange={(e) => props.onPick(e.target.value)}
    >
      {props.choices.map((c) => (
        <option key={c.words} value={c.value}>
          {c.words}
        </option>
      ))}
    </Form.Select>
  </Form.Group>
);

interface MannerProps {
  readonly kind: Filming["kind"];
  readonly manner: Manner;
  readonly disabled: boolean;
  readonly onChange: (manner: Manner) => void;
}

const MannerFields = ({ kind, manner, disabled, onChange }: MannerProps) => (
  <div className="film-how">
    <Choice
      id="film-size"
      label={timingWords.size}
      value={manner.scale}
      choices={scales.map((s) => ({ value: s, words: `${s} ×` }))}
      disabled={disabled}
      onPick={(scale) => onChange({ ...manner, scale: Number(scale) })}
    />
    <Choice
      id="film-rate"
      label={timingWords.framesPerSecond}
      value={manner.rate}
      choices={rates[kind].map((r) => ({ value: r, words: String(r) }))}
      disabled={disabled}
      onPick={(rate) => onChange({ ...manner, rate: Number(rate) })}
    />
    <Choice
      id="film-ground"
      label={timingWords.background}
      value={manner.ground}
      choices={grounds.filter((g) => kind !== "gif" || g.value)}
      disabled={disabled}
      onPick={(ground) => onChange({ ...manner, ground })}
    />
  </div>
);

/**
 * Filming a change: how large, how many pictures a second, on what; with its progress, to be
 * cancelled.
 */
export const FilmDialog = (props: Props) => {
  const { kind, onClose } = props;
  const [manner, setManner] = useState<Manner>(usual[kind]);
  const { done, trouble, size, length, run, stop } = useFilming(props, manner);
  const count = momentsOf(length, manner.rate).length;
  const px = (n: number) => Math.round((n + 2 * MARGIN) * manner.scale);
  const telling = kind === "svg" ? timingWords.framesPxUnchangedLayers : timingWords.framesPx;
  const leave = () => {
    stop();
    onClose();
  };
  return (
    <Modal show onHide={leave} aria-labelledby="film-title">
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="film-title">
          {files[kind].title}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <MannerFields kind={kind} manner={manner} disabled={done !== null} onChange={setManner} />
        <p className="note">{telling(count, px(size.width), px(size.height))}</p>
        {done !== null && (
          <ProgressLine
            now={Math.round(done * 100)}
            max={100}
            words={`${Math.round(done * 100)} %`}
            label={timingWords.exportProgress}
          />
        )}
        {trouble && (
          <p className="trouble" role="alert">
            {trouble}
          </p>
        )}
      </Modal.Body>
      <Modal.Footer>
        {done !== null ? (
          <Button size="sm" variant="outline-primary" onClick={stop}>
            {timingWords.cancel}
          </Button>
        ) : (
          <Button size="sm" onClick={() => void run()}>
            {timingWords.save}
          </Button>
        )}
      </Modal.Footer>
    </Modal>
  );
};
