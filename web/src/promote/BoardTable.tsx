import { Button, Checkbox, Modal } from '@mantine/core';
import { useState } from 'react';
import { useSession } from '../api/club';
import { useToday } from '../api/mat';
import type { Ladder, OnBank } from '../api/types';
import { Belt } from '../ui/Belt';
import { Scroll } from '../ui/Scroll';
import { date } from '../ui/words';
import classes from './Board.module.css';
import { GiveRank } from './GiveRank';
import signs from './Signs.module.css';
import { SIGNS } from './signs';
import { type Decide, isReady } from './useDecide';

type Props = {
  ladder: Ladder;
  standing: OnBank[];
  chosen: string | null;
  onChoose: (student: string) => void;
  ticked: ReadonlySet<string>;
  onTick: (student: string) => void;
  decide: Decide;
};

/** The board as a table: the same people, each with what is decided most often in one press. */
export function BoardTable({ ladder, standing, chosen, onChoose, ticked, onTick, decide }: Props) {
  const isHead = useSession().data?.role === 'HEAD';
  const today = useToday();
  const [giving, setGiving] = useState<OnBank | null>(null);
  const given = ladder.ranks.find((rank) => rank.id === giving?.nextRank);
  return (
    <Scroll label="Everybody on the ladder" className={classes.table}>
      <table>
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th scope="col">Belt</th>
            <th scope="col">Met</th>
            <th scope="col">Stands</th>
            <th scope="col">Stripe</th>
            <th scope="col">
              <span className={classes.unseen}>Decide</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {standing.map((one) => {
            const rank = ladder.ranks.find((each) => each.id === one.flag.rank);
            return (
              <tr key={one.flag.student} className={chosen === one.flag.student ? classes.chosen : undefined}>
                <th scope="row">
                  {isHead && (
                    <Checkbox
                      aria-label={`Tick ${one.name}`}
                      checked={ticked.has(one.flag.student)}
                      onChange={() => onTick(one.flag.student)}
                    />
                  )}
                  <button
                    type="button"
                    data-row={one.flag.student}
                    onClick={() => onChoose(one.flag.student)}
                  >
                    {one.name}
                  </button>
                </th>
                <td>
                  {rank && (
                    <span className={classes.belt}>
                      <Belt colours={rank.colours} stripes={one.stripes} of={rank.stripes} width={64} />
                      {rank.name}
                    </span>
                  )}
                </td>
                <td>
                  {one.nextRank ? (
                    <>
                      {one.flag.met} of {one.flag.of}
                    </>
                  ) : (
                    '–'
                  )}
                </td>
                <td>
                  <span
                    className={`${classes.sign} ${signs[one.flag.sign.toLowerCase()] ?? classes.on_the_way}`}
                  >
                    {one.nextRank ? SIGNS[one.flag.sign].says : 'top of the ladder'}
                  </span>
                  {one.passedOver > 0 && one.flag.sign !== 'PASSED_OVER' && (
                    <span className="quiet"> passed over at {one.passedOver}</span>
                  )}
                  {one.flag.sign === 'ON_THE_WAY' && one.window && (
                    <span className="quiet"> about {date(one.window)}</span>
                  )}
                </td>
                <td>
                  {one.stripe ? (
                    one.stripe.met ? (
                      <strong>due</strong>
                    ) : (
                      `${one.stripe.have} of ${one.stripe.need}`
                    )
                  ) : (
                    '–'
                  )}
                </td>
                <td className={classes.inline}>
                  {one.nextRank && one.verdict !== 'HELD' && !one.nomination && (
                    <Button
                      variant="default"
                      size="compact-md"
                      aria-label={`Put forward ${one.name}`}
                      onClick={() => decide.putForward(one)}
                    >
                      Put forward
                    </Button>
                  )}
                  {isHead && one.nextRank && isReady(one) && (
                    <Button
                      size="compact-md"
                      aria-label={`Promote ${one.name}`}
                      onClick={() => setGiving(one)}
                    >
                      Promote …
                    </Button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {giving && given && (
        <Modal
          opened
          onClose={() => setGiving(null)}
          title={giving.name}
          closeButtonProps={{ 'aria-label': 'Close' }}
        >
          <GiveRank one={giving} next={given} decide={decide} today={today} onClose={() => setGiving(null)} />
        </Modal>
      )}
    </Scroll>
  );
}
