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
import { useShortcuts } from '../frame/keys';
import classes from './Notices.module.css';

type Notice = { id: number; text: string; bad: boolean; undo?: () => void };
type Say = { done: (text: string, undo?: () => void) => void; failed: (error: unknown) => void };

const NoticeContext = createContext<Say>({ done: () => {}, failed: () => {} });

/** How long a notice stands, in milliseconds, when nobody is at it. */
const STANDS = { good: 7000, bad: 12000 };

/**
 * Says what was done, with a way back, or what went wrong; the last three stand at the foot of the page. While the pointer
 * or the focus is at them none of them goes; `u` goes to the newest.
 */
export function Notices({ children }: { children: ReactNode }) {
  const [notices, setNotices] = useState<Notice[]>([]);
  const [held, setHeld] = useState(false);
  const box = useRef<HTMLOutputElement>(null);
  const drop = useCallback((id: number) => {
    setNotices((all) => all.filter((n) => n.id !== id));
    setHeld(false);
  }, []);
  const say = useMemo<Say>(() => {
    let last = 0;
    const add = (notice: Omit<Notice, 'id'>) => {
      last++;
      const id = last;
      setNotices((all) => [...all.slice(-2), { ...notice, id }]);
    };
    return {
      done: (text, undo) => add({ text, undo, bad: false }),
      failed: (error) => add({ text: error instanceof Error ? error.message : String(error), bad: true }),
    };
  }, []);
  useShortcuts({
    u: () => box.current?.querySelector<HTMLButtonElement>('div:last-of-type > button')?.focus(),
  });
  return (
    <NoticeContext.Provider value={say}>
      {children}
      <output
        ref={box}
        className={classes.notices}
        data-notices
        onPointerEnter={() => setHeld(true)}
        onPointerLeave={() => setHeld(false)}
        onFocus={() => setHeld(true)}
        onBlur={() => setHeld(false)}
      >
        {notices.map((notice) => (
          <Line key={notice.id} notice={notice} held={held} drop={drop} />
        ))}
      </output>
    </NoticeContext.Provider>
  );
}

type LineProps = { notice: Notice; held: boolean; drop: (id: number) => void };

function Line({ notice: { id, text, bad, undo }, held, drop }: LineProps) {
  useEffect(() => {
    if (held) return;
    const timer = window.setTimeout(() => drop(id), bad ? STANDS.bad : STANDS.good);
    return () => window.clearTimeout(timer);
  }, [held, drop, id, bad]);
  return (
    <div className={bad ? classes.bad : classes.good}>
      <span>{text}</span>
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
      <button type="button" aria-label="Close this notice" onClick={() => drop(id)}>
        ×
      </button>
    </div>
  );
}

export const useNotices = () => useContext(NoticeContext);
