import { useRef, useState } from "react";
import { Button, Form, Modal, ProgressBar } from "react-bootstrap";
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
  png: { title: timingWords.pngPicturesZipped, ending: "zip", type: "application/zip" },
  svg: { title: timingWords.movingSvg, ending: "svg", type: "image/svg+xml" },
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

/**
 * Filming a change: how large, how many pictures a second, on what; with its progress, to be
 * cancelled.
 */
export const FilmDialog = ({
  timed,
  kind,
  name,
  onClose,
}: {
  timed: Timed;
  kind: Filming["kind"];
  name: string;
  onClose: () => void;
}) => {
  const [scale, setScale] = useState<number>(usual[kind].scale);
  const [rate, setRate] = useState<number>(usual[kind].rate);
  const [ground, setGround] = useState<string>(usual[kind].ground);
  const [done, setDone] = useState<number | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const stopped = useRef(false);
  const length = Math.min(LONGEST, Math.max(1, timed.length));
  const size = {
    width: Math.max(timed.scenes.from.width, timed.scenes.to.width),
    height: Math.max(timed.scenes.from.height, timed.scenes.to.height),
  };
  const count = momentsOf(length, rate).length;
  const px = (n: number) => Math.round((n + 2 * MARGIN) * scale);
  const run = async () => {
    stopped.current = false;
    setTrouble(null);
    setDone(0);
    try {
      const bytes = await film(
        (ms) => timed.change.frame(ms),
        size,
        length,
        { kind, scale, rate, ground: ground || null, margin: MARGIN, pause: PAUSE },
        setDone,
        () => stopped.current,
      );
      setDone(null);
      if (!bytes) return;
      saveBytes(`${name}.${files[kind].ending}`, files[kind].type, bytes);
      onClose();
    } catch {
      setDone(null);
      setTrouble(timingWords.couldNotBeFilmed);
    }
  };
  return (
    <Modal
      show
      onHide={() => {
        stopped.current = true;
        onClose();
      }}
      aria-labelledby="film-title"
    >
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="film-title">
          {files[kind].title}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <div className="film-how">
          <Form.Group controlId="film-size">
            <Form.Label>{timingWords.size}</Form.Label>
            <Form.Select
              size="sm"
              value={scale}
              disabled={done !== null}
              onChange={(e) => setScale(Number(e.target.value))}
            >
              {scales.map((s) => (
                <option key={s} value={s}>
                  {s} ×
                </option>
              ))}
            </Form.Select>
          </Form.Group>
          <Form.Group controlId="film-rate">
            <Form.Label>{timingWords.picturesSecond}</Form.Label>
            <Form.Select
              size="sm"
              value={rate}
              disabled={done !== null}
              onChange={(e) => setRate(Number(e.target.value))}
            >
              {rates[kind].map((r) => (
                <option key={r}>{r}</option>
              ))}
            </Form.Select>
          </Form.Group>
          <Form.Group controlId="film-ground">
            <Form.Label>{timingWords.ground}</Form.Label>
            <Form.Select
              size="sm"
              value={ground}
              disabled={done !== null}
              onChange={(e) => setGround(e.target.value)}
            >
              {grounds
                .filter((g) => kind !== "gif" || g.value)
                .map((g) => (
                  <option key={g.words} value={g.value}>
                    {g.words}
                  </option>
                ))}
            </Form.Select>
          </Form.Group>
        </div>
        <p className="note">
          {kind === "svg"
            ? timingWords.momentsPxAtOwn(count, px(size.width), px(size.height))
            : timingWords.picturesPx(count, px(size.width), px(size.height))}
        </p>
        {done !== null && (
          <ProgressBar
            now={Math.round(done * 100)}
            label={`${Math.round(done * 100)} %`}
            aria-label={timingWords.filmed}
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
          <Button
            size="sm"
            variant="outline-primary"
            onClick={() => {
              stopped.current = true;
            }}
          >
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
