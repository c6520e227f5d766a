import { Button, Textarea } from '@mantine/core';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { send } from '../../api/client';
import { useTelling } from '../../api/club';
import { usePlan, useTracks } from '../../api/mat';
import type { Telling, TrainingClass } from '../../api/types';
import { useChanged } from '../../form/useEdit';
import { PageHead } from '../../frame/PageHead';
import { useNotices } from '../../ui/Notices';
import { Scroll } from '../../ui/Scroll';
import { Loaded } from '../../ui/States';
import { count, date, time } from '../../ui/words';
import classes from './OffPage.module.css';

/** A class is called off, or takes place after all: who gets a letter, whom to phone, whom nobody can reach. */
export function OffPage() {
  const { id = '' } = useParams();
  const plan = usePlan(id);
  const telling = useTelling(id);
  return (
    <Loaded query={plan}>
      {({ value, tag }) => (
        <Loaded query={telling}>{(would) => <Off training={value} tag={tag} would={would} />}</Loaded>
      )}
    </Loaded>
  );
}

function Off({ training, tag, would }: { training: TrainingClass; tag: string; would: Telling }) {
  const tracks = useTracks();
  const navigate = useNavigate();
  const say = useNotices();
  const changed = useChanged();
  const [reason, setReason] = useState('');
  const [told, setTold] = useState<Telling | null>(null);
  const [sending, setSending] = useState(false);
  const off = !training.cancelled;
  const track = tracks.data?.tracks.find((t) => t.id === training.track)?.name ?? '';
  const tell = async (news: 'CALLED_OFF' | 'AFTER_ALL') => {
    setSending(true);
    try {
      const said = await send('POST', `/classes/${training.id}/news`, { news, reason }, tag);
      await changed('class');
      setTold(said);
      say.done(
        `${track} is ${news === 'CALLED_OFF' ? 'called off' : 'on again'}; ${count(said.letters.length, 'letter lies', 'letters lie')} ready.`,
      );
    } catch (error) {
      say.failed(error);
    } finally {
      setSending(false);
    }
  };
  const shown = told ?? would;
  return (
    <>
      <PageHead title={off ? 'Call off' : 'Called off'}>
        <span className="quiet">
          {track}, {date(training.date)}, {time(training.start)}
        </span>
        <Button variant="default" onClick={() => navigate(`/mat/${training.id}`)}>
          To the mat
        </Button>
      </PageHead>
      <Scroll label="Whom to tell" className={classes.body}>
        <Textarea
          label="Why"
          description="It stands in the letters."
          autosize
          minRows={2}
          maxLength={300}
          value={reason}
          onChange={(event) => setReason(event.currentTarget.value)}
        />
        <div className={classes.buttons}>
          <Button loading={sending} onClick={() => tell(off ? 'CALLED_OFF' : 'AFTER_ALL')}>
            {off ? 'Call it off' : 'It takes place after all'}
          </Button>
          {!off && (
            <Button variant="default" loading={sending} onClick={() => tell('CALLED_OFF')}>
              Write the letters again
            </Button>
          )}
          <span className="quiet">
            {shown.letters.length === 0
              ? 'Nobody gets a letter.'
              : `${count(shown.letters.length, 'letter is', 'letters are')} written into the outbox; nothing is sent by itself.`}
          </span>
        </div>
        <Calls telling={shown} />
        {shown.unreached.length > 0 && (
          <section aria-label="Not reached">
            <h2>Nothing is known to reach them by</h2>
            <p>{shown.unreached.map((person) => person.calledBy).join(', ')}</p>
          </section>
        )}
        {shown.letters.length > 0 && (
          <section aria-label="Letters">
            <h2>By letter</h2>
            <ul className={classes.letters}>
              {shown.letters.map((letter) => (
                <li key={letter.to}>
                  <strong>{letter.about.map((person) => person.calledBy).join(', ')}</strong>
                  <span className="quiet">{letter.to}</span>
                </li>
              ))}
            </ul>
          </section>
        )}
      </Scroll>
    </>
  );
}

/** The list for the telephone, ticked off as one goes. */
function Calls({ telling }: { telling: Telling }) {
  const [done, setDone] = useState<string[]>([]);
  if (telling.calls.length === 0) return null;
  return (
    <section aria-label="To phone">
      <h2>
        To phone{' '}
        <span className="quiet">
          {done.length} of {telling.calls.length}
        </span>
      </h2>
      <ul className={classes.calls}>
        {telling.calls.map((call) => (
          <li key={call.phone}>
            <label>
              <input
                type="checkbox"
                checked={done.includes(call.phone)}
                onChange={(event) =>
                  setDone(
                    event.currentTarget.checked
                      ? [...done, call.phone]
                      : done.filter((phone) => phone !== call.phone),
                  )
                }
              />
              <strong>{call.about.map((person) => person.calledBy).join(', ')}</strong>
              {call.whom && <span>{call.whom}</span>}
            </label>
            <a href={`tel:${call.phone.replace(/[^0-9+]/g, '')}`}>{call.phone}</a>
          </li>
        ))}
      </ul>
    </section>
  );
}
