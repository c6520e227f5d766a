import { Button } from '@mantine/core';
import { Link } from 'react-router';
import { useSession } from '../api/club';
import type { BoardView, Ladder, LadderView } from '../api/types';
import { count, date } from '../ui/words';
import classes from './Board.module.css';
import { Counting } from './Counting';
import { Cupboard } from './Cupboard';
import { HandOvers } from './HandOvers';
import { monthOf } from './month';
import type { Decide } from './useDecide';

type Props = { view: BoardView; ladder: Ladder; views: LadderView[]; decide: Decide };

/** So many are named before the rest is a number. */
const NAMED = 16;

/** So many are given in one go. */
const AT_ONCE = 200;

/** The window itself: stripes that are due, what was given, belts to order, who goes on at another ladder. */
export function WindowPanel({ view, ladder, views, decide }: Props) {
  const isHead = useSession().data?.role === 'HEAD';
  const due = view.standing.filter((one) => one.stripe?.met);
  const open = view.given.filter(({ promotion }) => !promotion.announced);
  const nameOf = (rank: string) => ladder.ranks.find((one) => one.id === rank)?.name ?? rank;
  return (
    <>
      <h2>{view.isOpen ? `${monthOf(view.window)}: open now` : `Next window: ${monthOf(view.window)}`}</h2>
      <p className="quiet">Choose somebody to see what is met, and to decide.</p>
      {due.length > 0 && (
        <section aria-label="Stripes due">
          <h3>{count(due.length, 'stripe is', 'stripes are')} due by classes</h3>
          <p>
            {due
              .slice(0, NAMED)
              .map((one) => one.calledBy)
              .join(', ')}
            {due.length > NAMED && ` and ${due.length - NAMED} more`}
          </p>
          {isHead && (
            <Button
              variant="default"
              loading={decide.sending}
              onClick={() => decide.stripes(due.slice(0, AT_ONCE))}
            >
              Give{' '}
              {due.length === 1 ? 'it' : due.length > AT_ONCE ? `the first ${AT_ONCE}` : `all ${due.length}`}
            </Button>
          )}
        </section>
      )}
      <section aria-label="Given">
        <h3>Given</h3>
        {view.given.length === 0 ? (
          <p className="quiet">Nothing in these weeks.</p>
        ) : (
          <ul className={classes.given}>
            {view.given.map(({ promotion, name }) => (
              <li key={promotion.id}>
                <span>
                  <Link to={`/people/${promotion.student}?tab=trail`}>{name}</Link>:{' '}
                  {promotion.to === promotion.from
                    ? `stripe ${promotion.stripes}`
                    : nameOf(promotion.to).toLowerCase()}
                  <span className="quiet">
                    {' '}
                    {promotion.announced ? `announced ${date(promotion.announced)}` : date(promotion.date)}
                    {promotion.reason && `: ${promotion.reason}`}
                  </span>
                </span>
                {isHead && !promotion.announced && (
                  <Button
                    variant="subtle"
                    size="compact-sm"
                    onClick={() => decide.unpromote(promotion, name)}
                  >
                    Take back
                  </Button>
                )}
              </li>
            ))}
          </ul>
        )}
        {view.given.length > 0 && (
          <div className={classes.actions}>
            {isHead && open.length > 0 && (
              <Button
                loading={decide.sending}
                onClick={() => decide.announce(open.map(({ promotion }) => promotion.id))}
              >
                Announce {open.length === 1 ? 'it' : `all ${open.length}`}
              </Button>
            )}
            <Link to={`/people/promotions/slips?ladder=${ladder.id}`}>Slips and the list for the wall</Link>
          </div>
        )}
      </section>
      <Cupboard ladder={ladder} />
      <HandOvers ladder={ladder} views={views} />
      <section aria-label="Policy">
        <h3>Policy</h3>
        {isHead &&
          views
            .filter((one) => one.ladder.id === ladder.id)
            .map((one) => <Counting key={one.policyTag} view={one} />)}
        <Link to={`/people/charts?ladder=${ladder.id}`}>A month’s home chart to print</Link>
      </section>
    </>
  );
}
