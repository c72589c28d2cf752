import { useState } from "react";
import type { KeyboardEvent } from "react";
import { Button, Form } from "react-bootstrap";
import type { TokenType } from "#core/project";
import { useDisplayedProject } from "../../session/displayed";
import { Panel } from "../../ui/floating/Panel";
import { makeToken } from "./tokenItems";
import type { Here } from "./tokenItems";
import { sheetWords } from "./words";

const LONGEST = 100;

/** A value of which a token is to be made, and where its cell is in the window, px. */
export interface Naming extends Here {
  readonly type: TokenType;
  /** what it is called when nobody says anything else */
  readonly suggested: string;
  readonly x: number;
  readonly y: number;
}

interface Props {
  readonly naming: Naming;
  /** `isAway` when one went elsewhere with the pointer */
  readonly onClose: (isAway: boolean) => void;
}

/** Asks what a token that is made of a cell's value is called, and among which it is. */
export const NameToken = ({ naming, onClose }: Props) => {
  const { tokens } = useDisplayedProject();
  const [name, setName] = useState(naming.suggested);
  const [group, setGroup] = useState("");
  const alike = Object.values(tokens).filter((t) => t.type === naming.type);
  const groups = [...new Set(alike.map((t) => t.group))].filter(Boolean).sort();
  const trimmed = name.trim();
  const isTaken = alike.some((t) => t.name === trimmed && t.group === group.trim());
  const canMake = trimmed !== "" && !isTaken;
  const make = () => {
    if (!canMake) return;
    makeToken(naming, naming.type, trimmed, group.trim());
    onClose(false);
  };
  const onKeyDown = (e: KeyboardEvent) => {
    e.stopPropagation();
    if (e.key === "Escape") onClose(false);
    if (e.key !== "Enter" || e.target instanceof HTMLButtonElement) return;
    e.preventDefault();
    make();
  };
  return (
    <Panel
      label={sheetWords.newToken}
      width={250}
      height={204}
      at={naming}
      onAway={() => onClose(true)}
      onKeyDown={onKeyDown}
    >
      <div className="panel-body name-token">
        <Form.Group controlId="token-name">
          <Form.Label>{sheetWords.tokenNameField}</Form.Label>
          <Form.Control
            size="sm"
            autoFocus
            value={name}
            maxLength={LONGEST}
            isInvalid={isTaken}
            aria-describedby="token-taken"
            onFocus={(e) => e.target.select()}
            onChange={(e) => setName(e.target.value)}
          />
        </Form.Group>
        <Form.Group controlId="token-group">
          <Form.Label>{sheetWords.tokenGroupField}</Form.Label>
          <Form.Control
            size="sm"
            value={group}
            maxLength={LONGEST}
            list="token-groups"
            placeholder={sheetWords.noGroup}
            onChange={(e) => setGroup(e.target.value)}
          />
          <datalist id="token-groups">
            {groups.map((g) => (
              <option key={g} value={g} />
            ))}
          </datalist>
        </Form.Group>
        <Form.Text id="token-taken" role="status">
          {isTaken && sheetWords.tokenNameTaken}
        </Form.Text>
      </div>
      <div className="panel-foot">
        <Button size="sm" variant="link" onClick={() => onClose(false)}>
          {sheetWords.cancel}
        </Button>
        <Button size="sm" disabled={!canMake} onClick={make}>
          {sheetWords.createTokenNow}
        </Button>
      </div>
    </Panel>
  );
};
