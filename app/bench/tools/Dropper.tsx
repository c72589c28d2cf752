import { useState } from "react";
import type { PointerEvent } from "react";
import { valuesIn } from "#core/looks";
import type { Reference } from "#core/project";
import type { Value } from "#core/properties";
import { remember } from "../../parts/ColourPart";
import { activeOf } from "../state/active";
import { useWorkpiece } from "../state/context";
import type { Workpiece } from "../state/workpiece";
import { useEdits } from "../commands/edits";
import { usePixels } from "./usePixels";
import { toolsWords } from "./words";

/** The colour of a picture at a place of the piece, px; null beside it and where it is clear. */
export const colourAt = (
  pixels: Pick<ImageData, "data" | "width" | "height">,
  reference: Reference,
  x: number,
  y: number,
): string | null => {
  const scale = pixels.width / reference.width;
  const px = Math.floor((x - reference.x) * scale);
  const py = Math.floor((y - reference.y) * scale);
  if (px < 0 || py < 0 || px >= pixels.width || py >= pixels.height) return null;
  const [r = 0, g = 0, b = 0, a = 0] = pixels.data.subarray((py * pixels.width + px) * 4);
  return a < 8 ? null : `#${[r, g, b].map((n) => n.toString(16).padStart(2, "0")).join("")}`;
};

/** What the chosen layers say when they take a colour. */
const paintedWith = (
  { piece, project, state }: Workpiece,
  colour: string,
): Record<string, Record<string, Value>> => {
  const next: Record<string, Record<string, Value>> = {};
  if (!piece) return next;
  const { variant } = activeOf(piece, state);
  for (const id of state.chosen) {
    const layer = piece.layers[id];
    if (!layer || layer.kind === "picture" || layer.kind === "instance") continue;
    // what has no filling shows its colour in its line
    const v = valuesIn(project, piece, variant, layer);
    const lined = layer.kind === "line" || (v.fill === "none" && Number(v.borderWidth) > 0);
    next[id] = lined ? { borderColour: colour } : { fill: colour };
  }
  return next;
};

/**
 * Picking a colour from the reference picture as it is, not as dimmed: it fills the chosen layers,
 * or waits among the recent colours.
 */
export const Dropper = ({ reference, zoom }: { reference: Reference; zoom: number }) => {
  const workpiece = useWorkpiece();
  const edits = useEdits();
  const pixels = usePixels(reference);
  const [here, setHere] = useState<{ x: number; y: number; colour: string } | null>(null);
  const look = (e: PointerEvent) => {
    const box = e.currentTarget.getBoundingClientRect();
    const x = e.clientX - box.left;
    const y = e.clientY - box.top;
    const colour = pixels && colourAt(pixels, reference, x / zoom, y / zoom);
    setHere(colour ? { x, y, colour } : null);
    return colour;
  };
  const take = (e: PointerEvent) => {
    e.stopPropagation();
    const colour = look(e);
    if (!colour) {
      edits.note(toolsWords.referenceImageDoesNot);
      return;
    }
    remember(colour);
    workpiece.state.setTool("choose");
    const next = paintedWith(workpiece, colour);
    if (Object.keys(next).length) {
      edits.set(next);
      edits.endGesture();
    } else edits.note(toolsWords.pickedFindAmongRecent(colour));
  };
  return (
    <div
      className="shaping pen dropper"
      role="application"
      aria-label={toolsWords.pickColourFromReference}
      onPointerDown={take}
      onPointerMove={look}
      onPointerLeave={() => setHere(null)}
    >
      {here && (
        <span className="dropper-mark mono" style={{ left: here.x + 12, top: here.y - 34 }}>
          <span className="chip" style={{ background: here.colour }} />
          {here.colour}
        </span>
      )}
    </div>
  );
};
