import { lazy, type ReactNode, Suspense } from 'react';
import type { Session } from '../api/types';
import { NotTaken } from '../record/WaitingNote';
import { useLastDone } from '../ui/Notices';
import { DataTrouble } from './DataTrouble';
import classes from './Frame.module.css';
import { useKeys, useShortcuts } from './keys';
import { Rail } from './Rail';
import { Stale } from './Stale';

const LastDone = lazy(() => import('./LastDone').then((m) => ({ default: m.LastDone })));
const KeysHelp = lazy(() => import('./KeysHelp').then((m) => ({ default: m.KeysHelp })));

/** The frame of every screen: the rail of earth steps, the page beside it. */
export function Frame({ session, children }: { session: Session; children: ReactNode }) {
  const keys = useKeys();
  const lastDone = useLastDone();
  const maySee = session.role !== 'VIEWER';
  useShortcuts({ u: () => maySee && lastDone.open() });
  return (
    <div className={classes.frame} data-role={session.role}>
      <a href="#page" className={classes.skip}>
        To the page
      </a>
      <Rail />
      <main id="page" className={classes.page}>
        <DataTrouble isHead={session.role === 'HEAD'} />
        <NotTaken />
        <Stale />
        {children}
      </main>
      {lastDone.opened && maySee && (
        <Suspense>
          <LastDone />
        </Suspense>
      )}
      {keys.help && (
        <Suspense>
          <KeysHelp opened onClose={keys.closeHelp} />
        </Suspense>
      )}
    </div>
  );
}
