import { Button, Modal } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { useSession } from '../api/queries';
import { count, moment } from '../ui/words';
import type { Waiting } from './outbox';
import { useOutbox, useWaiting } from './Recording';
import classes from './WaitingNote.module.css';

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
      <Modal opened={opened} onClose={close} title="What this device has recorded" size="lg">
        <Line all={all} />
      </Modal>
    </>
  );
}

function Line({ all }: { all: Waiting[] }) {
  const outbox = useOutbox();
  const account = useSession().data?.name;
  const mine = all.filter((one) => one.account === account);
  const others = [...new Set(all.filter((one) => one.account !== account).map((one) => one.account))];
  return (
    <>
      {!outbox.reached && <p>The server does not answer. Everything here is kept and sent when it does.</p>}
      <ul className={classes.line}>
        {mine.map((one) => (
          <li key={one.place}>
            <span>{one.says}</span>
            <span className="quiet">{moment(one.at)}</span>
            {one.aside !== undefined && (
              <>
                <p className={classes.reason}>{one.aside}</p>
                <Button size="compact-md" variant="default" onClick={() => outbox.retry(one.place as number)}>
                  Send again
                </Button>
                <Button size="compact-md" variant="subtle" onClick={() => outbox.drop(one.place as number)}>
                  Let it go
                </Button>
              </>
            )}
          </li>
        ))}
      </ul>
      {others.map((name) => (
        <p key={name}>
          {count(all.filter((one) => one.account === name).length, 'record', 'records')} of {name || 'nobody'}{' '}
          will be sent when {name || 'somebody'} signs in here.
        </p>
      ))}
    </>
  );
}
