import {
  createContext,
  useContext,
  useEffect,
  useMemo,
  useState,
  useSyncExternalStore,
} from "react";
import type { ReactNode } from "react";
import type { Project } from "#core/project";
import type { Editions } from "#core/world";
import { DisplayedContext } from "./displayed";
import { ThemedSource } from "./displayed/themed";
import { openSession } from "./browser/browser";
import { Session } from "./session";
import type { Message, Snapshot } from "./outside";
import { Notice } from "../ui/floating/Notice";
import { ToastPlace } from "../ui/floating/ToastPlace";

const Context = createContext<Session | null>(null);

/**
 * A session that only shows: what the server renders, the window before it is connected, and earlier
 * moments.
 */
const idle = (
  id: string,
  start: Snapshot,
  editions: Editions,
  moment: number | null = null,
): Session =>
  new Session(
    id,
    "server",
    start,
    {
      send: () => Promise.reject(new Error("not connected")),
      since: () => Promise.resolve(null),
      snapshot: () => Promise.resolve(null),
      edition: () => Promise.reject(new Error("not connected")),
      shelf: { write: () => Promise.reject(new Error("not connected")) },
      reload: () => undefined,
      now: () => 0,
      later: () => () => undefined,
    },
    editions,
    moment,
  );

interface FrameProps {
  readonly session: Session;
  readonly children: ReactNode;
}

/** What pages of a project have around them. */
const Frame = ({ session, children }: FrameProps) => {
  const source = useMemo(() => new ThemedSource(session.id, session), [session]);
  return (
    <Context.Provider value={session}>
      <DisplayedContext.Provider value={source}>
        <ToastPlace>
          {children}
          <Messages session={session} />
        </ToastPlace>
      </DisplayedContext.Provider>
    </Context.Provider>
  );
};

interface MomentProps {
  readonly id: string;
  readonly start: Snapshot;
  readonly editions: Readonly<Record<string, Project>>;
  /** when it was like this, ms since 1970 */
  readonly at: number;
  readonly children: ReactNode;
}

/** Shows an earlier moment of a project to its pages; nothing in it can be changed. */
export const MomentProvider = ({ id, start, editions, at, children }: MomentProps) => {
  const session = useMemo(
    () => idle(id, start, new Map(Object.entries(editions)), at),
    [id, start, editions, at],
  );
  return <Frame session={session}>{children}</Frame>;
};

/** Keeps one session open for the project's pages. */
export const SessionProvider = ({
  id,
  start,
  editions: brought,
  children,
}: {
  id: string;
  start: Snapshot;
  /** what the project sees of the systems it adopts, by their hash */
  editions: Readonly<Record<string, Project>>;
  children: ReactNode;
}) => {
  const editions = useMemo(() => new Map(Object.entries(brought)), [brought]);
  const [session, setSession] = useState(() => idle(id, start, editions));
  useEffect(() => {
    const opened = openSession(id, start, editions);
    // the connection belongs to the mounted page, so it can only replace the idle session from here
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setSession(opened.session);
    return opened.close;
  }, [id, start, editions]);
  return <Frame session={session}>{children}</Frame>;
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

/** The project without what it adopts, with this window's own edits. */
export const useOwnProject = (): Project => {
  const session = useSession();
  const read = () => session.ownProject;
  return useSyncExternalStore(session.subscribe, read, read);
};

export const useSave = () => {
  const session = useSession();
  return useSyncExternalStore(
    session.onChange,
    () => session.save,
    () => session.save,
  );
};

/** The number of the newest change that is known to be kept. */
export const useSeq = (): number => {
  const session = useSession();
  const read = () => session.seq;
  return useSyncExternalStore(session.onChange, read, read);
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
