import { useState } from "react";
import { anyPlaceable } from "#core/edit";
import { useDisplayedProject } from "../../../session/displayed";
import { Panel } from "../../../ui/floating/Panel";
import { Tool } from "../../../ui/Tool";
import { useBench } from "../../state/context";
import { toolsWords } from "../words";
import { Offers } from "./Offers";

/** A copy of one of the project's components that can stand in this piece. */
export const InsertComponent = () => {
  const id = useBench((s) => s.pieceId);
  const any = useDisplayedProject((p) => anyPlaceable(p, id));
  const [open, setOpen] = useState(false);
  return (
    <span
      className="panel-anchor"
      onBlur={(e) => {
        if (!e.currentTarget.contains(e.relatedTarget)) setOpen(false);
      }}
    >
      <Tool
        framed
        icon="instance"
        label={toolsWords.insertComponent}
        title={toolsWords.copyComponent}
        aria-expanded={open}
        disabled={!any}
        onClick={() => setOpen(!open)}
      />
      {open && (
        <Panel
          label={toolsWords.insertComponent}
          width={520}
          height={380}
          onKeyDown={(e) => {
            e.stopPropagation();
            if (e.key === "Escape") setOpen(false);
          }}
        >
          <Offers onDone={() => setOpen(false)} />
        </Panel>
      )}
    </span>
  );
};
