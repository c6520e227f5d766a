import { Button } from '@mantine/core';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useSession } from '../api/club';
import { useLadderCheck, useLadders, useRankMends, useVersions } from '../api/ladders';
import { type MapIndex, useChains, useMap, useReach } from '../api/map';
import type { Finding, Item, Ladder, LadderView, Mendable, Rank, SyllabusGroup } from '../api/types';
import { HistoryFold } from '../form/History';
import { PageHead } from '../frame/PageHead';
import { Hillside } from '../hill/Hillside';
import { Belt } from '../ui/Belt';
import { Scroll } from '../ui/Scroll';
import { Failed, Loaded, Waiting } from '../ui/States';
import { Finding as StoneFinding } from '../ui/Stone';
import { count, date } from '../ui/words';
import { AddItem } from './AddItem';
import { AddOther } from './AddOther';
import { asKept, syllabusDiffers } from './differs';
import { Effect, OpenedClosed } from './Effect';
import { Groups } from './Groups';
import { mendInWords, nameOf } from './nameOf';
import classes from './RankPage.module.css';
import { type Like, plainLike } from './syllabus';
import { useSyllabus } from './useSyllabus';

export function RankPage() {
  const ladders = useLadders();
  const map = useMap();
  const { ladder, rank } = useParams();
  return (
    <Loaded query={ladders}>
      {(views) => (
        <Loaded query={map}>
          {(index) => {
            const view = views.find((v) => v.ladder.id === ladder);
            const opened = view?.ladder.ranks.find((r) => r.id === rank);
            return view && opened ? (
              <Opened key={opened.id} view={view} views={views} rank={opened} map={index} />
            ) : (
              <Failed error={new Error('There is no such rank.')} retry={() => ladders.refetch()} />
            );
          }}
        </Loaded>
      )}
    </Loaded>
  );
}

type OpenedProps = { view: LadderView; views: LadderView[]; rank: Rank; map: MapIndex };

function Opened({ view, views, rank, map }: OpenedProps) {
  const check = useLadderCheck(view.ladder.id);
  const chains = useChains();
  const session = useSession();
  const navigate = useNavigate();
  const eyes = useMemo(() => ({ kind: 'rank' as const, id: rank.id }), [rank.id]);
  const reach = useReach(eyes, true);
  const isHead = session.data?.role === 'HEAD';
  const mends = useRankMends(view.ladder.id, rank.id, isHead);
  const mine = check.data?.find((c) => c.rank === rank.id);
  const soil = useMemo(
    () =>
      reach.data
        ? Object.fromEntries(
            [...map.position.keys()].map((id) => [id, reach.data[id] ? 'REACHED' : 'UNREACHED']),
          )
        : undefined,
    [reach.data, map],
  );

  const { save, propose, move, add, mend, asked, confirm, leave, last } = useSyllabus(view, rank, map);
  const called = (item: Item) => nameOf(item, map, chains.data);
  const [like, setLike] = useState<Like>(plainLike);
  /** Keeps changed groups; what the next one added takes is what was changed last. */
  const keep = (groups: SyllabusGroup[], says: string, changed?: Item) => {
    if (changed) {
      const group = groups.find((one) => one.items.some((item) => item.id === changed.id));
      setLike({ group: group?.name ?? null, standard: changed.standard, stripe: changed.stripe });
    }
    void save(groups, says);
  };
  const begin = () => {
    const names = rank.syllabus.map((group) => group.name);
    const name = Array.from({ length: names.length + 1 }, (_, n) => `Group ${n + 1}`).find(
      (one) => !names.includes(one),
    );
    if (name) keep([...rank.syllabus, { name, choose: 0, items: [] }], `${name} is there; give it a name.`);
  };

  return (
    <>
      <PageHead title={rank.name}>
        <Belt colours={rank.colours} of={rank.stripes} />
        <Link to={`/ranks?ladder=${view.ladder.id}`}>{view.ladder.name}</Link>
        {isHead && (
          <AddItem
            map={map}
            chains={chains.data ?? []}
            rank={rank}
            ladder={view.ladder}
            like={like}
            onAdd={add}
          />
        )}
      </PageHead>
      <div className={classes.columns}>
        <Scroll label="Syllabus" className={classes.groups}>
          {asked && (
            <Effect
              {...{ called, ladder: view.ladder }}
              rank={rank.id}
              what={asked.what}
              look={asked.look}
              onKeep={confirm}
              onLeave={leave}
            />
          )}
          <OnEarlier ladder={view.ladder} rank={rank} />
          <Groups
            {...{ rank, map, called }}
            onSave={isHead ? keep : undefined}
            others={view.ladder.ranks.filter((one) => one.id !== rank.id)}
            onMove={move}
          />
          {rank.syllabus.length === 0 && (
            <p className="quiet">
              {rank.name} asks for nothing yet.{isHead && ' Add a technique or a chain above.'}
            </p>
          )}
          {isHead && (
            <section className={classes.more} aria-label="More for this rank">
              <AddOther {...{ map, view, views, rank, like }} onAdd={add} onSave={keep} />
              <Button variant="default" mt={8} onClick={begin}>
                Add a group
              </Button>
            </section>
          )}
          {isHead && (
            <HistoryFold
              kind="syllabus"
              id={rank.id}
              canUndo
              differ={({ before, after }) => syllabusDiffers(asKept(before), asKept(after), called)}
            />
          )}
        </Scroll>
        <Scroll label="What a student who knows this can do" className={classes.side}>
          <h2>A student who knows exactly this</h2>
          <div className={classes.hill}>
            <Hillside
              map={map}
              selected={null}
              onSelect={(at) => navigate(`/map?at=${at}&eyes=rank:${rank.id}`)}
              signs={{ soil }}
              restWidth={1176}
              isSmall
            />
          </div>
          {last && (
            <section role="status" className={classes.last} aria-label="What your last change did">
              <h2>Your last change</h2>
              <OpenedClosed ladder={view.ladder} rank={rank.id} look={last} />
            </section>
          )}
          <h2>Does it hang together?</h2>
          {mine ? (
            <ul className={classes.findings} aria-label="Findings">
              {mine.findings.map((f) => (
                <StoneFinding
                  key={`${f.code} ${f.position} ${f.technique} ${f.reaction}`}
                  severity={f.severity}
                  action={
                    isHead && (
                      <MendButtons
                        finding={f}
                        mends={mends.data}
                        add={
                          f.mend &&
                          mendInWords(
                            f.mend.techniques.map((t) => map.technique.get(t)?.name ?? ''),
                            rank.name,
                          )
                        }
                        onAdd={() => f.mend && mend(f.mend)}
                        onTake={(way) =>
                          propose(
                            way.ranks.map((one) => ({ rank: one.rank, groups: one.syllabus })),
                            `${way.words}: done.`,
                            way.words,
                          )
                        }
                      />
                    )
                  }
                >
                  {f.sentence}
                </StoneFinding>
              ))}
              {mine.findings.length === 0 && <li>What {rank.name} adds holds together.</li>}
              <OpenSince view={view} since={mine.openSince} />
            </ul>
          ) : (
            <Waiting height={200} />
          )}
        </Scroll>
      </div>
    </>
  );
}

type MendProps = {
  finding: Finding;
  mends: Mendable[] | undefined;
  /** What adding what is missing says, where that is all that is known. */
  add: string | null;
  onAdd: () => void;
  onTake: (way: Mendable['ways'][number]) => void;
};

/** What can be done about a finding; what it would do is said before it is kept. */
function MendButtons({ finding, mends, add, onAdd, onTake }: MendProps) {
  const ways = mends?.find(
    (one) => one.finding.code === finding.code && one.finding.sentence === finding.sentence,
  )?.ways;
  if (ways)
    return ways.map((way, n) => (
      <Button
        key={way.words}
        size="compact-md"
        className={classes.mend}
        variant={n === 0 ? 'filled' : 'default'}
        onClick={() => onTake(way)}
      >
        {way.words}
      </Button>
    ));
  return add ? (
    <Button size="compact-md" className={classes.mend} onClick={onAdd}>
      {add}
    </Button>
  ) : null;
}

/** Those who have the rank may still be asked what was asked before. */
function OnEarlier({ ladder, rank }: { ladder: Ladder; rank: Rank }) {
  const versions = useVersions(ladder.earlier.length > 0 ? ladder.id : undefined);
  const [newest, ...earlier] = versions.data ?? [];
  if (!newest?.from) return null;
  const people = earlier
    .flatMap((one) => one.ranks)
    .filter((of) => of.rank === rank.id)
    .reduce((sum, of) => sum + of.people, 0);
  return (
    <p className="quiet">
      Asked of those who get {rank.name} from {date(newest.from)} on
      {people > 0 &&
        `; ${count(people, 'student still stands', 'students still stand')} on what was asked before`}
      . <Link to={`/ranks/${ladder.id}/versions`}>Versions</Link>
    </p>
  );
}

/** What earlier ranks opened is said there; here is only how much of it still stands. */
function OpenSince({ view, since }: { view: LadderView; since: Record<string, number> }) {
  const before = view.ladder.ranks.filter((r) => since[r.id]);
  if (before.length === 0) return null;
  return (
    <li className="quiet">
      Still open from earlier ranks:{' '}
      {before.map((r, i) => (
        <span key={r.id}>
          {i > 0 && ', '}
          <Link to={`/ranks/${view.ladder.id}/${r.id}`}>{r.name}</Link> {since[r.id]}
        </span>
      ))}
      .
    </li>
  );
}
