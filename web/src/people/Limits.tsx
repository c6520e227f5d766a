import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { send } from '../api/client';
import { useSession, useToday } from '../api/queries';
import type { Student } from '../api/types';
import { useChanged } from '../form/useEdit';
import { Figures } from '../promote/Figures';
import { useNotices } from '../ui/Notices';
import { date } from '../ui/words';
import classes from './Limits.module.css';

type Kind = Student['restrictions'][number]['kind'];

/** What each limit says. */
export const KINDS: Record<Kind, string> = {
  NO_THROWS_TAKEN: 'No throws taken',
  NO_NECK: 'Nothing on the neck',
  ONE_SIDE_ONLY: 'One side only',
  NO_LIVE: 'No live rounds',
  HEAD_KNOCK: 'Head knock: no live, no throws',
};

/** Whether there is anything to keep in mind: then it stands first. */
export const limited = (student: Student, today: string) =>
  student.restrictions.some((one) => !one.until || one.until >= today) ||
  student.holds.some((one) => !one.ended);

/** What must not be done with somebody now, and whether they are held back; each is set and lifted here. */
export function Limits({ student }: { student: Student }) {
  const today = useToday();
  const role = useSession().data?.role;
  const isHead = role === 'HEAD';
  const [adding, setAdding] = useState<'limit' | 'hold' | null>(null);
  const [clearing, setClearing] = useState(false);
  const [clearedBy, setClearedBy] = useState('');
  const { tell, sending } = useTell(student);
  const limits = student.restrictions.filter((one) => !one.until || one.until >= today);
  const hold = student.holds.find((one) => !one.ended);
  if (role === 'VIEWER') return null;
  return (
    <section aria-label="Limits" className={classes.limits}>
      {limits.map((limit) => (
        <div key={`${limit.kind}${limit.from}`} className={classes.limit}>
          <div>
            <strong>{KINDS[limit.kind]}</strong> {limit.from > today && `from ${date(limit.from)} `}
            {limit.until ? `until ${date(limit.until)}` : 'until lifted'}
            {limit.note && <div className="quiet">{limit.note}</div>}
            {limit.kind === 'HEAD_KNOCK' && (
              <div className="quiet">A medical professional clears them; the head coach writes who.</div>
            )}
          </div>
          {limit.kind !== 'HEAD_KNOCK' && limit.from <= today && (
            <Button
              variant="default"
              size="compact-md"
              loading={sending}
              onClick={() => tell('limits/lift', { kind: limit.kind }, `${KINDS[limit.kind]} is lifted.`)}
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
      await changed(['people', 'names']);
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

type NewLimitBody = { kind: Kind; from: string; until: string | null; note: string | null };

function NewLimit({
  today,
  sending,
  onDone,
  onCancel,
}: {
  today: string;
  sending: boolean;
  onDone: (body: NewLimitBody) => void;
  onCancel: () => void;
}) {
  const [kind, setKind] = useState<Kind>('NO_THROWS_TAKEN');
  const [from, setFrom] = useState(today);
  const [until, setUntil] = useState('');
  const [note, setNote] = useState('');
  const isOpen = kind === 'HEAD_KNOCK';
  const isWrong = !isOpen && until !== '' && until < from;
  return (
    <form
      className={classes.form}
      onSubmit={(event) => {
        event.preventDefault();
        onDone({ kind, from, until: isOpen ? null : until || null, note: note.trim() || null });
      }}
    >
      <Select
        label="What must not be done"
        data={Object.entries(KINDS).map(([value, label]) => ({ value, label }))}
        value={kind}
        allowDeselect={false}
        onChange={(value) => setKind(value as Kind)}
      />
      <TextInput
        label="From"
        type="date"
        value={from}
        onChange={(event) => setFrom(event.currentTarget.value)}
      />
      {isOpen ? (
        <p className="quiet">No last day: it holds until the head coach lifts it.</p>
      ) : (
        <TextInput
          label="Last day"
          type="date"
          description="Left empty, it holds until lifted"
          error={isWrong ? 'Before the first day.' : undefined}
          value={until}
          onChange={(event) => setUntil(event.currentTarget.value)}
        />
      )}
      <TextInput
        label="For the coach on the mat"
        description="What they need to know, nothing more"
        maxLength={200}
        value={note}
        onChange={(event) => setNote(event.currentTarget.value)}
      />
      <div className={classes.add}>
        <Button type="submit" loading={sending} disabled={isWrong || !from}>
          Keep it
        </Button>
        <Button variant="default" onClick={onCancel}>
          Leave it
        </Button>
      </div>
    </form>
  );
}

export function NewHold({
  today,
  sending,
  onDone,
  onCancel,
}: {
  today: string;
  sending: boolean;
  onDone: (body: { reason: string; reviewOn: string | null }) => void;
  onCancel: () => void;
}) {
  const [reason, setReason] = useState('');
  const [reviewOn, setReviewOn] = useState('');
  const isWrong = reviewOn !== '' && reviewOn <= today;
  return (
    <form
      className={classes.form}
      onSubmit={(event) => {
        event.preventDefault();
        onDone({ reason: reason.trim(), reviewOn: reviewOn || null });
      }}
    >
      <TextInput
        label="Why they stay at this rank"
        autoFocus
        maxLength={300}
        value={reason}
        onChange={(event) => setReason(event.currentTarget.value)}
      />
      <TextInput
        label="To be looked at again"
        type="date"
        error={isWrong ? 'A day to come.' : undefined}
        value={reviewOn}
        onChange={(event) => setReviewOn(event.currentTarget.value)}
      />
      <div className={classes.add}>
        <Button type="submit" loading={sending} disabled={!reason.trim() || isWrong}>
          Hold back
        </Button>
        <Button variant="default" onClick={onCancel}>
          Leave it
        </Button>
      </div>
    </form>
  );
}
