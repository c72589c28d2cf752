import { useId, useMemo, useState } from "react";
import type { DragEvent, KeyboardEvent } from "react";
import { Button, Form, ListGroup } from "react-bootstrap";
import { placeable } from "#core/edit";
import { STAGE, searchComponents, stagedSample } from "#core/library";
import type { Piece, Sample } from "#core/project";
import { Given } from "../../../parts/Given";
import { useGround } from "../../../parts/shown/ground";
import { Running } from "../../../parts/shown/Running";
import { useSettings } from "../../../services/settings";
import { useSession } from "../../../session/context";
import { useDisplayedProject } from "../../../session/displayed";
import { COMPONENT } from "../../commands/dragged";
import { useInserter } from "../../commands/inserting";
import { useBench } from "../../state/context";
import { toolsWords } from "../words";

interface Props {
  readonly onDone: () => void;
}

/** The components that can stand here and have what was typed; without words the recent first. */
const useOffers = (query: string): { readonly list: readonly Piece[]; readonly recent: number } => {
  const session = useSession();
  const project = useDisplayedProject();
  const id = useBench((s) => s.pieceId);
  const used = useSettings((s) => s.recent[session.id]);
  return useMemo(() => {
    const here = new Set(placeable(project, id));
    const found = searchComponents(project, query).filter((p) => here.has(p));
    if (query.trim() !== "") return { list: found, recent: 0 };
    const recent = (used ?? []).flatMap((r) => found.find((p) => p.id === r) ?? []);
    return {
      list: [...recent, ...found.filter((p) => !recent.includes(p))],
      recent: recent.length,
    };
  }, [project, id, query, used]);
};

/** The components of the library to insert: searched, seen running, given options before they land. */
export const Offers = ({ onDone }: Props) => {
  const session = useSession();
  const project = useDisplayedProject();
  const insert = useInserter();
  const ground = useGround();
  const inserted = useSettings((s) => s.inserted);
  const listId = useId();
  const [query, setQuery] = useState("");
  const [chosen, setChosen] = useState<string | null>(null);
  const [given, setGiven] = useState<Readonly<Record<string, Sample["values"]>>>({});
  const [isAway, setAway] = useState(false);
  const { list, recent } = useOffers(query);
  const piece = list.find((p) => p.id === chosen) ?? list[0];
  const values = given[piece?.id ?? ""] ?? {};
  const put = (component: Piece) => {
    insert.copy({ component: component.id, values: given[component.id] ?? {} });
    inserted(session.id, component.id);
    onDone();
  };
  const move = (by: number) => {
    const at = piece ? list.indexOf(piece) : 0;
    const next = list[Math.max(0, Math.min(list.length - 1, at + by))];
    if (next) setChosen(next.id);
  };
  const onKeyDown = (e: KeyboardEvent) => {
    if (e.key === "ArrowDown" || e.key === "ArrowUp") {
      e.preventDefault();
      move(e.key === "ArrowDown" ? 1 : -1);
    }
    if (e.key === "Enter" && piece) put(piece);
  };
  const onDragStart = (component: Piece) => (e: DragEvent) => {
    const dragged = { component: component.id, values: given[component.id] ?? {} };
    e.dataTransfer.setData(COMPONENT, JSON.stringify(dragged));
    e.dataTransfer.effectAllowed = "copy";
    // the cards may lie under the panel; what is dragged must still be there when it begins
    setTimeout(() => setAway(true));
    inserted(session.id, component.id);
  };
  const onDragEnd = (e: DragEvent) => {
    setAway(false);
    if (e.dataTransfer.dropEffect !== "none") onDone();
  };
  return (
    <div className={isAway ? "offers away" : "offers"}>
      <div className="offers-list">
        <Form.Control
          type="search"
          autoFocus
          size="sm"
          role="combobox"
          aria-expanded
          aria-controls={listId}
          aria-activedescendant={piece && `${listId} ${piece.id}`}
          aria-label={toolsWords.searchLibrary}
          placeholder={toolsWords.searchLibrary}
          value={query}
          onChange={(e) => {
            setQuery(e.target.value);
            setChosen(null);
          }}
          onKeyDown={onKeyDown}
        />
        <ListGroup
          variant="flush"
          id={listId}
          role="listbox"
          aria-label={toolsWords.componentsOfLibrary}
        >
          {list.map((component, i) => (
            <ListGroup.Item
              key={component.id}
              id={`${listId} ${component.id}`}
              action
              role="option"
              tabIndex={-1}
              draggable
              active={component === piece}
              aria-selected={component === piece}
              onClick={() => setChosen(component.id)}
              onDoubleClick={() => put(component)}
              onDragStart={onDragStart(component)}
              onDragEnd={onDragEnd}
            >
              {component.name}
              {i < recent && " "}
              {i < recent && <span className="quiet small-text">{toolsWords.recent}</span>}
            </ListGroup.Item>
          ))}
        </ListGroup>
        {list.length === 0 && <p className="quiet">{toolsWords.noneFound}</p>}
      </div>
      {piece && (
        <div className="offers-shown">
          <div className="offers-stage" style={ground}>
            <Running
              key={`${piece.id} ${JSON.stringify(values)}`}
              project={stagedSample(project, piece.id, values)}
              piece={STAGE}
              label={piece.name}
            />
          </div>
          <div className="offers-given">
            <Given
              key={piece.id}
              component={piece.id}
              values={values}
              onChange={(next) => setGiven({ ...given, [piece.id]: next })}
            />
          </div>
          <p className="offers-foot">
            <span className="quiet small-text">{toolsWords.orDrag}</span>
            <Button size="sm" onClick={() => put(piece)}>
              {toolsWords.insertNamed(piece.name)}
            </Button>
          </p>
        </div>
      )}
    </div>
  );
};
