import { useRef, useState } from "react";
import { Dropdown } from "react-bootstrap";
import { contains, piecesOf } from "#core/edit";
import { Icon } from "../../ui/Icon";
import { Menu } from "../../ui/Menu";
import { useProject, useSession } from "../../session/context";
import { useEdits } from "../state/edits";
import { fresh, useInserter } from "./inserting";
import { AssetPart } from "../../parts/AssetPart";
import { Panel } from "../../ui/Panel";
import { useBench, usePiece } from "../state/state";

/** Everything a piece can be made of. */
export const Insert = () => {
  const project = useProject();
  const session = useSession();
  const piece = usePiece();
  const insert = useInserter();
  const edits = useEdits();
  const tool = useBench((s) => s.tool);
  const put = useBench((s) => s.put);
  const [icons, setIcons] = useState(false);
  const file = useRef<HTMLInputElement>(null);
  const components = piecesOf(project, "component").filter(
    (c) => !contains(project, c.id, piece.id),
  );
  return (
    <div className="side-part">
      <h2 className="caption">Insert</h2>
      <div className="insert-row" role="toolbar" aria-label="Insert a layer">
        {(["box", "ellipse", "line", "polygon", "text"] as const).map((kind) => (
          <button
            key={kind}
            type="button"
            className="tool framed"
            title={`${fresh[kind].words} (${fresh[kind].key})`}
            aria-label={`Insert ${fresh[kind].words.toLowerCase()}`}
            onClick={() => insert.simple(kind)}
          >
            <Icon name={kind} />
          </button>
        ))}
        <span
          className="panel-anchor"
          onBlur={(e) => {
            if (!e.currentTarget.contains(e.relatedTarget)) setIcons(false);
          }}
        >
          <button
            type="button"
            className="tool framed"
            title="Icon (I)"
            aria-label="Insert an icon"
            data-insert="icon"
            aria-expanded={icons}
            onClick={() => setIcons(!icons)}
          >
            <Icon name="icon" />
          </button>
          {icons && (
            <Panel
              label="Choose an icon"
              width={292}
              height={330}
              onKeyDown={(e) => {
                e.stopPropagation();
                if (e.key === "Escape") setIcons(false);
              }}
            >
              <div className="panel-body">
                <AssetPart
                  of="icon"
                  chosen=""
                  onPick={(id) => {
                    insert.icon(id, session.project.assets[id]?.name ?? "Icon");
                    setIcons(false);
                  }}
                />
              </div>
            </Panel>
          )}
        </span>
        <button
          type="button"
          className={`tool framed${tool === "pen" ? " on" : ""}`}
          title="Draw a path with the pen (P)"
          aria-label="Pen"
          aria-pressed={tool === "pen"}
          onClick={() => put({ tool: tool === "pen" ? "choose" : "pen" })}
        >
          <Icon name="pen" />
        </button>
        <button
          type="button"
          className="tool framed"
          title="Picture or SVG file"
          aria-label="Insert a picture"
          onClick={() => file.current?.click()}
        >
          <Icon name="picture" />
        </button>
        <input
          ref={file}
          type="file"
          hidden
          multiple
          accept="image/png,image/jpeg,image/webp,image/gif,image/svg+xml,.svg,.ttf,.otf,.woff,.woff2"
          onChange={(e) => {
            const files = [...(e.target.files ?? [])];
            e.target.value = "";
            void insert.files(files).then((note) => {
              if (note !== null) edits.note(note);
            });
          }}
        />
        <Dropdown>
          <Dropdown.Toggle
            as="button"
            type="button"
            className="tool framed"
            aria-label="Insert a component"
            title="A copy of a component"
            disabled={components.length === 0}
          >
            <Icon name="instance" />
          </Dropdown.Toggle>
          <Menu>
            {components.map((c) => (
              <Dropdown.Item
                key={c.id}
                as="button"
                type="button"
                onClick={() => insert.layer("instance", { component: c.id }, [120, 40], c.name)}
              >
                {c.name}
              </Dropdown.Item>
            ))}
          </Menu>
        </Dropdown>
      </div>
    </div>
  );
};
