import { useState, type ReactNode } from "react";
import { Button, Form, Modal } from "react-bootstrap";
import { editionsWords } from "./words";

/** As many characters as the server keeps of a reason. */
const LONGEST = 500;

interface Props {
  readonly title: string;
  /** what was noted before */
  readonly reason?: string;
  readonly confirm: string;
  readonly isAllowed: (reason: string) => boolean;
  readonly onGive: (reason: string) => void;
  readonly onClose: () => void;
  /** what it means to go on */
  readonly children?: ReactNode;
}

/** Asks for a reason, before something is done or noted. */
export const Reason = ({
  title,
  reason = "",
  confirm,
  isAllowed,
  onGive,
  onClose,
  children,
}: Props) => {
  const [why, setWhy] = useState(reason);
  const given = why.trim();
  return (
    <Modal show onHide={onClose} aria-labelledby="reason-title">
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="reason-title">
          {title}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        {children}
        <Form.Label className="publish-why">
          {editionsWords.reason}
          <Form.Control
            size="sm"
            autoFocus
            value={why}
            maxLength={LONGEST}
            onChange={(e) => setWhy(e.target.value)}
          />
        </Form.Label>
      </Modal.Body>
      <Modal.Footer>
        <Button variant="outline-primary" onClick={onClose}>
          {editionsWords.cancel}
        </Button>
        <Button disabled={!isAllowed(given)} onClick={() => onGive(given)}>
          {confirm}
        </Button>
      </Modal.Footer>
    </Modal>
  );
};
