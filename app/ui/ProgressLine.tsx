import { ProgressBar } from "react-bootstrap";

interface Props {
  /** what is under way */
  readonly label: string;
  readonly now: number;
  readonly max: number;
  /** in it, for those who see it */
  readonly words?: string;
}

/**
 * How far something is. A bar in a bar: the outer one would keep the name for itself, where the
 * role has none to show.
 */
export const ProgressLine = ({ label, now, max, words }: Props) => (
  <ProgressBar>
    <ProgressBar now={now} max={Math.max(1, max)} label={words} aria-label={label} />
  </ProgressBar>
);
