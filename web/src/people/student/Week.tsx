import { Link } from 'react-router';
import type { GameView } from '../../api/types';
import classes from './Game.module.css';

const KINDS = {
  FALL: 'A fall',
  RUSTY: 'Gone to weed',
  NEARLY: 'Nearly there',
  OTHER_SIDE: 'The other side',
  NEXT: 'Next best',
} as const;

/** What to work on this week, with why. */
export function Week({
  game,
  name,
  isTechnique,
}: {
  game: GameView;
  name: (id: string) => string;
  isTechnique: (id: string) => boolean;
}) {
  if (game.week.length === 0) return null;
  return (
    <section aria-label="This week">
      <h2>To work on this week</h2>
      <ul className={classes.week}>
        {game.week.map((work) => (
          <li key={work.subject}>
            <span className={classes.kind}>{KINDS[work.kind]}</span>
            <span>
              {isTechnique(work.subject) ? (
                <Link to={`/map/techniques/${work.subject}`}>{name(work.subject)}</Link>
              ) : (
                <strong>{name(work.subject)}</strong>
              )}
              {work.side && `, ${work.side.toLowerCase()}`}
              <span className="quiet"> {work.why}</span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
