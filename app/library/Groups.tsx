import {
  DndContext,
  PointerSensor,
  pointerWithin,
  useDroppable,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import type { DragEndEvent } from "@dnd-kit/core";
import { useCallback, useId, useState } from "react";
import type { ReactNode } from "react";
import { useNavigate } from "react-router";
import { libraryGroups, moveToGroup, renameGroup, freeName } from "#core/edit";
import { isOwn } from "#core/project";
import type { Piece } from "#core/project";
import { useSession } from "../session/context";
import { EditableName } from "../ui/fields/EditableName";
import { useGrowing } from "../ui/growing";
import { LibraryTile } from "./LibraryTile";
import { libraryWords } from "./words";

const byPointer = { activationConstraint: { distance: 4 } };
/** Where a component is dropped to begin a group; no group is called so. */
const NEW = "\n";

interface Props {
  readonly pieces: readonly Piece[];
  /** null: all in one, as a search found them */
  readonly groups: readonly string[] | null;
  /** how many findings each component has */
  readonly counts: ReadonlyMap<string, number>;
  readonly onNote: (text: string) => void;
}

/** Components by their groups, the first so many of all. */
const inGroups = (pieces: readonly Piece[], groups: readonly string[], most: number) => {
  let room = most;
  return ["", ...groups].map((group) => {
    const list = pieces.filter((p) => (p.group ?? "") === group).slice(0, room);
    room -= list.length;
    return { group, list };
  });
};

/** Where a component can be dropped. */
const Drop = ({ id, children }: { readonly id: string; readonly children: ReactNode }) => {
  const { setNodeRef, isOver } = useDroppable({ id });
  return (
    <div ref={setNodeRef} className={isOver ? "library-drop over" : "library-drop"}>
      {children}
    </div>
  );
};

/** The components of the library by their groups, between which they are dragged. */
export const Groups = ({ pieces, groups, counts, onNote }: Props) => {
  const session = useSession();
  const navigate = useNavigate();
  const id = useId();
  const sensors = useSensors(useSensor(PointerSensor, byPointer));
  const [isDragging, setDragging] = useState(false);
  const most = useGrowing(pieces.length);
  const open = useCallback((to: string) => void navigate(to), [navigate]);
  const move = useCallback(
    (piece: Piece, group: string) => {
      const isMoved = session.run((now) => moveToGroup(now, piece.id, group));
      if (isMoved) onNote(libraryWords.moved(piece.name, group));
    },
    [session, onNote],
  );
  const dropped = ({ active, over }: DragEndEvent) => {
    setDragging(false);
    const piece = pieces.find((p) => p.id === active.id);
    if (!piece || !over) return;
    const group = String(over.id).slice(1);
    const fresh = freeName(libraryWords.newGroup, libraryGroups(session.project));
    move(piece, group === NEW ? fresh : group);
  };
  const tiles = (list: readonly Piece[]) => (
    <ul className="tiles library-tiles">
      {list.map((piece) => (
        <LibraryTile
          key={piece.id}
          piece={piece}
          findings={counts.get(piece.id) ?? 0}
          canMove={groups !== null}
          onOpen={open}
          onMove={move}
          onNote={onNote}
        />
      ))}
    </ul>
  );
  if (groups === null) return tiles(pieces.slice(0, most));
  const shown = inGroups(pieces, groups, most);
  return (
    <DndContext
      id={id}
      sensors={sensors}
      collisionDetection={pointerWithin}
      onDragStart={() => setDragging(true)}
      onDragCancel={() => setDragging(false)}
      onDragEnd={dropped}
    >
      {shown.map(({ group, list }) =>
        list.length === 0 ? null : (
          <section key={group} aria-label={group || libraryWords.ungrouped}>
            <Drop id={`=${group}`}>
              {groups.length > 0 && (
                <h2 className="library-group">
                  {group === "" || !list.some(({ id }) => isOwn(id)) ? (
                    group || libraryWords.ungrouped
                  ) : (
                    <EditableName
                      name={group}
                      label={libraryWords.groupName}
                      onName={(name) => session.run((now) => renameGroup(now, group, name))}
                    />
                  )}
                </h2>
              )}
              {tiles(list)}
            </Drop>
          </section>
        ),
      )}
      {isDragging && (
        <Drop id={`=${NEW}`}>
          <p className="library-new quiet">{libraryWords.dropForGroup}</p>
        </Drop>
      )}
    </DndContext>
  );
};
