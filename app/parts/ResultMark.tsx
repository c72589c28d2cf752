import { Icon } from "../ui/Icon";
import { partsWords } from "./words";

export type Result = "failed" | "passed" | "unknown";

const icons = { failed: "close", passed: "tick", unknown: "time" } as const;
const words = { failed: "fails", passed: "passes", unknown: partsWords.notRunYet };

/** How a rehearsal went, as an icon. */
export const ResultMark = ({ result }: { result: Result }) => (
  <span
    className={`result ${result === "unknown" ? "" : result}`}
    role="img"
    aria-label={words[result]}
  >
    <Icon name={icons[result]} size={13} />
  </span>
);
