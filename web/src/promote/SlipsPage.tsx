import { Button, SegmentedControl } from '@mantine/core';
import { Link, useSearchParams } from 'react-router';
import { useBoard } from '../api/promote';
import type { GivenView, Ladder } from '../api/types';
import { PageHead } from '../frame/PageHead';
import { Belt } from '../ui/Belt';
import { ClubMark } from '../ui/ClubMark';
import { PrintFoot } from '../ui/PrintFoot';
import { Scroll } from '../ui/Scroll';
import { Loaded } from '../ui/States';
import { date } from '../ui/words';
import { OnLadder } from './OnLadder';
import classes from './Slips.module.css';

/** What was given lately, on paper: a slip for each, or one list for the wall. No reasons, no figures. */
export function SlipsPage() {
  return (
    <OnLadder
      title="On paper"
      about="What was given lately is printed here: a slip for each, or one list for the wall."
    >
      {(ladder) => <Given ladder={ladder} />}
    </OnLadder>
  );
}

function Given({ ladder }: { ladder: Ladder }) {
  const [params, setParams] = useSearchParams();
  const as = params.get('as') === 'wall' ? 'wall' : 'slips';
  const board = useBoard(ladder.id);
  return (
    <>
      <PageHead title="On paper" print={false} mat={false}>
        <Button onClick={() => window.print()}>Print, or save as PDF</Button>
        <SegmentedControl
          aria-label="What is printed"
          value={as}
          onChange={(value) => setParams({ ladder: ladder.id, as: value }, { replace: true })}
          data={[
            { value: 'slips', label: 'Slips' },
            { value: 'wall', label: 'For the wall' },
          ]}
        />
        <Link to={`/people/promotions?ladder=${ladder.id}`}>Back to the board</Link>
      </PageHead>
      <Loaded query={board}>
        {(view) => (
          <Scroll label="What is printed" className={classes.body}>
            {view.given.length === 0 ? (
              <p>Nothing was given in these weeks.</p>
            ) : as === 'slips' ? (
              <div className={classes.slips}>
                {view.given.map((given) => (
                  <Slip key={given.promotion.id} given={given} ladder={ladder} />
                ))}
              </div>
            ) : (
              <Wall given={view.given} ladder={ladder} />
            )}
          </Scroll>
        )}
      </Loaded>
    </>
  );
}

const rankOf = (ladder: Ladder, { promotion }: GivenView) =>
  ladder.ranks.find((one) => one.id === promotion.to);

const saidOf = (ladder: Ladder, given: GivenView) => {
  const rank = rankOf(ladder, given);
  return given.promotion.to === given.promotion.from
    ? `${rank?.name}, stripe ${given.promotion.stripes}`
    : rank?.name;
};

function Slip({ given, ladder }: { given: GivenView; ladder: Ladder }) {
  const rank = rankOf(ladder, given);
  return (
    <article className={classes.slip}>
      <ClubMark />
      <h2>{given.name}</h2>
      {rank && (
        <Belt colours={rank.colours} stripes={given.promotion.stripes} of={rank.stripes} width={150} />
      )}
      <p className={classes.rank}>{saidOf(ladder, given)}</p>
      <p>
        {ladder.name}, {date(given.promotion.date)}
      </p>
      <div className={classes.sign}>Head coach</div>
    </article>
  );
}

function Wall({ given, ladder }: { given: GivenView[]; ladder: Ladder }) {
  const sorted = [...given].sort(
    (a, b) =>
      ladder.ranks.findIndex((r) => r.id === b.promotion.to) -
        ladder.ranks.findIndex((r) => r.id === a.promotion.to) || a.name.localeCompare(b.name),
  );
  return (
    <article className={classes.wall}>
      <h2>Well done</h2>
      <p>
        <ClubMark /> {ladder.name}
      </p>
      <ul>
        {sorted.map((one) => {
          const rank = rankOf(ladder, one);
          return (
            <li key={one.promotion.id}>
              {rank && (
                <Belt colours={rank.colours} stripes={one.promotion.stripes} of={rank.stripes} width={110} />
              )}
              <strong>{one.name}</strong>
              <span>{saidOf(ladder, one)}</span>
            </li>
          );
        })}
      </ul>
      <PrintFoot />
    </article>
  );
}
