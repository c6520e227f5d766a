import { useDisclosure } from '@mantine/hooks';
import { lazy, Suspense } from 'react';
import { isUrgent } from './outbox';
import { useWaiting } from './Recording';
import classes from './WaitingNote.module.css';

const WaitingLine = lazy(() => import('./WaitingLine').then((m) => ({ default: m.WaitingLine })));

/** How much waits to be sent, in the head of every page; opened, what it is and what was refused. */
export function WaitingNote() {
  const all = useWaiting();
  const [opened, { open, close }] = useDisclosure();
  const refused = all.filter((one) => one.aside !== undefined).length;
  const waiting = all.length - refused;
  if (all.length === 0) return null;
  const said = [waiting > 0 && `${waiting} waiting to send`, refused > 0 && `${refused} not taken`].filter(
    Boolean,
  );
  return (
    <>
      <button type="button" className={refused ? classes.refused : classes.note} onClick={open} data-waiting>
        {said.join(', ')}
      </button>
      {opened && (
        <Suspense>
          <WaitingLine all={all} onClose={close} />
        </Suspense>
      )}
    </>
  );
}

/** Somebody was hurt and the server has not taken it: that stands over every page until it has. */
export function NotTaken() {
  const all = useWaiting();
  const [opened, { open, close }] = useDisclosure();
  const urgent = all.filter((one) => isUrgent(one) && one.aside !== undefined);
  if (urgent.length === 0) return null;
  return (
    <div role="alert" className={classes.alert}>
      <p>
        The server has not taken: {urgent.map((one) => one.says).join('; ')}. What it stops holds on this
        device alone; tell the other coaches.
      </p>
      <button type="button" onClick={open}>
        Look at it
      </button>
      {opened && (
        <Suspense>
          <WaitingLine all={all} onClose={close} />
        </Suspense>
      )}
    </div>
  );
}
