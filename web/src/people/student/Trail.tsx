import { useSession } from '../../api/club';
import { useCalendar, useToday } from '../../api/mat';
import { useBeen, usePromotions } from '../../api/people';
import type { Been, LadderView, ProgressView } from '../../api/types';
import { Given } from '../../promote/Given';
import { Merits } from '../../promote/Merits';
import { nth } from '../../ui/lists';
import { Loaded } from '../../ui/States';
import { count, date, daysBefore, plain } from '../../ui/words';
import { Incidents } from '../safety/Incidents';
import { AttendanceCard } from './AttendanceCard';
import classes from './Trail.module.css';
import { monthsOf, yearOf } from './year';

/** Their year on the mat, belts and stripes as they came. */
export function Trail({ view, ladders }: { view: ProgressView; ladders: LadderView[] }) {
  const now = useToday();
  const been = useBeen(view.student.id, daysBefore(now, 366), now);
  const promotions = usePromotions(view.student.id);
  const role = useSession().data?.role;
  return (
    <>
      <Loaded query={been}>{(all) => <Year today={now} been={all} />}</Loaded>
      <AttendanceCard view={view} ladders={ladders} />
      <Loaded query={promotions}>{(all) => <Given promotions={all} ladders={ladders} />}</Loaded>
      {role !== 'VIEWER' && <Merits student={view.student} />}
      {role !== 'VIEWER' && <Incidents student={view.student} />}
    </>
  );
}

const CELL = 8;
const TOP = 14;
const month = new Intl.DateTimeFormat('en-GB', { month: 'short' });

function Year({ today, been }: { today: string; been: Been[] }) {
  const tracks = useCalendar().data?.tracks;
  const squares = yearOf(today, been);
  const weeks = nth(squares, squares.length - 1).week + 1;
  const there = been.filter((one) => !one.cancelled);
  const byTrack = new Map<string, number>();
  for (const one of there) byTrack.set(one.track, (byTrack.get(one.track) ?? 0) + 1);
  const trials = there.filter((one) => one.trial).length;
  return (
    <section aria-label="The year on the mat">
      <h2>{count(there.length, 'class', 'classes')} in a year</h2>
      <svg
        viewBox={`0 0 ${weeks * CELL} ${TOP + 7 * CELL}`}
        role="img"
        aria-label={`A square for each day; ${count(new Set(there.map((one) => one.date)).size, 'day', 'days')} with a class`}
        className={classes.year}
      >
        {monthsOf(squares).map((one) => (
          <text key={one.day} x={one.week * CELL} y={9}>
            {month.format(new Date(`${one.day}T12:00:00`))}
          </text>
        ))}
        {squares.map((square) => (
          <rect
            key={square.day}
            x={square.week * CELL}
            y={TOP + square.weekday * CELL}
            width={CELL - 1.5}
            height={CELL - 1.5}
            className={
              square.classes > 1 ? classes.twice : square.classes === 1 ? classes.once : classes.none
            }
          >
            {square.classes > 0 && <title>{date(square.day)}</title>}
          </rect>
        ))}
      </svg>
      <p className="quiet">
        {[...byTrack]
          .sort((a, b) => b[1] - a[1])
          .map(([track, n]) => `${tracks?.find((one) => one.id === track)?.name ?? track} ${n}`)
          .join(' · ')}
        {trials > 0 && ` · ${count(trials, 'trial', 'trials')} before joining`}
      </p>
      <details className={classes.all}>
        <summary>Each class</summary>
        <ul>
          {[...been].reverse().map((one) => (
            <li key={one.id} className={one.cancelled ? classes.off : undefined}>
              {date(one.date)}, {tracks?.find((track) => track.id === one.track)?.name ?? one.track}
              <span className="quiet">
                {' '}
                by {plain(one.how).toLowerCase()}
                {one.by && `, ${one.by}`}
                {one.cancelled && ', called off'}
              </span>
            </li>
          ))}
        </ul>
      </details>
    </section>
  );
}
