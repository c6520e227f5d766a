import { Button, Modal } from '@mantine/core';
import { useSession } from '../api/club';
import { count, moment } from '../ui/words';
import { useOutbox } from './Recording';
import classes from './WaitingNote.module.css';
import type { Waiting } from './waiting';

/** What this device has recorded and not sent yet, the oldest first. */
export function WaitingLine({ all, onClose }: { all: Waiting[]; onClose: () => void }) {
  const outbox = useOutbox();
  const account = useSession().data?.name;
  const mine = all.filter((one) => one.account === account);
  const others = [...new Set(all.filter((one) => one.account !== account).map((one) => one.account))];
  return (
    <Modal
      opened
      onClose={onClose}
      title="What this device has recorded"
      size="lg"
      closeButtonProps={{ 'aria-label': 'Close' }}
    >
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
    </Modal>
  );
}
