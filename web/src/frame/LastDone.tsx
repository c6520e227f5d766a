import { Button, Modal } from '@mantine/core';
import { useLastEdits, useSession } from '../api/club';
import { doneInWords, lastDone } from '../form/done';
import classes from '../form/Edit.module.css';
import { TakeBack } from '../form/TakeBack';
import { useOutbox, useWaiting } from '../record/Recording';
import { useLastDone } from '../ui/Notices';
import { Loaded } from '../ui/States';
import { moment } from '../ui/words';

/** The last ten things I did, on whichever device, each with its way back; what waits to be sent is simply dropped. */
export function LastDone() {
  const { close } = useLastDone();
  const query = useLastEdits();
  return (
    <Modal
      opened
      onClose={close}
      title="What you did last"
      size="lg"
      closeButtonProps={{ 'aria-label': 'Close' }}
    >
      <Loaded query={query}>{(kept) => <Lines kept={kept} />}</Loaded>
    </Modal>
  );
}

function Lines({ kept }: { kept: Parameters<typeof lastDone>[1] }) {
  const { done, drop } = useLastDone();
  const outbox = useOutbox();
  const account = useSession().data?.name;
  const waiting = useWaiting().filter((one) => one.account === account);
  const lines = lastDone(done, kept);
  if (lines.length + waiting.length === 0)
    return (
      <p className="quiet">Nothing yet. What you change, mark or record stands here, to be taken back.</p>
    );
  return (
    <ol className={classes.history}>
      {[...waiting].reverse().map((one) => (
        <li key={`w${one.place}`} className={classes.last}>
          <strong>{one.says}</strong>
          <span className="quiet">{moment(one.at)}, not sent yet</span>
          <Button variant="default" size="compact-md" onClick={() => outbox.withdraw(one.place as number)}>
            Drop it
          </Button>
        </li>
      ))}
      {lines.map(({ key, text, at, notice, done: edit }) => (
        <li key={key} className={classes.last}>
          <strong className={edit?.undoneBy ? classes.gone : undefined}>{text}</strong>
          <span className="quiet">
            {moment(at)}
            {edit && edit.things.length > 0 && text !== doneInWords(edit) && `: ${doneInWords(edit)}`}
          </span>
          {notice && (
            <Button
              variant="default"
              size="compact-md"
              onClick={() => {
                notice.undo?.();
                drop(notice.id);
              }}
            >
              Take back
            </Button>
          )}
          {edit &&
            (edit.undoneBy ? (
              <TakeBack edit={edit.undoneBy} label="Put it back" />
            ) : (
              <TakeBack edit={edit.edit} label="Take back" />
            ))}
        </li>
      ))}
    </ol>
  );
}
