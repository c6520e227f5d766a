import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { send } from '../../api/client';
import { useSession } from '../../api/club';
import { useToday } from '../../api/mat';
import type { Student } from '../../api/types';
import { useChanged } from '../../form/useEdit';
import { Figures } from '../../promote/Figures';
import { NewHold } from '../../promote/NewHold';
import { useNotices } from '../../ui/Notices';
import { date } from '../../ui/words';
import { NewLimit } from './LimitForms';
import classes from './Limits.module.css';
import { KINDS } from './limitKinds';
import { WayBack } from './WayBack';
import { WayBackForm } from './WayBackForm';

/** Whether there is anything to keep in mind: then it stands first. */
export const limited = (student: Student, today: string) =>
  student.restrictions.some((one) => !one.until || one.until >= today) ||
  student.holds.some((one) => !one.ended);

/** What must not be done with somebody now, and whether they are held back; each is set and lifted here. */
export function Limits({ student }: { student: Student }) {
  const today = useToday();
  const role = useSession().data?.role;
  const isHead = role === 'HEAD';
  const [adding, setAdding] = useState<'limit' | 'back' | 'hold' | null>(null);
  const [clearing, setClearing] = useState(false);
  const [clearedBy, setClearedBy] = useState('');
  const { tell, sending } = useTell(student);
  const running = student.restrictions.filter((one) => !one.until || one.until >= today);
  const limits = running.filter((one) => !one.step);
  const back = running.filter((one) => one.step);
  const hold = student.holds.find((one) => !one.ended);
  if (role === 'VIEWER') return null;
  return (
    <section aria-label="Limits" className={classes.limits}>
      {limits.map((limit) => (
        <div key={JSON.stringify(limit)} className={classes.limit}>
          <div>
            <strong>{KINDS[limit.kind]}</strong> {limit.from > today && `from ${date(limit.from)} `}
            {limit.until ? `until ${date(limit.until)}` : 'until lifted'}
            {limit.note && <div className="quiet">{limit.note}</div>}
            {limit.kind === 'HEAD_KNOCK' && (
              <div className="quiet">A medical professional clears them; the head coach writes who.</div>
            )}
          </div>
          {limit.kind !== 'HEAD_KNOCK' && (
            <Button
              variant="default"
              size="compact-md"
              loading={sending}
              onClick={() =>
                tell('limits/lift', { kind: limit.kind, from: limit.from }, `${KINDS[limit.kind]} is lifted.`)
              }
            >
              Lift
            </Button>
          )}
          {limit.kind === 'HEAD_KNOCK' && isHead && !clearing && (
            <Button variant="default" size="compact-md" onClick={() => setClearing(true)}>
              Lift
            </Button>
          )}
          {limit.kind === 'HEAD_KNOCK' && clearing && (
            <form
              className={classes.form}
              onSubmit={(event) => {
                event.preventDefault();
                tell('limits/lift', { kind: limit.kind, clearedBy }, 'The head knock is lifted.');
              }}
            >
              <TextInput
                label="Cleared by"
                placeholder="Which medical professional"
                autoFocus
                maxLength={120}
                value={clearedBy}
                onChange={(event) => setClearedBy(event.currentTarget.value)}
              />
              <Button type="submit" loading={sending} disabled={!clearedBy.trim()}>
                Lift it
              </Button>
            </form>
          )}
        </div>
      ))}
      {back.length > 0 && <WayBack steps={back} today={today} sending={sending} tell={tell} />}
      {hold && (
        <div className={classes.limit}>
          <div>
            <strong>Held back</strong> since {date(hold.from)}
            {hold.reviewOn && `, to be looked at ${date(hold.reviewOn)}`}
            <div className="quiet">
              {hold.reason} {hold.by && `(${hold.by})`}
            </div>
            {hold.stood.map((stood) => (
              <Figures key={stood.ladder} {...stood} />
            ))}
          </div>
          {isHead && (
            <Button
              variant="default"
              size="compact-md"
              loading={sending}
              onClick={() => tell('holds/lift', undefined, `${student.calledBy} is no longer held back.`)}
            >
              Lift
            </Button>
          )}
        </div>
      )}
      {adding === 'limit' && (
        <NewLimit
          today={today}
          sending={sending}
          onCancel={() => setAdding(null)}
          onDone={async (body) => {
            if (await tell('limits', body, `${KINDS[body.kind]}: kept.`)) setAdding(null);
          }}
        />
      )}
      {adding === 'back' && (
        <WayBackForm
          today={today}
          sending={sending}
          onCancel={() => setAdding(null)}
          onDone={async (body) => {
            if (await tell('limits/way-back', body, 'The way back is kept.')) setAdding(null);
          }}
        />
      )}
      {adding === 'hold' && (
        <NewHold
          today={today}
          sending={sending}
          onCancel={() => setAdding(null)}
          onDone={async (body) => {
            if (await tell('holds', body, `${student.calledBy} is held back.`)) setAdding(null);
          }}
        />
      )}
      {adding === null && (
        <div className={classes.add}>
          <Button variant="subtle" size="compact-md" onClick={() => setAdding('limit')}>
            Add a limit
          </Button>
          {back.length === 0 && (
            <Button variant="subtle" size="compact-md" onClick={() => setAdding('back')}>
              Plan the way back
            </Button>
          )}
          {isHead && !hold && (
            <Button variant="subtle" size="compact-md" onClick={() => setAdding('hold')}>
              Hold back
            </Button>
          )}
        </div>
      )}
    </section>
  );
}

/** Sends a change of somebody and reads again what shows it; says whether it was taken. */
function useTell(student: Student) {
  const [sending, setSending] = useState(false);
  const say = useNotices();
  const changed = useChanged();
  const tell = async (where: string, body: unknown, done: string) => {
    setSending(true);
    try {
      await send('POST', `/people/${student.id}/${where}`, body);
      await changed('student');
      say.done(done);
      return true;
    } catch (error) {
      say.failed(error);
      return false;
    } finally {
      setSending(false);
    }
  };
  return { tell, sending };
}
