import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useReadiness, useSession } from '../api/queries';
import type { Ladder, LadderView, OnBank } from '../api/types';
import { NewHold } from '../people/LimitForms';
import { Towards } from '../people/Towards';
import { Belt } from '../ui/Belt';
import { Loaded } from '../ui/States';
import { date, moment } from '../ui/words';
import classes from './Board.module.css';
import { Figures } from './Figures';
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
  const [asking, setAsking] = useState<'hold' | 'reason' | null>(null);
  const [reason, setReason] = useState('');
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
            onClick={() => (isReady(one) ? decide.promote(one) : setAsking('reason'))}
          >
            Promote to {next.name.toLowerCase()}
            {!isReady(one) && ' …'}
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
      {asking === 'reason' && (
        <form
          className={classes.reason}
          onSubmit={async (event) => {
            event.preventDefault();
            if (await decide.promote(one, reason.trim())) setAsking(null);
          }}
        >
          <TextInput
            label="Not everything is there. Why all the same?"
            description="Kept with the promotion, with the figures of this moment"
            autoFocus
            maxLength={300}
            value={reason}
            onChange={(event) => setReason(event.currentTarget.value)}
          />
          <div className={classes.actions}>
            <Button type="submit" loading={decide.sending} disabled={!reason.trim()}>
              Promote all the same
            </Button>
            <Button variant="default" onClick={() => setAsking(null)}>
              Leave it
            </Button>
          </div>
        </form>
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
