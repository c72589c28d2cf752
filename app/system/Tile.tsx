import { useState } from "react";
import { Button, Dropdown } from "react-bootstrap";
import { Link } from "react-router";
import { addToken, motionUsesOf, removeToken, usesOf } from "#core/edit";
import type { Token } from "#core/project";
import { labelOf } from "#core/properties";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { PATIENCE } from "../session/session";
import { NameField } from "../ui/fields/NameField";
import { SortItem } from "../ui/SortList";
import { Sample } from "./Sample";
import { TokenEditor } from "./TokenEditor";
import { changedToken } from "./changes";
import { systemWords } from "./words";

type Uses = ReturnType<typeof usesOf>;

/** How many places are listed at most. */
const LISTED = 12;

/** Where a token is used. */
const UseList = ({ uses }: { uses: Uses }) => {
  const session = useSession();
  const { pieces } = useDisplayedProject();
  if (uses.length === 0) return null;
  return (
    <ul className="token-uses" aria-label={systemWords.whereUsed}>
      {uses.slice(0, LISTED).map((u) => (
        <li key={`${u.piece} ${u.look} ${u.layer} ${u.key}`}>
          <Link to={`/projects/${session.id}/pieces/${u.piece}`}>{pieces[u.piece]?.name}</Link>:{" "}
          {pieces[u.piece]?.layers[u.layer]?.name}, {labelOf(u.key)}
        </li>
      ))}
      {uses.length > LISTED && (
        <li className="quiet">{systemWords.moreUses(uses.length - LISTED)}</li>
      )}
    </ul>
  );
};

interface MenuProps {
  readonly token: Token;
  readonly onGroup: () => void;
  readonly onNote: (text: string) => void;
}

/** What else can be done with a token. */
const TokenMenu = ({ token, onGroup, onNote }: MenuProps) => {
  const session = useSession();
  const alias = () => {
    const { id, type, name, group } = token;
    session.run((now) => addToken(now, type, systemWords.alias(name), { alias: id }, group).change);
  };
  const remove = () => {
    if (session.run((now) => removeToken(now, token))) {
      onNote(systemWords.deletedValuesLinkedStay(token.name));
    }
  };
  return (
    <Dropdown align="end">
      <Dropdown.Toggle variant="tool" size="sm" aria-label={systemWords.actions(token.name)}>
        …
      </Dropdown.Toggle>
      <Dropdown.Menu>
        <Dropdown.Item as="button" type="button" onClick={onGroup}>
          {systemWords.setGroup}
        </Dropdown.Item>
        <Dropdown.Item as="button" type="button" onClick={alias}>
          {systemWords.createAlias}
        </Dropdown.Item>
        <Dropdown.Item as="button" type="button" onClick={remove}>
          {systemWords.delete}
        </Dropdown.Item>
      </Dropdown.Menu>
    </Dropdown>
  );
};

/** The name of a token and how much it is used. */
const TokenHead = ({ token, uses }: { token: Token; uses: Uses }) => {
  const session = useSession();
  const project = useDisplayedProject();
  const [naming, setNaming] = useState(false);
  const moved = token.type === "motion" ? motionUsesOf(project, token.id) : [];
  const places = [...new Set([...uses, ...moved].map((u) => project.pieces[u.piece]?.name))];
  const alias = typeof token.value === "object" && "alias" in token.value;
  return (
    <span className="token-words">
      {naming ? (
        <NameField
          value={token.name}
          label={systemWords.tokenName}
          onDone={(name) => {
            setNaming(false);
            if (name) session.run(changedToken(token.id, { name }));
          }}
        />
      ) : (
        <Button
          variant="name"
          className="strong"
          title={systemWords.rename}
          onClick={() => setNaming(true)}
        >
          {token.name}
        </Button>
      )}
      <span className="quiet small-text" title={places.join(", ")}>
        {systemWords.placePiece(alias, uses.length + moved.length, places.length)}
      </span>
    </span>
  );
};

interface TileProps {
  readonly token: Token;
  readonly open: boolean;
  readonly onOpen: () => void;
  readonly onNote: (text: string) => void;
}

/** A token: its sample, its name and uses; opened, what it says can be changed. */
export const Tile = ({ token, open, onOpen, onNote }: TileProps) => {
  const session = useSession();
  const project = useDisplayedProject();
  const [grouping, setGrouping] = useState(false);
  const uses = usesOf(project, token.id);
  return (
    <SortItem
      id={token.id}
      name={token.name}
      as="li"
      className={`token-tile${open ? " open" : ""}`}
    >
      {(grip) => (
        <>
          <div className="token-top">
            {grip}
            <button type="button" className="sample-button" aria-expanded={open} onClick={onOpen}>
              <span aria-hidden="true">
                <Sample token={token} />
              </span>
              <span className="visually-hidden">{systemWords.edit(token.name)}</span>
            </button>
            <TokenHead token={token} uses={uses} />
            <TokenMenu
              token={token}
              onGroup={() => setTimeout(() => setGrouping(true))}
              onNote={onNote}
            />
          </div>
          {grouping && (
            <label className="group-field small-text">
              {systemWords.group}{" "}
              <NameField
                value={token.group || systemWords.group}
                label={systemWords.tokenGroup}
                onDone={(group) => {
                  setGrouping(false);
                  if (group !== null) session.run(changedToken(token.id, { group }));
                }}
              />
            </label>
          )}
          {open && (
            <>
              <TokenEditor
                token={token}
                onChange={(value) =>
                  session.run(changedToken(token.id, { value }), `token ${token.id}`, PATIENCE)
                }
              />
              <UseList uses={uses} />
            </>
          )}
        </>
      )}
    </SortItem>
  );
};
