import { Button } from '@mantine/core';
import { Link, useParams } from 'react-router';
import { useWelcome } from '../../api/club';
import { useLadders } from '../../api/ladders';
import { type MapIndex, useChains, useMap } from '../../api/map';
import { useToday } from '../../api/mat';
import { useBeen, useProgress, useReadiness } from '../../api/people';
import type { Been, LadderView, ProgressView, Readiness } from '../../api/types';
import { PageHead } from '../../frame/PageHead';
import { isMet, when } from '../../promote/missing';
import { nameOf } from '../../rank/nameOf';
import { Belt } from '../../ui/Belt';
import { PrintFoot } from '../../ui/PrintFoot';
import { Scroll } from '../../ui/Scroll';
import { Loaded } from '../../ui/States';
import { count, date, daysBefore } from '../../ui/words';
import classes from './ProgressSheet.module.css';

/** One page for a student or a parent: what is passed, what comes next, classes and dates. No notes, no health, no marks of others. */
export function ProgressSheet() {
  const { id = '' } = useParams();
  const now = useToday();
  const progress = useProgress(id);
  const readiness = useReadiness(id);
  const map = useMap();
  const ladders = useLadders();
  const been = useBeen(id, daysBefore(now, 90), now);
  return (
    <Loaded query={progress}>
      {(view) => (
        <>
          <PageHead title={view.student.name} print={false}>
            <Button onClick={() => window.print()}>Print, or save as PDF</Button>
            <Link to={`/people/${id}`}>Back to the student</Link>
          </PageHead>
          <Loaded query={map}>
            {(index) => (
              <Loaded query={ladders}>
                {(views) => (
                  <Loaded query={readiness}>
                    {(towards) => (
                      <Loaded query={been}>
                        {(classesBeen) => (
                          <Sheet view={view} map={index} views={views} towards={towards} been={classesBeen} />
                        )}
                      </Loaded>
                    )}
                  </Loaded>
                )}
              </Loaded>
            )}
          </Loaded>
        </>
      )}
    </Loaded>
  );
}

type Props = {
  view: ProgressView;
  map: MapIndex;
  views: LadderView[];
  towards: Readiness[];
  been: Been[];
};

function Sheet({ view, map, views, towards, been }: Props) {
  const now = useToday();
  const club = useWelcome().data?.club;
  const there = been.filter((one) => !one.cancelled && !one.trial);
  return (
    <Scroll label="Progress sheet" className={classes.body}>
      <article className={classes.sheet}>
        <header className={classes.head}>
          <div>
            <h2>{view.student.name}</h2>
            <p>
              {club && `${club} · `}
              {date(now)}
            </p>
          </div>
          <p className={classes.classes}>
            <strong>{there.length}</strong>
            {there.length === 1 ? 'class' : 'classes'} in 90 days
            {view.lastSeen && <span>last seen {date(view.lastSeen)}</span>}
          </p>
        </header>
        {view.ladders.map((ladder) => (
          <OnLadder
            key={ladder.ladder}
            {...{ view, map, views }}
            ladder={ladder}
            towards={towards.find((one) => one.ladder === ladder.ladder)}
          />
        ))}
        {view.ladders.length === 0 && <p>No rank yet.</p>}
        <PrintFoot />
      </article>
    </Scroll>
  );
}

/** What is said of holds, limits and membership stays between coach and student. */
const OPEN = new Set(['CLASSES', 'TIME_IN_RANK', 'AGE', 'SYLLABUS', 'FALLS']);

function OnLadder({
  view,
  map,
  views,
  ladder,
  towards,
}: {
  view: ProgressView;
  map: MapIndex;
  views: LadderView[];
  ladder: ProgressView['ladders'][number];
  towards?: Readiness;
}) {
  const chains = useChains();
  const of = views.find((one) => one.ladder.id === ladder.ladder)?.ladder;
  const held = view.ranks.find((one) => one.ladder === ladder.ladder);
  const rank = of?.ranks.find((one) => one.id === ladder.rank);
  const next = of?.ranks.find((one) => one.id === towards?.nextRank);
  const items = ladder.groups.flatMap((group) => group.items);
  const name = (item: (typeof items)[number]) => nameOf(item.item, map, chains.data);
  const passed = items.filter((item) => item.met);
  const open = ladder.groups.filter((group) => group.met < group.needed);
  const about = towards && towards.verdict !== 'HELD' ? when(towards) : null;
  return (
    <section>
      <h3>
        {rank && held && <Belt colours={rank.colours} stripes={held.stripes} of={rank.stripes} />}
        {rank?.name}
        {held && <span className="quiet"> since {date(held.since)}</span>}
        {ladder.until && <span className="quiet">, as asked until {date(ladder.until)}</span>}
      </h3>
      {towards && next && (
        <>
          <h4>
            Towards {next.name.toLowerCase()}
            {isMet(towards) ? ': everything is there' : about && `: ${about}`}
          </h4>
          <ul className={classes.conditions}>
            {towards.conditions
              .filter((condition) => OPEN.has(condition.code) && condition.code !== 'SYLLABUS')
              .map((condition) => (
                <li key={condition.label}>
                  {condition.met ? '✓' : '○'} {condition.label}
                  {condition.need && ` ${condition.have} of ${condition.need}`}
                </li>
              ))}
          </ul>
        </>
      )}
      {open.length > 0 && (
        <>
          <h4>Next to learn</h4>
          {open.map((group) => (
            <p key={group.name} className={classes.group}>
              <strong>
                {group.name} {group.met} of {group.needed}:
              </strong>{' '}
              {group.items
                .filter((item) => !item.met)
                .map((item) => `${name(item)} (${item.missing})`)
                .join(', ')}
            </p>
          ))}
        </>
      )}
      <h4>{count(passed.length, 'thing', 'things')} passed at this rank</h4>
      <p className={classes.group}>{passed.map(name).join(', ') || 'Nothing yet; it has just begun.'}</p>
    </section>
  );
}
