import { Link } from "react-router";
import { exactTime } from "../../ui/time/ago";
import { useSession } from "../context";
import { sessionWords } from "../words";

interface Props {
  /** ms since 1970 */
  readonly at: number;
}

/** Says that an earlier moment is shown, and leads back. */
export const MomentMark = ({ at }: Props) => {
  const session = useSession();
  return (
    <span className="moment-mark">
      {sessionWords.asOf} <time dateTime={new Date(at).toISOString()}>{exactTime(at)}</time>
      <span className="quiet">{sessionWords.readOnly}</span>
      <Link to={`/projects/${session.id}/history?at=${session.seq}`}>{sessionWords.toHistory}</Link>
    </span>
  );
};
