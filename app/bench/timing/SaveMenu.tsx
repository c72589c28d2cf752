import { useState } from "react";
import { Dropdown } from "react-bootstrap";
import { animatedSvg, cssKeyframes } from "#core/formats";
import { paint } from "#core/paint";
import { embedded } from "../../common/embed";
import { Menu } from "../../common/Menu";
import { saveText } from "../../common/save";
import type { Filming } from "./film";
import { FilmDialog } from "./FilmDialog";
import type { Timed } from "./useTiming";

/** ms between the frames of a moving picture, room around the piece for shadows (px), and how long its end is shown (ms). */
const FRAME = 1000 / 30, MARGIN = 24, PAUSE = 900;
/** A change that goes on for ever is shown for so long, ms. */
const LONGEST = 12_000;

/** Saves the change one looks at for use elsewhere. */
export const SaveMenu = ({ timed }: { timed: Timed }) => {
  const [busy, setBusy] = useState(false), [filming, setFilming] = useState<Filming["kind"] | null>(null), [trouble, setTrouble] = useState<string | null>(null);
  const { piece, change, scenes, motion, title: name } = timed;
  const css = () => saveText(`${name}.css`, "text/css", cssKeyframes(`${piece.name}: ${timed.words}`, scenes.from, scenes.to, motion));
  const svg = async () => {
    setBusy(true);
    setTrouble(null);
    try {
      const length = Math.min(LONGEST, Math.max(timed.length, 1)), count = Math.max(2, Math.ceil(length / FRAME)), times = Array.from({ length: count + 1 }, (_, i) => (length * i) / count);
      const frames = times.map((t) => paint(change.frame(t))), { style, address } = await embedded(frames), { width, height } = scenes.to;
      saveText(`${name}.svg`, "image/svg+xml", animatedSvg(frames, times, Math.max(width, scenes.from.width), Math.max(height, scenes.from.height), { margin: MARGIN, ground: null, pause: PAUSE, style, address }));
    } catch {
      setTrouble("A font or picture of it could not be loaded. Nothing was saved; try again.");
    }
    setBusy(false);
  };
  return (
    <>
      {trouble && <span className="trouble small-text" role="alert">{trouble}</span>}
      <Dropdown align="end">
        <Dropdown.Toggle as="button" type="button" className="tool" disabled={busy}>{busy ? "Saving …" : "Save as …"}</Dropdown.Toggle>
        <Menu>
          <Dropdown.Item as="button" type="button" onClick={css}>CSS keyframes</Dropdown.Item>
          <Dropdown.Item as="button" type="button" onClick={() => void svg()}>Moving SVG</Dropdown.Item>
          <Dropdown.Item as="button" type="button" onClick={() => setFilming("gif")}>Animated GIF …</Dropdown.Item>
          <Dropdown.Item as="button" type="button" onClick={() => setFilming("png")}>PNG pictures …</Dropdown.Item>
        </Menu>
      </Dropdown>
      {filming && <FilmDialog timed={timed} kind={filming} name={name} onClose={() => setFilming(null)} />}
    </>
  );
};
