import { useEffect, useState } from "react";
import { announced } from "./announced";
import { useSession } from "../context";

/** How long edits of a gesture are gathered before they are told, ms. */
const QUIET = 500;

/** Makes the same words another text, so that they are read again. */
const AGAIN = "\u00a0";

/** Tells those who do not see the page what was done, taken back and done again. */
export const Announcer = () => {
  const session = useSession();
  const [text, setText] = useState("");
  useEffect(() => {
    let before = session.steps;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const tell = () => {
      const now = session.steps;
      const next = announced(before, now);
      before = now;
      if (next !== "") setText((last) => (last === next ? next.concat(AGAIN) : next));
    };
    const stop = session.onChange(() => {
      clearTimeout(timer);
      timer = setTimeout(tell, QUIET);
    });
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [session]);
  return (
    <p className="visually-hidden" role="status">
      {text}
    </p>
  );
};
