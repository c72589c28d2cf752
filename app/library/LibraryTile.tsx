import { useDraggable } from "@dnd-kit/core";
import { memo, useLayoutEffect, useRef, useState } from "react";
import type { RefObject } from "react";
import { Badge, Dropdown } from "react-bootstrap";
import { Link } from "react-router";
import { useShallow } from "zustand/react/shallow";
import { freeName, ownGroups, setStatus } from "#core/edit";
import { copiesOf } from "#core/library";
import { restingVariant, variantKey, variantName, variantsOf } from "#core/looks";
import { isOwn } from "#core/project";
import type { Piece, Variant } from "#core/project";
import { useGround } from "../parts/shown/ground";
import { Running } from "../parts/shown/Running";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { Pick } from "../ui/fields/Pick";
import { Menu } from "../ui/floating/Menu";
import { Icon } from "../ui/Icon";
import { TileLink } from "../parts/shown/TileLink";
import { useNear } from "../parts/shown/useNear";
import { libraryWords } from "./words";

/** Of so many variants one is picked from a list; more are looked at on the component's page. */
const MOST_LISTED = 500;

interface Props {
  readonly piece: Piece;
  readonly findings: number;
  readonly canMove: boolean;
  /** goes to a place of the app; always the same function */
  readonly onOpen: (to: string) => void;
  readonly onMove: (piece: Piece, group: string) => void;
  readonly onNote: (text: string) => void;
}

/** What can be done with a component of the library. */
const TileMenu = ({ piece, canMove, onMove, onNote }: Props) => {
  const session = useSession();
  const groups = useDisplayedProject(useShallow(ownGroups));
  const others = groups.filter((g) => g !== piece.group);
  const mark = (status: "draft" | "ready") => {
    const isSet = session.run((now) => {
      const present = now.pieces[piece.id];
      return present && setStatus(present, status);
    });
    if (isSet) onNote(libraryWords.setStatus(piece.name, libraryWords.status[status]));
  };
  const item = (words: string, run: () => void) => (
    <Dropdown.Item key={words} as="button" type="button" onClick={run}>
      {words}
    </Dropdown.Item>
  );
  return (
    <Dropdown align="end">
      <Dropdown.Toggle variant="tool" size="sm" aria-label={libraryWords.actions(piece.name)}>
        …
      </Dropdown.Toggle>
      <Menu>
        <Dropdown.Item as={Link} to={`/projects/${session.id}/pieces/${piece.id}`}>
          {libraryWords.editOnBench}
        </Dropdown.Item>
        <Dropdown.Divider />
        {(["draft", "ready"] as const)
          .filter((status) => (piece.status ?? "draft") !== status)
          .map((status) => item(libraryWords.markAs[status], () => mark(status)))}
        {canMove && (
          <>
            <Dropdown.Divider />
            {others.map((group) => item(libraryWords.moveTo(group), () => onMove(piece, group)))}
            {item(libraryWords.newGroupItem, () =>
              onMove(piece, freeName(libraryWords.newGroup, groups)),
            )}
            {piece.group && item(libraryWords.outOfGroup, () => onMove(piece, ""))}
          </>
        )}
      </Menu>
    </Dropdown>
  );
};

/** How far a component is, where that says something. */
const StatusBadge = ({ piece }: { readonly piece: Piece }) => {
  const { status = "draft" } = piece;
  const key = typeof status === "object" ? "superseded" : status;
  return (
    <Badge bg="" className={`status ${key}`}>
      {libraryWords.status[key]}
    </Badge>
  );
};

/** A component as it runs, in any of its variants. */
const Stage = ({ piece }: { readonly piece: Piece }) => {
  const project = useDisplayedProject();
  const [shown, setShown] = useState<Variant>();
  const [now, setNow] = useState<Variant>();
  const ground = useGround();
  const variants = variantsOf(piece);
  const rest = restingVariant(piece);
  return (
    <>
      <div className="library-stage" style={ground}>
        <Running
          project={project}
          piece={piece.id}
          shown={shown}
          onShown={setNow}
          label={libraryWords.running(piece.name)}
        />
      </div>
      {variants.length > 1 && variants.length <= MOST_LISTED ? (
        <Pick
          search
          label={libraryWords.variant(piece.name)}
          value={variantKey(piece, now ?? rest)}
          options={variants.map((v) => ({
            value: variantKey(piece, v),
            words: variantName(piece, v),
          }))}
          onPick={(key) => setShown(variants.find((v) => variantKey(piece, v) === key))}
        />
      ) : (
        <span className="library-one" />
      )}
    </>
  );
};

/** How far a tile is dragged, px. */
type Way = { readonly x: number; readonly y: number };

/** Drags a tile, by the hand alone: by keys a component is moved by its menu. */
const Grip = ({
  piece,
  of,
  onDrag,
}: {
  readonly piece: Piece;
  readonly of: RefObject<HTMLElement | null>;
  readonly onDrag: (by: Way | null) => void;
}) => {
  const { setNodeRef, listeners, transform } = useDraggable({ id: piece.id });
  useLayoutEffect(() => setNodeRef(of.current), [setNodeRef, of]);
  useLayoutEffect(() => onDrag(transform), [onDrag, transform]);
  return (
    <span className="library-grip" title={libraryWords.drag(piece.name)} {...listeners}>
      <Icon name="grip" size={13} />
    </span>
  );
};

/** What is known of a component at a glance. */
const Facts = ({ piece, findings }: Pick<Props, "piece" | "findings">) => {
  const uses = useDisplayedProject((p) => copiesOf(p, piece.id));
  return (
    <span className="library-facts small-text quiet">
      <StatusBadge piece={piece} />
      {libraryWords.used(uses)}
      {findings > 0 && <span>{libraryWords.findings(findings)}</span>}
    </span>
  );
};

/**
 * A component in the library: running while it is in sight, its name leading to its page. Of one
 * out of sight only the name is there, so that a thousand are as quick as ten.
 */
export const LibraryTile = memo(function LibraryTile(props: Props) {
  const { piece, findings, canMove, onOpen } = props;
  const isMine = isOwn(piece.id);
  const session = useSession();
  const place = useRef<HTMLLIElement>(null);
  const body = useRef<HTMLDivElement>(null);
  const isNear = useNear(place);
  const [way, setWay] = useState<Way | null>(null);
  return (
    <li ref={place} className={isNear ? "library-tile" : "library-tile far"}>
      <div
        ref={body}
        className={way ? "library-body dragged" : "library-body"}
        style={way ? { transform: `translate(${way.x}px, ${way.y}px)` } : {}}
      >
        {isNear && (
          <div className="library-top">
            <Stage piece={piece} />
          </div>
        )}
        <div className="tile-foot">
          <TileLink
            to={`/projects/${session.id}/system/components/${piece.id}`}
            onOpen={onOpen}
            className="tile-name"
          >
            {piece.name}
          </TileLink>
          {isNear && canMove && isMine && <Grip piece={piece} of={body} onDrag={setWay} />}
          {isNear && isMine && <TileMenu {...props} />}
        </div>
        {isNear && <Facts piece={piece} findings={findings} />}
      </div>
    </li>
  );
});
