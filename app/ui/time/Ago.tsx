import { useEffect, useState } from "react";
import { agoText, exactTime } from "./ago";

/** How often it is looked at again, ms. */
const EVERY = 20_000;

interface Props {
  /** ms since 1970 */
  readonly at: number;
  /** when the page was made: what server and browser show first is the same; ms since 1970 */
  readonly from: number;
}

/** A time as how long ago it is, with the exact time where one points at it. */
export const Ago = ({ at, from }: Props) => {
  const [now, setNow] = useState(from);
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), EVERY);
    return () => clearInterval(timer);
  }, []);
  return (
    <time dateTime={new Date(at).toISOString()} title={exactTime(at)}>
      {agoText(now - at)}
    </time>
  );
};
