import { Button } from "react-bootstrap";
import type { Entry } from "#core/history";
import type { Told } from "#server";
import { useSession } from "../session/context";
import { clockText } from "./days";
import { useFetched } from "./fetched";
import { historyPageWords } from "./words";

interface Props {
  readonly sitting: Told;
  readonly chosen: number;
  readonly onChoose: (seq: number) => void;
}

/** Each change of a sitting, by which any moment of it is found. */
export const SittingChanges = ({ sitting, chosen, onChoose }: Props) => {
  const session = useSession();
  const { first, last, clientId } = sitting;
  const found = useFetched<readonly Entry[]>(
    `/projects/${session.id}/history/changes?after=${first - 1}&upTo=${last}`,
  );
  if (found.kind === "failed")
    return (
      <Button variant="link" size="sm" onClick={found.again}>
        {historyPageWords.tryAgain}
      </Button>
    );
  if (found.kind === "coming") return null;
  const own = found.value.filter((entry) => entry.clientId === clientId);
  return (
    <ol className="change-list" aria-label={historyPageWords.eachChange}>
      {own.toReversed().map(({ seq, at, label }) => (
        <li key={seq}>
          <Button
            variant="sitting"
            aria-current={seq === chosen ? "true" : undefined}
            onClick={() => onChoose(seq)}
          >
            <span>{label}</span>
            <span className="quiet small-text">{clockText(at)}</span>
          </Button>
        </li>
      ))}
    </ol>
  );
};
