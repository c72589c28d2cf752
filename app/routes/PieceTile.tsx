import { memo, useRef, useState } from "react";
import { Dropdown } from "react-bootstrap";
import type { Id } from "#core/basics";
import { duplicatePiece, removePiece, renamePiece, setStart } from "#core/edit";
import { variantsOf } from "#core/looks";
import type { Piece } from "#core/project";
import { useGround } from "../parts/shown/ground";
import { Thumbnail } from "../parts/shown/Thumbnail";
import { TileLink } from "../parts/shown/TileLink";
import { useNear } from "../parts/shown/useNear";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { NameField } from "../ui/fields/NameField";
import { afterMenu } from "../ui/floating/afterMenu";
import { routesWords } from "./words";

/** A piece that was just duplicated, and how many rules came along. */
export interface Duplicated {
  readonly id: Id;
  readonly of: string;
  readonly rules: number;
}

interface TileProps {
  readonly piece: Piece;
  /** the prototype starts there */
  readonly start: boolean;
  /** goes to a place of the app; always the same function */
  readonly onOpen: (to: string) => void;
  readonly onRemoved: (name: string) => void;
  readonly onDuplicated: (made: Duplicated) => void;
}

/** What can be done with a piece as a whole. */
const TileMenu = ({
  piece,
  start,
  onRename,
  onRemoved,
  onDuplicated,
}: TileProps & { readonly onRename: () => void }) => {
  const session = useSession();
  const duplicate = () => {
    const made = session.make((project) => {
      const now = project.pieces[piece.id];
      return now && duplicatePiece(project, now, true);
    });
    const rules = Object.keys(piece.rules).length;
    if (made) onDuplicated({ id: made.id, of: piece.name, rules });
  };
  const remove = () => {
    if (session.run((project) => removePiece(project, piece.id))) onRemoved(piece.name);
  };
  const items = [
    { words: routesWords.rename, run: () => afterMenu(onRename) },
    ...(piece.kind === "screen" && !start
      ? [
          {
            words: routesWords.useAsStartScreen,
            run: () => session.run((project) => setStart(project, piece.id)),
          },
        ]
      : []),
    { words: routesWords.duplicate, run: duplicate },
    { words: routesWords.delete, run: remove },
  ];
  return (
    <Dropdown align="end">
      <Dropdown.Toggle variant="tool" size="sm" aria-label={routesWords.actions(piece.name)}>
        …
      </Dropdown.Toggle>
      <Dropdown.Menu>
        {items.map(({ words, run }) => (
          <Dropdown.Item key={words} as="button" type="button" onClick={run}>
            {words}
          </Dropdown.Item>
        ))}
      </Dropdown.Menu>
    </Dropdown>
  );
};

/** A piece; what opens its menu is only there while it is in sight. */
export const PieceTile = memo(function PieceTile(props: TileProps) {
  const { piece, start, onOpen } = props;
  const place = useRef<HTMLLIElement>(null);
  const isNear = useNear(place);
  const session = useSession();
  const project = useDisplayedProject();
  const [renaming, setRenaming] = useState(false);
  const ground = useGround();
  const variants = variantsOf(piece).length;
  const rules = Object.keys(piece.rules).length;
  const to = `${session.home}/pieces/${piece.id}`;
  const named = (name: string | null) => {
    setRenaming(false);
    if (name) session.run(() => renamePiece(piece.id, name));
  };
  return (
    <li ref={place} className={isNear ? "tile-item" : "tile-item far"}>
      <TileLink to={to} onOpen={onOpen} className="tile">
        <span className="tile-picture" style={ground}>
          <Thumbnail project={project} piece={piece.id} />
        </span>
        <span className="visually-hidden">{routesWords.open(piece.name)}</span>
      </TileLink>
      <div className="tile-foot">
        {renaming && <NameField value={piece.name} label={routesWords.name} onDone={named} />}
        {!renaming && (
          <TileLink to={to} onOpen={onOpen} className="tile-name" tabIndex={-1}>
            {piece.name}
          </TileLink>
        )}
        {isNear && <TileMenu {...props} onRename={() => setRenaming(true)} />}
      </div>
      <span className="quiet small-text">{routesWords.variantRule(variants, rules, start)}</span>
    </li>
  );
});
