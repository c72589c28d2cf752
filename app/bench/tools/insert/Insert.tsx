import { memo, useState } from "react";
import { AssetPart } from "../../../parts/AssetPart";
import { FileButton } from "../../../ui/fields/FileButton";
import { Icon } from "../../../ui/Icon";
import { Panel } from "../../../ui/floating/Panel";
import { Tool } from "../../../ui/Tool";
import { Toolbar } from "../../../ui/focus/Toolbar";
import { useEdits } from "../../commands/edits";
import { fresh, useInserter } from "../../commands/inserting";
import { useBench, useWorkpiece } from "../../state/context";
import { drawnKinds } from "../../state/view";
import { toolsWords } from "../words";
import { InsertComponent } from "./InsertComponent";

const files = "image/png,image/jpeg,image/webp,image/gif,image/svg+xml,.svg,.ttf,.otf,.woff,.woff2";

/** Choosing an icon of the catalogue or the project. */
const InsertIcon = () => {
  const workpiece = useWorkpiece();
  const insert = useInserter();
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
        icon="icon"
        label={toolsWords.insertIcon}
        title={toolsWords.iconI}
        data-insert="icon"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      />
      {open && (
        <Panel
          label={toolsWords.chooseIcon}
          width={292}
          height={330}
          onKeyDown={(e) => {
            e.stopPropagation();
            if (e.key === "Escape") setOpen(false);
          }}
        >
          <div className="panel-body">
            <AssetPart
              of="icon"
              chosen=""
              onPick={(id) => {
                insert.icon(id, workpiece.project.assets[id]?.name ?? toolsWords.icon);
                setOpen(false);
              }}
            />
          </div>
        </Panel>
      )}
    </span>
  );
};

/** Everything a piece can be made of. */
export const Insert = memo(function Insert() {
  const insert = useInserter();
  const edits = useEdits();
  const pen = useBench((s) => s.tool === "pen");
  const drawn = useBench((s) => (s.tool === "draw" ? s.drawn : null));
  const toggleTool = useBench((s) => s.toggleTool);
  const take = (list: readonly File[]) =>
    void insert.files(list).then((note) => {
      if (note !== null) edits.note(note);
    });
  return (
    <div className="side-part">
      <h2 className="caption">{toolsWords.insert}</h2>
      <Toolbar className="insert-row" label={toolsWords.insertLayer}>
        {drawnKinds.map((kind) => (
          <Tool
            key={kind}
            framed
            icon={kind}
            label={toolsWords.insertWords(fresh[kind].words.toLowerCase())}
            title={`${fresh[kind].words} (${fresh[kind].key})`}
            on={drawn === kind}
            // a press of a key has no pointer to draw with
            onClick={(e) => (e.detail === 0 ? insert.simple(kind) : insert.take(kind))}
          />
        ))}
        <InsertIcon />
        <Tool
          framed
          icon="pen"
          label={toolsWords.pen}
          title={toolsWords.drawPathPenP}
          on={pen}
          onClick={() => toggleTool("pen")}
        />
        <FileButton
          variant="tool"
          className="framed"
          multiple
          label={toolsWords.imageSvgFile}
          accept={files}
          onFiles={take}
        >
          <Icon name="picture" />
        </FileButton>
        <InsertComponent />
      </Toolbar>
    </div>
  );
});
