import { useState } from "react";
import { Button } from "react-bootstrap";
import { useFetcher } from "react-router";
import { NameField } from "../ui/fields/NameField";
import { Icon } from "../ui/Icon";
import { historyPageWords } from "./words";

interface Props {
  readonly seq: number;
  readonly name: string | null;
}

/** The name of a moment; anyone may give it one. */
export const MomentName = ({ seq, name }: Props) => {
  const fetcher = useFetcher<{ readonly reason: string | null }>();
  const [isNaming, setNaming] = useState(false);
  const reason = fetcher.data?.reason;
  const send = (text: string) =>
    void fetcher.submit({ seq, name: text }, { method: "post", encType: "application/json" });
  const named = (text: string | null) => {
    setNaming(false);
    if (text !== null) send(text);
  };
  return (
    <p className="moment-name">
      {name !== null && !isNaming && (
        <>
          <Icon name="flag" /> <span className="strong">{name}</span>
        </>
      )}
      {isNaming ? (
        <NameField value={name ?? ""} label={historyPageWords.name} onDone={named} />
      ) : (
        <Button variant="link" size="sm" onClick={() => setNaming(true)}>
          {name === null ? historyPageWords.nameIt : historyPageWords.rename}
        </Button>
      )}
      {name !== null && !isNaming && (
        <Button variant="link" size="sm" onClick={() => send("")}>
          {historyPageWords.removeName}
        </Button>
      )}
      {reason && (
        <span className="refusal" role="alert">
          {reason}
        </span>
      )}
    </p>
  );
};
