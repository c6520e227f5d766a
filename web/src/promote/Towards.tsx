import { Link } from 'react-router';
import type { LadderView, Readiness } from '../api/types';
import { conditionLabel, count, date, figureInWords, percent, VERDICT } from '../ui/words';
import { isMet, SILENCE } from './missing';
import classes from './Towards.module.css';

/** Where the classes and marks stand that a figure counts. */
const FROM: Partial<Record<Readiness['conditions'][number]['code'], string>> = {
  CLASSES: '?tab=trail',
  TIME_IN_RANK: '?tab=trail',
  SYLLABUS: '',
  FALLS: '',
};

/** What is missing for the next rank, and about when it will be there. */
export function Towards({ readiness, ladders }: { readiness: Readiness; ladders: LadderView[] }) {
  const ladder = ladders.find((l) => l.ladder.id === readiness.ladder)?.ladder;
  const next = ladder?.ranks.find((r) => r.id === readiness.nextRank);
  const { projection, stripe } = readiness;
  return (
    <section aria-label="Readiness">
      <h2>
        {next ? `Towards ${next.name.toLowerCase()}` : 'At the top of this ladder'}:{' '}
        <span className={readiness.verdict === 'HELD' ? classes.held : undefined}>
          {VERDICT[readiness.verdict]}
        </span>
      </h2>
      {stripe && (
        <p>
          Stripe {stripe.number}: {stripe.have} of {stripe.need} classes
          {stripe.met
            ? ', due now'
            : stripe.projection
              ? `, about ${date(stripe.projection.median)}`
              : stripe.silence && `, ${SILENCE[stripe.silence]}`}
          .
        </p>
      )}
      <ul className={classes.conditions}>
        {readiness.conditions.map((condition) => (
          <li key={condition.label} className={condition.met ? classes.met : undefined}>
            <span className={classes.tick} aria-hidden="true">
              {condition.met ? '✓' : '○'}
            </span>
            <div>
              <strong>
                {FROM[condition.code] !== undefined ? (
                  <Link to={`/people/${readiness.student}${FROM[condition.code]}`}>
                    {conditionLabel(condition)}
                  </Link>
                ) : (
                  conditionLabel(condition)
                )}
              </strong>
              <span className="quiet"> {figureInWords(condition)}</span>
              {!condition.met && <div>{condition.missing}</div>}
              {condition.by && <div className="quiet">about {date(condition.by)}</div>}
            </div>
          </li>
        ))}
      </ul>
      {projection && projection.perWeek > 0 && (
        <p className="quiet">
          At {projection.perWeek.toFixed(1)} classes a week the classes are there about{' '}
          {date(projection.median)}, likely between {date(projection.early)} and {date(projection.late)}.
        </p>
      )}
      {readiness.silence && <p className="quiet">About when: {SILENCE[readiness.silence]}.</p>}
      {readiness.passedOver > 1 && (
        <p>
          <strong>Passed over at {count(readiness.passedOver, 'window', 'windows')}</strong> with everything
          met and no hold.
        </p>
      )}
      {readiness.window && !isMet(readiness) && (
        <p>The first promotion window after everything is there: {date(readiness.window)}.</p>
      )}
      <p className="quiet">
        {count(readiness.conditions.filter((c) => c.met).length, 'condition', 'conditions')} met of{' '}
        {readiness.conditions.length} (
        {percent(readiness.conditions.filter((c) => c.met).length / Math.max(1, readiness.conditions.length))}
        ). The coach decides.
      </p>
    </section>
  );
}
