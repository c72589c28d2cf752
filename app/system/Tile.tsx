import { useState } from "react";
import { Badge, Button, Dropdown } from "react-bootstrap";
import { Link } from "react-router";
import {
  addToken,
  clearTokenValue,
  motionUsesOf,
  removeToken,
  setTokenValue,
  usesOf,
} from "#core/edit";
import { isAlias, sameCondition } from "#core/looks";
import type { Token } from "#core/project";
import { labelOf } from "#core/properties";
import { useSession } from "../session/context";
import { useDisplayedProject } from "../session/displayed";
import { PATIENCE } from "../session/session";
import { NameField } from "../ui/fields/NameField";
import { SortItem } from "../ui/SortList";
import { Sample } from "./Sample";
import { TokenAbout } from "./TokenAbout";
import { TokenEditor } from "./TokenEditor";
import { changedToken, changingToken } from "./changes";
import { useTokenScope } from "./scope";
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

interface HeadProps {
  readonly token: Token;
  readonly uses: Uses;
  readonly isFresh: boolean;
  /** what it is for is edited below, and not said a second time */
  readonly isOpen: boolean;
}

/** The name of a token, how much it is used, and what it is for. */
const TokenHead = ({ token, uses, isFresh, isOpen }: HeadProps) => {
  const session = useSession();
  const project = useDisplayedProject();
  const [naming, setNaming] = useState(isFresh);
  const isTime = ["motion", "duration", "curve"].includes(token.type);
  const moved = isTime ? motionUsesOf(project, token.id) : [];
  const places = [...new Set([...uses, ...moved].map((u) => project.pieces[u.piece]?.name))];
  const looks = Object.keys(token.looks ?? {}).length;
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
        {systemWords.placePiece(isAlias(token.value), uses.length + moved.length, places.length)}
        {looks > 0 && ` · ${systemWords.themed(looks)}`}
      </span>
      {token.deprecated !== undefined && token.deprecated !== false && (
        <Badge bg="" className="status superseded">
          {systemWords.deprecatedMark}
        </Badge>
      )}
      {!isOpen && token.about !== undefined && (
        <span className="small-text token-note">{token.about}</span>
      )}
    </span>
  );
};

interface TileProps {
  readonly token: Token;
  readonly open: boolean;
  /** it was just made, and gets its name now */
  readonly isFresh: boolean;
  readonly onOpen: () => void;
  readonly onNote: (text: string) => void;
}

/** A token: its sample, its name and uses; opened, what it says can be changed. */
export const Tile = ({ token, open, isFresh, onOpen, onNote }: TileProps) => {
  const session = useSession();
  const project = useDisplayedProject();
  const [grouping, setGrouping] = useState(false);
  const when = useTokenScope();
  const uses = usesOf(project, token.id);
  const hasOwn = Object.values(token.looks ?? {}).some((look) => sameCondition(look.when, when));
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
            <TokenHead token={token} uses={uses} isFresh={isFresh} isOpen={open} />
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
                  session.run(
                    changingToken(token.id, (now) => setTokenValue(now, value, when)),
                    `token ${token.id}`,
                    PATIENCE,
                  )
                }
              />
              {hasOwn && (
                <Button
                  variant="link"
                  size="sm"
                  onClick={() =>
                    session.run(changingToken(token.id, (now) => clearTokenValue(now, when)))
                  }
                >
                  {systemWords.sameEverywhere}
                </Button>
              )}
              <TokenAbout token={token} />
              <UseList uses={uses} />
            </>
          )}
        </>
      )}
    </SortItem>
  );
};
