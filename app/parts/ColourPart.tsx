import { useRef, useState } from "react";
import { Form } from "react-bootstrap";
import { HexAlphaColorPicker, setNonce } from "react-colorful";
import { colourText, notations, parseColour } from "#core/colour";
import type { Notation } from "#core/colour";
import { pageNonce } from "../ui/nonce";
import { Tool } from "../ui/Tool";
import { partsWords } from "./words";

// its style sheet is added when it first shows
const nonce = pageNonce();
if (nonce) setNonce(nonce);

const RECENT = "nubble.colours";
const MOST_RECENT = 14;

const readRecent = (): string[] => {
  try {
    const list = JSON.parse(localStorage.getItem(RECENT) ?? "[]") as unknown;
    return Array.isArray(list)
      ? list.filter((c): c is string => typeof c === "string" && parseColour(c) === c)
      : [];
  } catch {
    return [];
  }
};

/** Remembers a colour that was kept, newest first. */
export const remember = (colour: string): void => {
  if (colour === "none") return;
  try {
    localStorage.setItem(
      RECENT,
      JSON.stringify([colour, ...readRecent().filter((c) => c !== colour)].slice(0, MOST_RECENT)),
    );
  } catch {
    /* the browser's store is closed: there are no recent colours then */
  }
};

interface Dropper {
  open(): Promise<{ sRGBHex: string }>;
}
const dropperOf = (): Dropper | null => {
  const make = (window as unknown as { EyeDropper?: new () => Dropper }).EyeDropper;
  return make ? new make() : null;
};

/**
 * A colour by field and hue, by text in the notation one likes, by recent colours, or picked from
 * the screen.
 */
export const ColourPart = ({ colour, onPick }: { colour: string; onPick: (c: string) => void }) => {
  // the field also reports colours it was given; only those picked by hand count
  const picking = useRef(false);
  const [notation, setNotation] = useState<Notation>("hex");
  const [typed, setTyped] = useState<string | null>(null);
  const [recent] = useState(readRecent);
  const take = (text: string) => {
    const c = parseColour(text);
    if (c !== null) onPick(c);
  };
  const hand = () => {
    picking.current = true;
  };
  return (
    <div className="colour-part">
      <div onPointerDownCapture={hand} onKeyDownCapture={hand}>
        <HexAlphaColorPicker
          color={colour === "none" ? "#ffffff00" : colour}
          onChange={(c) => {
            if (picking.current) take(c);
          }}
        />
      </div>
      <div className="colour-line">
        <Form.Select
          className="word"
          aria-label={partsWords.colourFormat}
          value={notation}
          onChange={(e) => {
            setNotation(e.target.value as Notation);
            setTyped(null);
          }}
        >
          {notations.map((n) => (
            <option key={n}>{n}</option>
          ))}
        </Form.Select>
        <Form.Control
          size="sm"
          className="mono"
          aria-label={partsWords.colour}
          spellCheck={false}
          value={typed ?? colourText(colour, notation)}
          onChange={(e) => {
            setTyped(e.target.value);
            take(e.target.value);
          }}
          onBlur={() => setTyped(null)}
        />
        {typeof window !== "undefined" && "EyeDropper" in window && (
          <Tool
            framed
            icon="dropper"
            label={partsWords.pickFromScreen}
            onClick={() =>
              void dropperOf()
                ?.open()
                .then(
                  (c) => take(c.sRGBHex),
                  () => undefined,
                )
            }
          />
        )}
        <Tool framed label={partsWords.noColour} onClick={() => onPick("none")}>
          <span className="chip none" />
        </Tool>
      </div>
      {recent.length > 0 && (
        <div className="swatches" role="group" aria-label={partsWords.recentColours}>
          {recent.map((c) => (
            <button
              key={c}
              type="button"
              className="chip"
              title={c}
              aria-label={c}
              style={{ background: c }}
              onClick={() => onPick(c)}
            />
          ))}
        </div>
      )}
    </div>
  );
};
