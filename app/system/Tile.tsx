import { useState } from "react";
import { Badge, Button, Dropdown } from "react-bootstrap";
import type { Id } from "#core/basics";
import { addToken, clearTokenValue, removeToken, setTokenValue } from "#core/edit";
import { isAlias, sameCondition } from "#core/looks";
import type { Token } from "#core/project";
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
import { UseList, piecesWith } from "./Uses";
import { systemWords } from "./words";

interface MenuProps {
  readonly token: Token;
  readonly onGroup: () => void;
  readonly onMade: (token: Id) => void;
  readonly onNote: (text: string) => void;
}

/** What else can be done with a token. */
const TokenMenu = ({ token, onGroup, onMade, onNote }: MenuProps) => {
  const session = useSession();
  const alias = () => {
    const { id, type, name, group } = token;
    const made = session.make((now) =>
      addToken(now, type, systemWords.alias(name), { alias: id }, group),
    );
    if (made) onMade(made.id);
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
        <Dropdown.Item as="button" type="button" onClick={() => setTimeout(alias)}>
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
  readonly isFresh: boolean;
  /** what it is for is edited below, and not said a second time */
  readonly isOpen: boolean;
}

/** The name of a token, how much it is used, and what it is for. */
const TokenHead = ({ token, isFresh, isOpen }: HeadProps) => {
  const session = useSession();
  const project = useDisplayedProject();
  const [naming, setNaming] = useState(isFresh);
  const places = piecesWith(project, token.id);
  const pieces = [...new Set(places)].map((id) => project.pieces[id]?.name);
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
      <span className="quiet small-text" title={pieces.join(", ")}>
        {systemWords.placePiece(isAlias(token.value), places.length, pieces.length)}
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
  readonly onMade: (token: Id) => void;
  readonly onNote: (text: string) => void;
}

/** A token: its sample, its name and uses; opened, what it says can be changed. */
export const Tile = ({ token, open, isFresh, onOpen, onMade, onNote }: TileProps) => {
  const session = useSession();
  const [grouping, setGrouping] = useState(false);
  const when = useTokenScope();
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
            <TokenHead token={token} isFresh={isFresh} isOpen={open} />
            <TokenMenu
              token={token}
              onGroup={() => setTimeout(() => setGrouping(true))}
              onMade={onMade}
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
              <UseList token={token.id} />
            </>
          )}
        </>
      )}
    </SortItem>
  );
};
