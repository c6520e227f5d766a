import { Button, SegmentedControl, Select } from '@mantine/core';
import { useViewportSize } from '@mantine/hooks';
import { useEffect, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useLadders } from '../api/ladders';
import { useToday } from '../api/mat';
import { useBoard } from '../api/promote';
import type { BoardView, Ladder, LadderView } from '../api/types';
import { PageHead } from '../frame/PageHead';
import { nth } from '../ui/lists';
import { Scroll } from '../ui/Scroll';
import { Empty, Loaded } from '../ui/States';
import classes from './Board.module.css';
import { BoardTable } from './BoardTable';
import { Decide } from './Decide';
import { Hill } from './Hill';
import { monthOf } from './month';
import signs from './Signs.module.css';
import { counted, fits, SIGNS } from './signs';
import { useDecide } from './useDecide';
import { WindowPanel } from './WindowPanel';

/** Up to this width a list is easier to touch than a hill. */
const PHONE = 700;

/** Before a window: who stands where, and what is decided. */
export function BoardPage() {
  const ladders = useLadders();
  return (
    <Loaded query={ladders}>
      {(views) =>
        views.length === 0 ? (
          <>
            <PageHead title="Promotions" />
            <Empty
              title="No ladder yet"
              steps={[{ label: 'Take one from the library', to: '/house/library' }]}
            >
              A ladder says which ranks there are and what each asks; then people stand on it here.
            </Empty>
          </>
        ) : (
          <OneLadder views={views} />
        )
      }
    </Loaded>
  );
}

function OneLadder({ views }: { views: LadderView[] }) {
  const [params, setParams] = useSearchParams();
  const ladder = (views.find((one) => one.ladder.id === params.get('ladder')) ?? nth(views, 0)).ladder;
  const board = useBoard(ladder.id, params.get('window'));
  const { width } = useViewportSize();
  const set = (key: string, value: string | null) =>
    setParams(
      (before) => {
        if (value === null) before.delete(key);
        else before.set(key, value);
        return before;
      },
      { replace: true },
    );
  const isTable = (view: BoardView) =>
    params.get('as') === 'table' || (params.get('as') !== 'hill' && (width < PHONE || !fits(view.standing)));
  return (
    <>
      <PageHead title="Promotions">
        <Select
          aria-label="Ladder"
          w={180}
          data={views.map((one) => ({ value: one.ladder.id, label: one.ladder.name }))}
          allowDeselect={false}
          value={ladder.id}
          onChange={(id) => setParams(id ? { ladder: id } : {}, { replace: true })}
        />
        {board.data && (
          <Select
            aria-label="Window"
            w={170}
            data={board.data.windows.map((day) => ({ value: day, label: monthOf(day) }))}
            allowDeselect={false}
            value={board.data.window}
            onChange={(day) => set('window', day === board.data?.windows[0] ? null : day)}
          />
        )}
        {board.data && (
          <SegmentedControl
            aria-label="Shown as"
            value={isTable(board.data) ? 'table' : 'hill'}
            onChange={(as) => set('as', as)}
            data={[
              { value: 'hill', label: 'Hill' },
              { value: 'table', label: 'Table' },
            ]}
          />
        )}
      </PageHead>
      <Loaded query={board}>
        {(view) => (
          <Board
            key={ladder.id}
            view={view}
            ladder={ladder}
            views={views}
            isTable={isTable(view)}
            chosen={params.get('who')}
            onChoose={(who) => set('who', who)}
            rank={params.get('rank')}
            onRank={(rank) =>
              setParams(
                (before) => {
                  before.set('as', 'table');
                  if (rank) before.set('rank', rank);
                  else before.delete('rank');
                  return before;
                },
                { replace: true },
              )
            }
          />
        )}
      </Loaded>
    </>
  );
}

type BoardProps = {
  view: BoardView;
  ladder: Ladder;
  views: LadderView[];
  isTable: boolean;
  chosen: string | null;
  onChoose: (student: string | null) => void;
  /** The one rank that the table shows; null: all. */
  rank: string | null;
  onRank: (rank: string | null) => void;
};

function Board({ view, ladder, views, isTable, chosen, onChoose, rank, onRank }: BoardProps) {
  const decide = useDecide(ladder, view.window);
  const today = useToday();
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const one = view.standing.find(({ flag }) => flag.student === chosen);
  const panel = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (chosen) panel.current?.scrollIntoView({ block: 'nearest' }); // on a phone it stands below the list
  }, [chosen]);
  const counts = counted(view.standing.filter((each) => each.nextRank));
  const chosenOnes = view.standing.filter(({ flag }) => ticked.has(flag.student));
  if (view.standing.length === 0)
    return (
      <Empty title="Nobody on this ladder yet" steps={[{ label: 'People', to: '/people' }]}>
        Whoever holds one of its ranks stands here, as far up as they have met of what the next one asks.
      </Empty>
    );
  return (
    <div className={classes.board}>
      <section className={classes.left} aria-label="The board">
        <div className={classes.legend}>
          <span>How far up: conditions met. On the lip: all of them.</span>
          {(Object.entries(SIGNS) as [keyof typeof SIGNS, (typeof SIGNS)['HELD']][])
            .filter(([sign]) => sign !== 'ON_THE_WAY' && (counts.get(sign) ?? 0) > 0)
            .map(([sign, { mark, says }]) => (
              <span key={sign}>
                <span className={`${classes.sign} ${signs[sign.toLowerCase()] ?? ''}`}>{mark}</span> {says}{' '}
                <strong>{counts.get(sign)}</strong>
              </span>
            ))}
        </div>
        {isTable ? (
          <>
            <div className={classes.ticked}>
              <Select
                aria-label="Rank"
                w={170}
                size="sm"
                placeholder="Any rank"
                clearable
                data={ladder.ranks.map((each) => ({ value: each.id, label: each.name }))}
                value={rank}
                onChange={onRank}
              />
            </div>
            {chosenOnes.length > 0 && (
              <div className={classes.ticked}>
                <strong>{chosenOnes.length} ticked</strong>
                <Button
                  size="compact-md"
                  onClick={async () => {
                    if (await decide.stripes(chosenOnes)) setTicked(new Set());
                  }}
                >
                  Give each the next stripe
                </Button>
                <Button variant="subtle" size="compact-md" onClick={() => setTicked(new Set())}>
                  Nobody
                </Button>
              </div>
            )}
            <BoardTable
              ladder={ladder}
              standing={view.standing.filter((each) => !rank || each.flag.rank === rank)}
              chosen={chosen}
              onChoose={onChoose}
              ticked={ticked}
              onTick={(student) =>
                setTicked((before) => {
                  const after = new Set(before);
                  if (!after.delete(student)) after.add(student);
                  return after;
                })
              }
              decide={decide}
            />
          </>
        ) : (
          <Hill
            ladder={ladder}
            standing={view.standing}
            chosen={chosen}
            onChoose={onChoose}
            onRank={onRank}
          />
        )}
      </section>
      <div ref={panel} className={classes.beside}>
        <Scroll label={one ? one.name : 'The window'} className={classes.right}>
          {one ? (
            <Decide
              key={one.flag.student}
              {...{ one, ladder, views, decide, today }}
              onClose={() => onChoose(null)}
            />
          ) : (
            <WindowPanel view={view} ladder={ladder} views={views} decide={decide} />
          )}
          <p className="quiet">
            <Link to="/people">People</Link>
          </p>
        </Scroll>
      </div>
    </div>
  );
}
