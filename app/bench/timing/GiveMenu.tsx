import { useState } from "react";
import { Button, Dropdown, Form } from "react-bootstrap";
import type { Id } from "#core/basics";
import { ruleText } from "#core/describe";
import { giveMotion } from "#core/edit";
import { Menu } from "../../ui/floating/Menu";
import { useCommand } from "../state/context";
import { useDisplayedProject } from "../../session/displayed";
import type { Timed } from "./useTiming";
import { timingWords } from "./words";

/** Gives the motion one looks at to other rules of the piece, too. */
export const GiveMenu = ({ timed }: { timed: Timed }) => {
  const command = useCommand();
  const project = useDisplayedProject();
  const { piece, said } = timed;
  const [ids, setIds] = useState<readonly Id[]>([]);
  const [lanes, setLanes] = useState(false);
  const [open, setOpen] = useState(false);
  const others = timed.rules.filter((r) => r.id !== timed.rule?.id);
  const chosen = ids.filter((id) => others.some((r) => r.id === id));
  if (others.length === 0) return null;
  const give = () => {
    command((_, now) => giveMotion(now, chosen, said, lanes));
    setIds([]);
    setOpen(false);
  };
  return (
    <Dropdown align="end" autoClose="outside" show={open} onToggle={setOpen}>
      <Dropdown.Toggle variant="tool">{timingWords.copyTiming}</Dropdown.Toggle>
      <Menu className="give-menu">
        <p className="caption padded">{timingWords.copyTiming2}</p>
        <div className="give-rules">
          {others.map((r) => (
            <label key={r.id} className="give-rule">
              <Form.Check.Input
                checked={ids.includes(r.id)}
                onChange={(e) =>
                  setIds(e.target.checked ? [...ids, r.id] : ids.filter((x) => x !== r.id))
                }
              />
              <span>
                {timed.rules.indexOf(r) + 1}. {ruleText(project, piece, r)}
              </span>
            </label>
          ))}
        </div>
        <div className="give-foot">
          {said.lanes?.length ? (
            <label className="small-text">
              <Form.Check.Input checked={lanes} onChange={(e) => setLanes(e.target.checked)} />{" "}
              {timingWords.include(said.lanes.length)}
            </label>
          ) : null}
          <Button size="sm" className="push" disabled={chosen.length === 0} onClick={give}>
            {chosen.length > 1 ? timingWords.copyRules(chosen.length) : timingWords.copy}
          </Button>
        </div>
      </Menu>
    </Dropdown>
  );
};
