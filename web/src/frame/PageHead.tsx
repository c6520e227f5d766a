import { Button } from '@mantine/core';
import { useViewportSize } from '@mantine/hooks';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useSession } from '../api/club';
import { useCalendar } from '../api/mat';
import type { TrainingClass } from '../api/types';
import { WaitingNote } from '../record/WaitingNote';
import { useLastDone } from '../ui/Notices';
import { time } from '../ui/words';
import { Find } from './Find';
import classes from './Frame.module.css';

/** Up to this width the frame is one row at the head and one at the foot. */
const PHONE = 700;

/** The next class of today, or the last one when all are over. */
export function tonight(classes: TrainingClass[]): TrainingClass | undefined {
  const now = new Date();
  const minutes = now.getHours() * 60 + now.getMinutes();
  const ends = (c: TrainingClass) =>
    Number(c.start.slice(0, 2)) * 60 + Number(c.start.slice(3, 5)) + c.minutes;
  const open = classes.filter((c) => !c.cancelled);
  return open.find((c) => ends(c) >= minutes) ?? open.at(-1);
}

/** Where you are, what belongs to the screen, find, and today's class as one button that goes to the mat. */
export function PageHead({
  title,
  children,
  mat = true,
  print = true,
}: {
  title: string;
  children?: ReactNode;
  mat?: boolean;
  /** Whether it stands at the top of the paper; a sheet has a head of its own. */
  print?: boolean;
}) {
  const calendar = useCalendar();
  const session = useSession().data;
  const lastDone = useLastDone();
  const { width } = useViewportSize();
  const next = tonight(calendar.data?.classes ?? []);
  const track = calendar.data?.tracks.find((t) => t.id === next?.track)?.name;
  return (
    <header className={classes.head} {...(!print && { 'data-no-print': true })}>
      <h1 className={mat ? undefined : classes.said}>{title}</h1>
      {/* On a phone it is moved by thumb or key. */}
      <div
        className={classes.own}
        {...(width > 0 && width <= PHONE && { role: 'group', 'aria-label': title, tabIndex: 0 })}
      >
        {children}
      </div>
      <WaitingNote />
      {session?.role && session.role !== 'VIEWER' && (
        <button
          type="button"
          className={classes.last}
          aria-label="What you did last"
          title="What you did last (u)"
          onClick={lastDone.open}
        >
          ↶
        </button>
      )}
      <Find />
      {mat && next && (
        <Button component={Link} to={`/mat/${next.id}`} className={classes.toMat}>
          {time(next.start)} {track} → mat
        </Button>
      )}
    </header>
  );
}
