import { Button } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useSession } from '../api/club';
import { useReadiness } from '../api/people';
import type { Ladder, LadderView, OnBank } from '../api/types';
import { Belt } from '../ui/Belt';
import { Loaded } from '../ui/States';
import { date, moment } from '../ui/words';
import classes from './Board.module.css';
import { Figures } from './Figures';
import { GiveRank } from './GiveRank';
import { NewHold } from './NewHold';
import { Towards } from './Towards';
import { type Decide as Deciding, isReady } from './useDecide';

type Props = {
  one: OnBank;
  ladder: Ladder;
  views: LadderView[];
  decide: Deciding;
  today: string;
  onClose: () => void;
};

/** One student before the window: what is met, and what is decided. */
export function Decide({ one, ladder, views, decide, today, onClose }: Props) {
  const readiness = useReadiness(one.flag.student);
  const isHead = useSession().data?.role === 'HEAD';
  const [asking, setAsking] = useState<'hold' | 'promote' | null>(null);
  const rank = ladder.ranks.find((each) => each.id === one.flag.rank);
  const next = ladder.ranks.find((each) => each.id === one.nextRank);
  const isHeld = one.verdict === 'HELD';
  return (
    <>
      <div className={classes.who}>
        <h2>
          <Link to={`/people/${one.flag.student}`}>{one.name}</Link>
        </h2>
        <Button variant="subtle" size="compact-md" onClick={onClose}>
          Close
        </Button>
      </div>
      {rank && (
        <p className={classes.worn}>
          <Belt colours={rank.colours} stripes={one.stripes} of={rank.stripes} />
          <span className="quiet">
            {rank.name} since {date(one.since)}
          </span>
        </p>
      )}
      {one.nomination && (
        <>
          <p>
            Put forward by {one.nomination.by}
            {one.nomination.at && <span className="quiet"> {moment(one.nomination.at)}</span>}
            {one.nomination.note && `: ${one.nomination.note}`}
          </p>
          {one.nomination.stood && <Figures {...one.nomination.stood} />}
        </>
      )}
      <div className={classes.actions}>
        {next && !isHeld && isHead && (
          <Button
            loading={decide.sending}
            variant={isReady(one) ? 'filled' : 'default'}
            onClick={() => setAsking('promote')}
          >
            Promote to {next.name.toLowerCase()} …
          </Button>
        )}
        {next && !isHeld && !one.nomination && (
          <Button
            variant={isHead ? 'default' : 'filled'}
            loading={decide.sending}
            onClick={() => decide.putForward(one)}
          >
            Put forward
          </Button>
        )}
        {one.nomination && (
          <Button variant="default" loading={decide.sending} onClick={() => decide.takeBack(one)}>
            Put forward no more
          </Button>
        )}
        {isHead && !isHeld && (
          <Button variant="default" onClick={() => setAsking('hold')}>
            Hold back …
          </Button>
        )}
        {isHead && isHeld && (
          <Button variant="default" loading={decide.sending} onClick={() => decide.lift(one)}>
            Hold back no more
          </Button>
        )}
        {isHead && rank && one.stripes < rank.stripes && (
          <Button variant="default" loading={decide.sending} onClick={() => decide.stripe(one)}>
            Stripe {one.stripes + 1}
          </Button>
        )}
      </div>
      {asking === 'hold' && (
        <NewHold
          today={today}
          sending={decide.sending}
          onCancel={() => setAsking(null)}
          onDone={async (body) => {
            if (await decide.hold(one, body)) setAsking(null);
          }}
        />
      )}
      {asking === 'promote' && next && (
        <GiveRank one={one} next={next} decide={decide} today={today} onClose={() => setAsking(null)} />
      )}
      <Loaded query={readiness}>
        {(all) =>
          all
            .filter((each) => each.ladder === ladder.id)
            .map((each) => <Towards key={each.ladder} readiness={each} ladders={views} />)
        }
      </Loaded>
    </>
  );
}
