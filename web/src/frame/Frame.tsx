import { lazy, type ReactNode, Suspense } from 'react';
import type { Session } from '../api/types';
import { NotTaken } from '../record/WaitingNote';
import classes from './Frame.module.css';
import { useKeys } from './keys';
import { Rail } from './Rail';

const KeysHelp = lazy(() => import('./KeysHelp').then((m) => ({ default: m.KeysHelp })));

/** The frame of every screen: the rail of earth steps, the page beside it. */
export function Frame({ session, children }: { session: Session; children: ReactNode }) {
  const keys = useKeys();
  return (
    <div className={classes.frame} data-role={session.role}>
      <a href="#page" className={classes.skip}>
        To the page
      </a>
      <Rail />
      <main id="page" className={classes.page}>
        <NotTaken />
        {children}
      </main>
      {keys.help && (
        <Suspense>
          <KeysHelp opened onClose={keys.closeHelp} />
        </Suspense>
      )}
    </div>
  );
}
