import { Button } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { newId, send } from '../api/client';
import { useSession } from '../api/club';
import { useMap } from '../api/map';
import { useToday } from '../api/mat';
import { useLeaving } from '../api/promote';
import type { Ladder, LadderView, Leaving } from '../api/types';
import { useChanged } from '../form/useEdit';
import { nameOf } from '../rank/nameOf';
import { useNotices } from '../ui/Notices';
import { Loaded } from '../ui/States';
import { count, date } from '../ui/words';
import classes from './Board.module.css';

/** Juniors who reach the age: where the table lands them and what they never had; the head coach confirms. */
export function HandOvers({ ladder, views }: { ladder: Ladder; views: LadderView[] }) {
  const leaving = useLeaving();
  const concerns = (one: Leaving) => one.handOver.ladder === ladder.id || one.handOver.toLadder === ladder.id;
  return (
    <Loaded query={leaving}>
      {(all) =>
        all.some(concerns) ? (
          <section aria-label="Hand-over">
            <h3>Old enough to go on</h3>
            {all.filter(concerns).map((one) => (
              <One key={one.handOver.student} leaving={one} views={views} />
            ))}
          </section>
        ) : null
      }
    </Loaded>
  );
}

function One({ leaving: { handOver, name }, views }: { leaving: Leaving; views: LadderView[] }) {
  const isHead = useSession().data?.role === 'HEAD';
  const map = useMap();
  const today = useToday();
  const say = useNotices();
  const changed = useChanged();
  const [sending, setSending] = useState(false);
  const to = views.find((one) => one.ladder.id === handOver.toLadder)?.ladder;
  const rank = to?.ranks.find((one) => one.id === handOver.toRank);
  const from = views
    .find((one) => one.ladder.id === handOver.ladder)
    ?.ladder.ranks.find((one) => one.id === handOver.rank);
  const confirm = async () => {
    setSending(true);
    const id = newId('pr');
    try {
      await send('POST', '/promotions', {
        id,
        student: handOver.student,
        ladder: handOver.toLadder,
        from: null,
        to: handOver.toRank,
        stripes: 0,
        date: today,
        figures: [],
        reason: `Handed over from ${from?.name ?? handOver.rank}`,
      });
      await changed('promotion');
      say.done(`${name} goes on as ${rank?.name.toLowerCase()}.`, () =>
        send('DELETE', `/promotions/${id}`)
          .then(() => changed('promotion'))
          .catch(say.failed),
      );
    } catch (error) {
      say.failed(error);
    } finally {
      setSending(false);
    }
  };
  return (
    <div className={classes.over}>
      <p>
        <Link to={`/people/${handOver.student}`}>{name}</Link>
        <span className="quiet">
          {' '}
          {handOver.on <= today ? 'since' : 'on'} {date(handOver.on)}
        </span>
        <br />
        {from?.name} →{' '}
        {rank ? `${to?.name}, ${rank.name.toLowerCase()}` : 'the table says nothing for this rank'}
      </p>
      {handOver.never.length > 0 && map.data && (
        <details>
          <summary>Never had {count(handOver.never.length, 'thing', 'things')}</summary>
          <ul>
            {handOver.never.map((item) => (
              <li key={item.id}>{map.data && nameOf(item, map.data)}</li>
            ))}
          </ul>
        </details>
      )}
      {isHead && rank && handOver.on <= today && (
        <Button variant="default" size="compact-md" loading={sending} onClick={confirm}>
          Confirm
        </Button>
      )}
    </div>
  );
}
