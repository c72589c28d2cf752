import { useEffect, useRef, useState } from "react";
import { findBox } from "#core/layout";
import type { LayoutBox } from "#core/layout";
import { useEdits } from "../commands/edits";
import { useBench } from "../state/context";
import type { Typing } from "../state/view";
import { toolsWords } from "./words";

/** Typing right where the text stands. Esc or a click elsewhere ends it. */
export const TypeOver = ({
  placed,
  typing,
  zoom,
}: {
  placed: LayoutBox;
  typing: Typing;
  zoom: number;
}) => {
  const edits = useEdits();
  const type = useBench((s) => s.type);
  const { layer: id, fresh } = typing;
  const field = useRef<HTMLTextAreaElement>(null);
  const found = findBox(placed, id);
  const [width] = useState(found?.placed.width ?? 0);
  const [text, setText] = useState(String(found?.placed.values.text ?? ""));
  useEffect(() => field.current?.select(), []);
  if (!found) return null;
  const v = found.placed.values;
  const done = () => {
    const grown = found.placed.width - width;
    if (typing.centred && grown !== 0)
      edits.setForAll({ [id]: { x: Math.round(found.placed.x - grown / 2) } }, `type ${id}`);
    edits.endGesture();
    type(null);
  };
  return (
    <textarea
      ref={field}
      className="type-over"
      value={text}
      aria-label={toolsWords.textLayer}
      spellCheck={false}
      autoFocus
      style={{
        left: found.x * zoom,
        top: found.y * zoom,
        width: Math.max(40, (found.placed.width + 24) * zoom),
        height: Math.max(found.placed.height, 20) * zoom + 4,
        fontFamily: `"${String(v.font)}"`,
        fontWeight: Number(v.weight),
        fontSize: (v.size as number) * zoom,
        lineHeight: String(v.lineHeight),
        letterSpacing: (v.spacing as number) * zoom,
      }}
      onPointerDown={(e) => e.stopPropagation()}
      onDoubleClick={(e) => e.stopPropagation()}
      onChange={(e) => {
        setText(e.target.value);
        const said = { [id]: { text: e.target.value } };
        if (fresh) edits.setForAll(said, `type ${id}`);
        else edits.set(said, `type ${id}`);
      }}
      onKeyDown={(e) => {
        e.stopPropagation();
        if (e.key === "Escape" || (e.key === "Enter" && (e.ctrlKey || e.metaKey))) done();
      }}
      onBlur={done}
    />
  );
};
