import { createContext, type ReactNode, useCallback, useContext, useMemo, useState } from 'react';
import classes from './Notices.module.css';

type Notice = { id: number; text: string; bad: boolean; undo?: () => void };
type Say = { done: (text: string, undo?: () => void) => void; failed: (error: unknown) => void };

const NoticeContext = createContext<Say>({ done: () => {}, failed: () => {} });

/** Says what was done, with a way back, or what went wrong; the last three stand at the foot of the page. */
export function Notices({ children }: { children: ReactNode }) {
  const [notices, setNotices] = useState<Notice[]>([]);
  const drop = useCallback((id: number) => setNotices((all) => all.filter((n) => n.id !== id)), []);
  const say = useMemo<Say>(() => {
    const add = (notice: Omit<Notice, 'id'>) => {
      const id = Date.now() + Math.random();
      setNotices((all) => [...all.slice(-2), { ...notice, id }]);
      window.setTimeout(() => drop(id), notice.bad ? 12000 : 7000);
    };
    return {
      done: (text, undo) => add({ text, undo, bad: false }),
      failed: (error) => add({ text: error instanceof Error ? error.message : String(error), bad: true }),
    };
  }, [drop]);
  return (
    <NoticeContext.Provider value={say}>
      {children}
      <output className={classes.notices} data-notices>
        {notices.map((n) => (
          <div key={n.id} className={n.bad ? classes.bad : classes.good}>
            <span>{n.text}</span>
            {n.undo && (
              <button
                type="button"
                onClick={() => {
                  n.undo?.();
                  drop(n.id);
                }}
              >
                Undo
              </button>
            )}
            <button type="button" aria-label="Close this notice" onClick={() => drop(n.id)}>
              ×
            </button>
          </div>
        ))}
      </output>
    </NoticeContext.Provider>
  );
}

export const useNotices = () => useContext(NoticeContext);
