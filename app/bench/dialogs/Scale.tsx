import { useState } from "react";
import { Button, Form, InputGroup, Modal } from "react-bootstrap";
import { reached, variantsOf } from "#core/looks";
import { parseNumber } from "#core/properties";
import { Choices } from "../../ui/fields/Choices";
import { scaleChosen, widthOfChosen } from "../commands/scaling";
import { useActive, useBench, useVarying, useWorkpiece } from "../state/context";
import { dialogsWords } from "./words";

/** What is offered at a press; per cent. */
const offered = [50, 75, 150, 200, 300] as const;
const LEAST = 1;
const MOST = 5000;

const isScale = (percent: number | null): percent is number =>
  percent !== null && percent >= LEAST && percent <= MOST && percent !== 100;

/** Makes what is chosen larger or smaller with all that belongs to it. */
export const Scale = () => {
  const workpiece = useWorkpiece();
  const piece = useVarying();
  const active = useActive();
  const closeDialog = useBench((s) => s.closeDialog);
  const [text, setText] = useState("200");
  const all = variantsOf(piece).length;
  const reaches = variantsOf(piece).filter((v) => reached(active.whens, v)).length;
  const [where, setWhere] = useState<"all" | "scope">("all");
  const width = widthOfChosen(workpiece);
  const percent = parseNumber(text, 100);
  const result = isScale(percent) && width !== null ? (width * percent) / 100 : null;
  const run = () => {
    if (isScale(percent) && scaleChosen(workpiece, percent / 100, where === "all")) closeDialog();
  };
  return (
    <Modal show onHide={closeDialog} aria-labelledby="scale-title" size="sm">
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="scale-title">
          {dialogsWords.scale}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <form
          className="scale-form"
          onSubmit={(e) => {
            e.preventDefault();
            run();
          }}
        >
          <p className="note plain">{dialogsWords.scalesSizesPositionsCorners}</p>
          <InputGroup size="sm">
            <Form.Control
              autoFocus
              aria-label={dialogsWords.perCent}
              inputMode="decimal"
              value={text}
              onFocus={(e) => e.target.select()}
              onChange={(e) => setText(e.target.value)}
            />
            <InputGroup.Text>%</InputGroup.Text>
          </InputGroup>
          <Choices
            label={dialogsWords.perCent}
            value={text}
            choices={offered.map((n) => ({ value: String(n), words: String(n) }))}
            onChoose={setText}
          />
          {reaches < all && (
            <Choices
              label={dialogsWords.in}
              value={where}
              choices={[
                { value: "all", words: dialogsWords.allVariants },
                { value: "scope", words: dialogsWords.currentScope(reaches) },
              ]}
              onChoose={setWhere}
            />
          )}
          <p className="note plain" role="status">
            {result === null
              ? dialogsWords.enterNumberFromOther(LEAST, MOST)
              : dialogsWords.wideBecomes(Math.round(width ?? 0), Math.round(result))}
          </p>
          <div className="actions end">
            <Button size="sm" variant="outline-secondary" onClick={closeDialog}>
              {dialogsWords.cancel}
            </Button>
            <Button size="sm" type="submit" disabled={result === null}>
              {dialogsWords.scale}
            </Button>
          </div>
        </form>
      </Modal.Body>
    </Modal>
  );
};
