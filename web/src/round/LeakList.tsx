import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { sendEdit } from '../api/client';
import { useSession } from '../api/club';
import type { MapIndex } from '../api/map';
import type { LeaksView, LeakView } from '../api/types';
import { freeId } from '../form/fields';
import { useChanged, useSayDone } from '../form/useEdit';
import { useNotices } from '../ui/Notices';
import { count, date, daysAfter } from '../ui/words';
import classes from './Round.module.css';

const RATE = 5;
const LEFT_FOR = 30;

/** What members are caught with, the most frequent first, and what is done about it. */
export function LeakList({ view, map }: { view: LeaksView; map: MapIndex }) {
  if (view.leaks.length === 0)
    return (
      <p>
        {view.rounds === 0
          ? 'No round was written down in this time. Touch two people below, or a pair at the mat.'
          : 'Nobody was caught in this time: no tap, throw or hold-down is written down with its position.'}
      </p>
    );
  return view.leaks.map((one, n) => (
    <LeakCard key={one.leak.position} isFirst={n === 0} {...{ one, view, map }} />
  ));
}

type LeakProps = { one: LeakView; view: LeaksView; map: MapIndex; isFirst: boolean };

function LeakCard({ one, view, map, isFirst }: LeakProps) {
  const { leak, into, isIn, ignored } = one;
  const isCoach = useSession().data?.role !== 'VIEWER';
  const [leaving, setLeaving] = useState(false);
  const changed = useChanged();
  const sayDone = useSayDone();
  const say = useNotices();
  const attempt = (work: () => Promise<void>) => work().catch(say.failed);
  const nameOf = (technique: string | null) =>
    (technique && map.technique.get(technique)?.name) || 'not seen';
  const put = () =>
    attempt(async () => {
      if (!into) return;
      const { edit } = await sendEdit('POST', `/rounds/leaks/${leak.position}/class`, { classId: into.id });
      await changed('class', 'ignoredLeak');
      sayDone(`It is in the class of ${date(into.date)}.`, edit);
    });
  const again = () =>
    attempt(async () => {
      if (!ignored) return;
      const { edit } = await sendEdit(
        'DELETE',
        `/rounds/ignored-leaks/${ignored.id}`,
        undefined,
        one.ignoredTag ?? undefined,
      );
      await changed('ignoredLeak');
      sayDone('It is looked at again.', edit);
    });
  const best = leak.answers[0];
  return (
    <article className={classes.leak} data-ignored={ignored !== null || undefined}>
      <p className={classes.says}>{leak.says}</p>
      <dl>
        <dt>With</dt>
        <dd>{leak.finishes.map((f) => `${nameOf(f.technique)} ${f.times}`).join(', ')}</dd>
        <dt>How often</dt>
        <dd>
          {leak.per100 !== null
            ? `${leak.per100.toFixed(1)} in 100 rounds; ${
                leak.per100Before === null
                  ? 'no rounds in the time before'
                  : `${leak.per100Before.toFixed(1)} in the time before`
              }`
            : `fewer than ${RATE} times: too few for a rate; ${count(leak.before, 'time', 'times')} in the time before`}
        </dd>
        {leak.whose.length > 0 && (
          <>
            <dt>Who</dt>
            <dd>
              {leak.whose.map((id, n) => (
                <span key={id}>
                  {n > 0 && ', '}
                  <Link to={`/people/${id}`}>{view.names[id] ?? 'somebody'}</Link>
                </span>
              ))}
            </dd>
          </>
        )}
        {leak.answers.length > 0 && (
          <>
            <dt>Answers</dt>
            <dd>
              {leak.answers.slice(0, 4).map((answer, n) => (
                <span key={answer.link}>
                  {n > 0 && ' · '}
                  <Link to={`/map/techniques/${answer.technique}`}>{nameOf(answer.technique)}</Link>
                  {isCoach &&
                    ` ${answer.taught === 0 ? 'not shown' : `shown ${answer.taught}, fresh ${answer.fresh}, rusty ${answer.rusty}`}`}
                </span>
              ))}
            </dd>
          </>
        )}
      </dl>
      {ignored && (
        <p className="quiet">
          Left until {date(ignored.until)}: {ignored.reason}
        </p>
      )}
      <div className={classes.acts} data-no-print>
        {isCoach && into && (
          <Button variant={isFirst && !ignored ? 'filled' : 'default'} disabled={isIn} onClick={put}>
            {isIn ? `It is in ${date(into.date)}` : `Put it into ${date(into.date)}`}
          </Button>
        )}
        {isCoach && (
          <Button component={Link} to={`/rounds?at=${leak.position}`} variant="default">
            The rounds
          </Button>
        )}
        <Button component={Link} to={`/map?at=${leak.position}`} variant="default">
          {best ? 'On the map' : 'Add an answer on the map'}
        </Button>
        {isCoach && ignored && (
          <Button variant="subtle" onClick={again}>
            Look at it again
          </Button>
        )}
        {isCoach && !ignored && !leaving && (
          <Button variant="subtle" onClick={() => setLeaving(true)}>
            Leave it …
          </Button>
        )}
      </div>
      {leaving && <Leave leak={one} until={view.until} onDone={() => setLeaving(false)} />}
    </article>
  );
}

/** Why a leak is left alone, and until when. */
function Leave({ leak, until, onDone }: { leak: LeakView; until: string; onDone: () => void }) {
  const [reason, setReason] = useState('');
  const [day, setDay] = useState(daysAfter(until, LEFT_FOR));
  const changed = useChanged();
  const sayDone = useSayDone();
  const say = useNotices();
  const leave = async () => {
    try {
      const { position } = leak.leak;
      const { edit } = await sendEdit('POST', '/rounds/ignored-leaks', {
        id: freeId(`${position} ${day}`, () => false),
        position,
        reason: reason.trim(),
        until: day,
      });
      await changed('ignoredLeak');
      sayDone(`It is left until ${date(day)}.`, edit);
      onDone();
    } catch (error) {
      say.failed(error);
    }
  };
  return (
    <form
      className={classes.new}
      onSubmit={(event) => {
        event.preventDefault();
        void leave();
      }}
    >
      <TextInput
        label="Why"
        placeholder="Shown last week"
        required
        maxLength={200}
        value={reason}
        onChange={(event) => setReason(event.currentTarget.value)}
      />
      <TextInput
        label="Until"
        type="date"
        required
        value={day}
        onChange={(event) => setDay(event.currentTarget.value)}
      />
      <Button type="submit" disabled={!reason.trim() || !day}>
        Leave it
      </Button>
    </form>
  );
}
