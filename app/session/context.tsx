import {
  createContext,
  useContext,
  useEffect,
  useMemo,
  useState,
  useSyncExternalStore,
} from "react";
import type { ReactNode } from "react";
import { ToastContainer } from "react-bootstrap";
import type { Project } from "#core/project";
import { DisplayedContext } from "./displayed";
import { ThemedSource } from "./displayed/themed";
import { openSession } from "./browser/browser";
import { Session } from "./session";
import type { Message } from "./outside";
import { Notice, NoticePlace } from "../ui/floating/Notice";

const Context = createContext<Session | null>(null);

/** A session that only shows: what the server renders, and the window before it is connected. */
const idle = (id: string, seq: number, project: Project): Session =>
  new Session(
    id,
    "server",
    { seq, project },
    {
      send: () => Promise.reject(new Error("not connected")),
      since: () => Promise.resolve(null),
      snapshot: () => Promise.resolve(null),
      shelf: { write: () => Promise.reject(new Error("not connected")) },
      reload: () => undefined,
      now: () => 0,
      later: () => () => undefined,
    },
  );

/** Keeps one session open for the project's pages. */
export const SessionProvider = ({
  id,
  seq,
  project,
  children,
}: {
  id: string;
  seq: number;
  project: Project;
  children: ReactNode;
}) => {
  const [session, setSession] = useState(() => idle(id, seq, project));
  useEffect(() => {
    const opened = openSession(id, { seq, project });
    // the connection belongs to the mounted page, so it can only replace the idle session from here
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setSession(opened.session);
    return opened.close;
  }, [id, seq, project]);
  const source = useMemo(() => new ThemedSource(id, session), [id, session]);
  const [place, setPlace] = useState<HTMLElement | null>(null);
  return (
    <Context.Provider value={session}>
      <DisplayedContext.Provider value={source}>
        <NoticePlace.Provider value={place}>
          {children}
          <Messages session={session} />
        </NoticePlace.Provider>
      </DisplayedContext.Provider>
      <ToastContainer
        className="notices"
        position="bottom-center"
        containerPosition="fixed"
        ref={setPlace}
      />
    </Context.Provider>
  );
};

/** Messages that are shown at once; older ones give way. */
const MOST_MESSAGES = 3;

/**
 * The newest messages of the session, each until it was read: one must not take away what another
 * offers.
 */
const Messages = ({ session }: { session: Session }) => {
  const [messages, setMessages] = useState<readonly Message[]>([]);
  useEffect(
    () =>
      session.onMessage((message) => {
        setMessages((shown) =>
          [...shown.filter(({ text }) => text !== message.text), message].slice(-MOST_MESSAGES),
        );
      }),
    [session],
  );
  const close = (message: Message) =>
    setMessages((shown) => shown.filter((other) => other !== message));
  return messages.map((message) => (
    <Notice
      key={message.text}
      bad
      text={message.text}
      action={message.action}
      onClose={() => close(message)}
    />
  ));
};

export const useSession = (): Session => {
  const session = useContext(Context);
  if (!session) throw new Error("there is no project around this page");
  return session;
};

export const useSave = () => {
  const session = useSession();
  return useSyncExternalStore(
    session.onChange,
    () => session.save,
    () => session.save,
  );
};

/** Changes that were set aside and wait for a choice. */
export const useAside = () => {
  const session = useSession();
  return useSyncExternalStore(
    session.onChange,
    () => session.aside,
    () => session.aside,
  );
};

export const useUndo = (): { undo: string | null; redo: string | null } => {
  const session = useSession();
  const undo = useSyncExternalStore(
    session.onChange,
    () => session.undoLabel,
    () => null,
  );
  const redo = useSyncExternalStore(
    session.onChange,
    () => session.redoLabel,
    () => null,
  );
  return { undo, redo };
};
