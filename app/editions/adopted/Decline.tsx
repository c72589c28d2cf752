import { useState } from "react";
import { Button, Form, Modal } from "react-bootstrap";
import { editionsWords } from "../words";

interface Props {
  readonly number: string;
  /** what was noted before */
  readonly reason: string;
  readonly onDecline: (reason: string) => void;
  readonly onClose: () => void;
}

/** Notes why an edition is not taken over. */
export const Decline = ({ number, reason, onDecline, onClose }: Props) => {
  const [why, setWhy] = useState(reason);
  return (
    <Modal show onHide={onClose} aria-labelledby="decline-title">
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="decline-title">
          {editionsWords.declineTitle(number)}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <Form.Label className="publish-why">
          {editionsWords.reason}
          <Form.Control
            size="sm"
            autoFocus
            value={why}
            maxLength={500}
            onChange={(e) => setWhy(e.target.value)}
          />
        </Form.Label>
      </Modal.Body>
      <Modal.Footer>
        <Button variant="outline-primary" onClick={onClose}>
          {editionsWords.cancel}
        </Button>
        <Button disabled={why.trim() === reason} onClick={() => onDecline(why)}>
          {editionsWords.saveNote}
        </Button>
      </Modal.Footer>
    </Modal>
  );
};
