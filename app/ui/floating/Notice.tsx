import { createContext, useContext } from "react";
import { Button, Toast } from "react-bootstrap";
import { createPortal } from "react-dom";
import { uiWords } from "../words";

/** Where notices of all parts of the page stand, one above the other. */
export const NoticePlace = createContext<HTMLElement | null>(null);

/** How long a notice stays, ms. */
const STAYS = 6000;
const BAD_NEWS_STAYS = 12_000;

interface NoticeProps {
  readonly text: string;
  readonly bad?: boolean;
  readonly action?: { readonly label: string; readonly run: () => void } | undefined;
  readonly onClose: () => void;
}

/** A sentence at the foot of the page that goes away by itself; bad news stays longer. */
export const Notice = ({ text, bad = false, action, onClose }: NoticeProps) => {
  const place = useContext(NoticePlace);
  if (!place) return null;
  const act = () => {
    action?.run();
    onClose();
  };
  return createPortal(
    <Toast
      key={text}
      className={`notice${bad ? " bad" : ""}`}
      animation={false}
      autohide
      delay={bad ? BAD_NEWS_STAYS : STAYS}
      onClose={onClose}
    >
      <Toast.Body>
        <span>{text}</span>
        {action && (
          <Button variant="link" size="sm" onClick={act}>
            {action.label}
          </Button>
        )}
        <Button variant="link" size="sm" onClick={onClose}>
          {uiWords.close}
        </Button>
      </Toast.Body>
    </Toast>,
    place,
  );
};
