import { Button } from '@mantine/core';
import { Link, useSearchParams } from 'react-router';
import { useSession } from '../../api/club';
import { useDays, useToday } from '../../api/mat';
import type { Calendar, TrainingClass } from '../../api/types';
import { NEW } from '../../form/fields';
import { PageHead } from '../../frame/PageHead';
import { useWho } from '../../ui/coaches';
import { Empty, Loaded } from '../../ui/States';
import { count, daysBefore, laterOf, mondayOf, time, weekday } from '../../ui/words';
import { leftOf } from '../plan/plan';
import classes from './WeekPage.module.css';

/** The classes of a week: what is planned, what is called off, what is still bare. */
export function WeekPage() {
  const [params, setParams] = useSearchParams();
  const now = useToday();
  const from = mondayOf(params.get('from') ?? now);
  const week = useDays(from, daysBefore(from, -6));
  const mayWrite = useSession().data?.role !== 'VIEWER';
  const turn = (days: number) => setParams({ from: daysBefore(from, -days) });
  return (
    <>
      <PageHead title="The week">
        <Button variant="default" onClick={() => turn(-7)} aria-label="The week before">
          ←
        </Button>
        <Button variant="default" onClick={() => setParams({})}>
          This week
        </Button>
        <Button variant="default" onClick={() => turn(7)} aria-label="The week after">
          →
        </Button>
        {mayWrite && (
          <Button component={Link} to={`/mat/${NEW}/plan?on=${laterOf(from, now)}`} variant="default">
            Add a class
          </Button>
        )}
      </PageHead>
      <Loaded query={week}>
        {(calendar) =>
          calendar.tracks.length === 0 ? (
            <Empty title="No track yet" steps={[{ label: 'Add the first track', to: '/house/tracks' }]}>
              A track with its weekly times fills the calendar by itself.
            </Empty>
          ) : (
            <div className={classes.week}>
              {Array.from({ length: 7 }, (_, n) => daysBefore(from, -n)).map((day) => (
                <Day key={day} day={day} calendar={calendar} />
              ))}
            </div>
          )
        }
      </Loaded>
    </>
  );
}

function Day({ day, calendar }: { day: string; calendar: Calendar }) {
  const here = calendar.classes.filter((c) => c.date === day).sort((a, b) => a.start.localeCompare(b.start));
  const closed = calendar.closures.filter((c) => c.from <= day && day <= c.until);
  const nameOf = (id: string) => calendar.tracks.find((t) => t.id === id)?.name ?? id;
  return (
    <section
      className={classes.day}
      aria-label={weekday(day)}
      data-today={day === calendar.today || undefined}
    >
      <h2>{weekday(day)}</h2>
      {closed.map((closure) => (
        <p key={closure.id} className={classes.closed}>
          {closure.name}
          {closure.tracks.length > 0 && (
            <span className="quiet">{closure.tracks.map(nameOf).join(', ')}</span>
          )}
        </p>
      ))}
      {here.map((training) => (
        <Lesson
          key={training.id}
          training={training}
          track={nameOf(training.track)}
          isClosed={closed.some((c) => c.tracks.length === 0 || c.tracks.includes(training.track))}
        />
      ))}
    </section>
  );
}

/** @param isClosed planned before the day was closed; it is still there until it is called off */
function Lesson({
  training,
  track,
  isClosed,
}: {
  training: TrainingClass;
  track: string;
  isClosed: boolean;
}) {
  const who = useWho();
  const left = leftOf(training);
  const isBare = training.blocks.length === 0;
  return (
    <Link
      to={`/mat/${training.id}${isClosed && !training.cancelled ? '/off' : isBare && !training.cancelled ? '/plan' : ''}`}
      className={classes.lesson}
      data-off={training.cancelled || undefined}
      data-bare={isBare || undefined}
    >
      <strong>
        {time(training.start)} {track}
        {training.group && ` · ${training.group}`}
      </strong>
      {training.theme && <span>{training.theme}</span>}
      <span className="quiet">
        {training.cancelled
          ? 'called off'
          : isClosed
            ? 'planned, but closed: call it off?'
            : isBare
              ? 'nothing planned'
              : `${count(training.blocks.length, 'block', 'blocks')}${left < 0 ? `, ${-left} min over` : ''}`}
      </span>
      {(training.coach || training.area) && (
        <span className="quiet">{[who(training.coach), training.area].filter(Boolean).join(' · ')}</span>
      )}
    </Link>
  );
}
