import { useToday } from '../../api/mat';
import { useBeen, usePromotions } from '../../api/people';
import type { LadderView, ProgressView } from '../../api/types';
import { count, date, daysBefore } from '../../ui/words';
import { dotsOf } from './card';
import classes from './Trail.module.css';

/** The attendance card: a dot for each class since the rank was given, a stripe as a dot in its colour. */
export function AttendanceCard({ view, ladders }: { view: ProgressView; ladders: LadderView[] }) {
  const today = useToday();
  const been = useBeen(view.student.id, daysBefore(today, 366), today);
  const promotions = usePromotions(view.student.id);
  const held = view.ranks[0];
  const ladder = ladders.find((one) => one.ladder.id === held?.ladder)?.ladder;
  if (!held || !ladder || !been.data || !promotions.data) return null;
  const dots = dotsOf(ladder, held.since, been.data, promotions.data);
  const isCut = held.since < daysBefore(today, 366);
  return (
    <section aria-label="Card">
      <h2>Card</h2>
      <p className="quiet">
        {count(dots.length, 'class', 'classes')} {isCut ? 'in the last year' : `since ${date(held.since)}`}
      </p>
      <ol className={classes.dots}>
        {dots.map((dot) => (
          <li key={dot.id} className={dot.stripe ? classes.stripe : undefined} title={date(dot.day)}>
            {dot.stripe}
          </li>
        ))}
      </ol>
    </section>
  );
}
