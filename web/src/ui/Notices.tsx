import {
  createContext,
  type ReactNode,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import { Link } from 'react-router';
import classes from './Notices.module.css';
import { type Settle, settles } from './settle';

/** Something that was said to have been done; `edit` is what the journal calls it, by which any device takes it back. */
export type Notice = {
  id: number;
  text: string;
  bad: boolean;
  at: string;
  undo?: () => void;
  edit?: string;
  /** Where what stood in the way is put right. */
  settle?: Settle | null;
};

type Say = {
  done: (text: string, undo?: () => void, edit?: string | null) => void;
  failed: (error: unknown) => void;
};

/** What was done on this page, and the list of it. */
type LastDone = {
  done: Notice[];
  opened: boolean;
  open: () => void;
  close: () => void;
  drop: (id: number) => void;
};

const NoticeContext = createContext<Say>({ done: () => {}, failed: () => {} });
const nothing = () => {};
const LastDoneContext = createContext<LastDone>({
  done: [],
  opened: false,
  open: nothing,
  close: nothing,
  drop: nothing,
});

/** How long a notice stands, in milliseconds, when nobody is at it. */
const STANDS = { good: 7000, bad: 12000 };
/** How many are shown at once, and how many are remembered for the list of what was done last. */
const SHOWN = 3;
const REMEMBERED = 10;

/**
 * Says what was done, with a way back, or what went wrong; the last three stand at the foot of the page. While the pointer
 * or the focus is at them none of them goes; a touch on one opens the list of what was done last.
 */
export function Notices({ children }: { children: ReactNode }) {
  const [notices, setNotices] = useState<Notice[]>([]);
  const [done, setDone] = useState<Notice[]>([]);
  const [opened, setOpened] = useState(false);
  const [held, setHeld] = useState(false);
  const hide = useCallback((id: number) => {
    setNotices((all) => all.filter((n) => n.id !== id));
    setHeld(false);
  }, []);
  const drop = useCallback(
    (id: number) => {
      hide(id);
      setDone((all) => all.filter((n) => n.id !== id));
    },
    [hide],
  );
  const last = useRef(0);
  const say = useMemo<Say>(() => {
    const add = (said: Omit<Notice, 'id' | 'at'>) => {
      last.current++;
      const notice = { ...said, id: last.current, at: new Date().toISOString() };
      setNotices((all) => [...all.slice(1 - SHOWN), notice]);
      if (notice.undo) setDone((all) => [...all.slice(1 - REMEMBERED), notice]);
    };
    return {
      done: (text, undo, edit) => add({ text, undo, edit: edit ?? undefined, bad: false }),
      failed: (error) =>
        add({
          text: error instanceof Error ? error.message : String(error),
          bad: true,
          settle: settles(error, window.location.pathname),
        }),
    };
  }, []);
  const lastDone = useMemo<LastDone>(
    () => ({ done, opened, open: () => setOpened(true), close: () => setOpened(false), drop }),
    [done, opened, drop],
  );
  return (
    <NoticeContext.Provider value={say}>
      <LastDoneContext.Provider value={lastDone}>
        {children}
        <output
          className={classes.notices}
          data-notices
          onPointerEnter={() => setHeld(true)}
          onPointerLeave={() => setHeld(false)}
          onFocus={() => setHeld(true)}
          onBlur={() => setHeld(false)}
        >
          {notices.map((notice) => (
            <Line key={notice.id} notice={notice} held={held} hide={hide} />
          ))}
        </output>
      </LastDoneContext.Provider>
    </NoticeContext.Provider>
  );
}

type LineProps = { notice: Notice; held: boolean; hide: (id: number) => void };

function Line({ notice: { id, text, bad, undo, settle }, held, hide }: LineProps) {
  const { open, drop } = useLastDone();
  useEffect(() => {
    if (held) return;
    const timer = window.setTimeout(() => hide(id), bad ? STANDS.bad : STANDS.good);
    return () => window.clearTimeout(timer);
  }, [held, hide, id, bad]);
  return (
    <div className={bad ? classes.bad : classes.good}>
      {undo ? (
        <button type="button" className={classes.text} title="What you did last" onClick={open}>
          <span>{text}</span>
        </button>
      ) : (
        <span>{text}</span>
      )}
      {undo && (
        <button
          type="button"
          onClick={() => {
            undo();
            drop(id);
          }}
        >
          Undo
        </button>
      )}
      {settle && (
        <Link to={settle.to} onClick={() => hide(id)}>
          {settle.label}
        </Link>
      )}
      <button type="button" aria-label="Close this notice" onClick={() => hide(id)}>
        ×
      </button>
    </div>
  );
}

export const useNotices = () => useContext(NoticeContext);

export const useLastDone = () => useContext(LastDoneContext);
