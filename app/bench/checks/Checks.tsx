import { useState } from "react";
import { Button, Form } from "react-bootstrap";
import type { Finding } from "#core/checks";
import { acceptFinding, unacceptFinding } from "#core/edit";
import { Icon } from "../../ui/Icon";
import { useEnterTheme } from "../../session/displayed/enter";
import { useBench, useCommand, usePiece } from "../state/context";
import type { Inspection } from "../../../workers/inspector";
import { checksWords } from "./words";

const severities = {
  error: checksWords.broken,
  warning: checksWords.problem,
  note: checksWords.intended,
} as const;

const Reason = ({ onDone }: { onDone: (reason: string | null) => void }) => {
  const [text, setText] = useState("");
  return (
    <Form
      className="reason"
      onSubmit={(e) => {
        e.preventDefault();
        if (text.trim()) onDone(text.trim());
      }}
    >
      <Form.Control
        size="sm"
        autoFocus
        aria-label={checksWords.whyFine}
        placeholder={checksWords.whyFine}
        value={text}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          e.stopPropagation();
          if (e.key === "Escape") onDone(null);
        }}
      />
      <Button size="sm" type="submit" disabled={!text.trim()}>
        {checksWords.accept}
      </Button>
      <Button variant="link" size="sm" onClick={() => onDone(null)}>
        {checksWords.cancel}
      </Button>
    </Form>
  );
};

const FindingLine = ({ finding }: { finding: Finding }) => {
  const command = useCommand();
  const layers = usePiece((p) => p.layers);
  const [reasoning, setReasoning] = useState(false);
  const choose = useBench((s) => s.choose);
  const look = useBench((s) => s.look);
  const chooseRules = useBench((s) => s.chooseRules);
  const showRules = useBench((s) => s.showRules);
  const show = useBench((s) => s.show);
  const enterTheme = useEnterTheme();
  const point = () => {
    enterTheme(finding.theme);
    if (finding.layers.length) choose(finding.layers.filter((id) => layers[id]));
    if (finding.variant) look(finding.variant);
    if (finding.rules.length) chooseRules(finding.rules);
  };
  return (
    <li className={`finding ${finding.severity}`}>
      <span className="severity" title={severities[finding.severity]}>
        <Icon name={finding.severity === "note" ? "ask" : "alert"} size={15} />
      </span>
      <div className="said">
        <span>
          <span className="visually-hidden">{severities[finding.severity]}: </span>
          {finding.text}
        </span>
        {reasoning ? (
          <Reason
            onDone={(reason) => {
              setReasoning(false);
              if (reason) command((_, piece) => acceptFinding(piece, finding.id, reason));
            }}
          />
        ) : (
          <span className="finding-tools">
            {(finding.layers.length > 0 || finding.variant) && (
              <Button variant="link" size="sm" onClick={point}>
                {checksWords.showLayers}
              </Button>
            )}
            {finding.rules.length > 0 && (
              <Button variant="link" size="sm" onClick={() => showRules(finding.rules)}>
                {finding.rules.length === 1 ? checksWords.showRule : checksWords.showRules}
              </Button>
            )}
            {finding.way && (
              <Button
                variant="link"
                size="sm"
                onClick={() => {
                  enterTheme(finding.theme);
                  show({ steps: finding.way ?? [], rehearsal: null });
                }}
              >
                {checksWords.playTry}
              </Button>
            )}
            {finding.fix && (
              <Button
                variant="link"
                size="sm"
                className="strong"
                onClick={() => command(() => finding.fix?.change)}
              >
                {finding.fix.label}
              </Button>
            )}
            <Button variant="link" size="sm" onClick={() => setReasoning(true)}>
              {checksWords.acceptInChecks}
            </Button>
          </span>
        )}
      </div>
    </li>
  );
};

/** How far looking through the piece has come, or how much of what can happen was looked at. */
const statusWords = (found: Inspection, isInspecting: boolean, looked: number | null): string => {
  if (!isInspecting) return lookedWords(found);
  return looked === null
    ? checksWords.checking
    : checksWords.checkingFurther(
        checksWords.situations(found.situations),
        looked.toLocaleString("en"),
      );
};

/** How much of what can happen was looked at. */
const lookedWords = ({ situations, whole, variants }: Inspection): string => {
  const looked = checksWords.situations(situations);
  if (whole) return checksWords.checkedAllWithMouse(looked);
  return variants === null
    ? checksWords.checkedFirstThereAre(looked)
    : checksWords.checkedFirstAllVariants(looked, variants);
};

/** What the checks found, worst first; accepted findings below, with their reasons. */
export const Checks = () => {
  const command = useCommand();
  const reasons = usePiece((p) => p.accepted);
  const inspection = useBench((s) => s.inspection);
  const inspecting = useBench((s) => s.inspecting);
  const looked = useBench((s) => s.looked);
  if (!inspection)
    return (
      <p className="drawer-empty" role="status">
        {checksWords.checkingAllSituations}
      </p>
    );
  const open = inspection.findings.filter((f) => !reasons[f.id]);
  const accepted = inspection.findings.filter((f) => reasons[f.id]);
  return (
    <div className="checks">
      <p className="checked quiet" role="status">
        {statusWords(inspection, inspecting, looked)}
      </p>
      {open.length === 0 && !inspecting && (
        <p className="drawer-empty good">
          <Icon name="tick" size={15} /> {checksWords.noFindings}
        </p>
      )}
      <ul>
        {open.map((f) => (
          <FindingLine key={f.id} finding={f} />
        ))}
      </ul>
      {accepted.length > 0 && (
        <>
          <h3 className="caption rule-group">{checksWords.accepted}</h3>
          <ul>
            {accepted.map((f) => (
              <li key={f.id} className="finding accepted">
                <span className="severity">
                  <Icon name="tick" size={14} />
                </span>
                <div className="said">
                  <span>{f.text}</span>
                  <span className="reasoned">“{reasons[f.id]?.reason}”</span>
                  <span className="finding-tools">
                    <Button
                      variant="link"
                      size="sm"
                      onClick={() => command((_, piece) => unacceptFinding(piece, f.id))}
                    >
                      {checksWords.reopen}
                    </Button>
                  </span>
                </div>
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
};
