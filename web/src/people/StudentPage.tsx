import { Button } from '@mantine/core';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import {
  type MapIndex,
  useChains,
  useLadders,
  useMap,
  useProgress,
  useReadiness,
  useSession,
} from '../api/queries';
import type { LadderView, ProgressView, Readiness } from '../api/types';
import { PageHead } from '../frame/PageHead';
import { Hillside } from '../map/Hillside';
import { hiddenBy, Legend } from '../map/Legend';
import legend from '../map/Legend.module.css';
import { nameOf } from '../rank/RankPage';
import { Belt } from '../ui/Belt';
import { Scroll } from '../ui/Scroll';
import { Loaded } from '../ui/States';
import { count, date, isNow, percent, plain, VERDICT } from '../ui/words';
import { Leaving } from './Leaving';
import classes from './StudentPage.module.css';

export function StudentPage() {
  const { id = '' } = useParams();
  const progress = useProgress(id);
  const map = useMap();
  const ladders = useLadders();
  return (
    <Loaded query={progress}>
      {(view) => (
        <Loaded query={map}>
          {(index) => (
            <Loaded query={ladders}>
              {(views) => <StudentScreen view={view} map={index} ladders={views} />}
            </Loaded>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

function StudentScreen({ view, map, ladders }: { view: ProgressView; map: MapIndex; ladders: LadderView[] }) {
  const readiness = useReadiness(view.student.id);
  const isHead = useSession().data?.role === 'HEAD';
  const navigate = useNavigate();
  const [only, setOnly] = useState<string | null>(null);
  const { student } = view;
  const held = view.ranks[0];
  const rank = ladders
    .find((l) => l.ladder.id === held?.ladder)
    ?.ladder.ranks.find((r) => r.id === held?.rank);
  const soil = view.soil as Record<string, string>;
  const standing = [
    student.left
      ? `left ${date(student.left)}`
      : student.guest
        ? `a guest; ${student.guest.fallsKnown ? 'can fall' : 'falls not known'}`
        : held && `${rank?.name} since ${date(held.since)}`,
    view.lastSeen ? `last seen ${date(view.lastSeen)}` : 'not seen yet',
  ]
    .filter(Boolean)
    .join(' · ');
  return (
    <>
      <PageHead title={student.name}>
        {rank && <Belt colours={rank.colours} stripes={held.stripes} of={rank.stripes} />}
        <span className={`quiet ${classes.since}`}>{standing}</span>
        {isHead && student.guest && (
          <Button component={Link} to={`/people/${student.id}/change?joins`}>
            Joins the club
          </Button>
        )}
        {isHead && (
          <Button component={Link} to={`/people/${student.id}/change`} variant="default">
            Change
          </Button>
        )}
        <Link to={`/map?eyes=student:${student.id}`}>On the map</Link>
      </PageHead>
      <div className={classes.columns}>
        <Scroll label="Worked so far" className={classes.left}>
          <p className={classes.sinceBelow}>{standing}</p>
          <div className={classes.hill}>
            <Hillside
              map={map}
              selected={null}
              onSelect={(at) => navigate(`/map?at=${at}&eyes=student:${student.id}`)}
              signs={{
                soil,
                hidden: hiddenBy(only, Object.keys(soil), soil),
              }}
              restWidth={1176}
              isSmall
            />
          </div>
          <div className={classes.legend}>
            <div className={legend.bar}>
              <Legend soil={soil} only={only} onOnly={setOnly} />
            </div>
          </div>
          <Syllabus view={view} map={map} />
        </Scroll>
        <Scroll label="What is next" className={classes.right}>
          {student.restrictions
            .filter((r) => isNow(r.from, r.until))
            .map((r) => (
              <p key={r.kind} className={classes.limit}>
                {plain(r.kind)} {r.until ? `until ${date(r.until)}` : 'until lifted'}
              </p>
            ))}
          <Loaded query={readiness}>
            {(all) => all.map((r) => <Towards key={r.ladder} readiness={r} ladders={ladders} />)}
          </Loaded>
          {view.ranks.length === 0 && (
            <p>
              {student.guest
                ? 'A guest is on no ladder. What they drill is kept; once they join, this says what is missing for the next rank.'
                : 'No rank yet, so there is no next one. It is written down under Change.'}
            </p>
          )}
          {isHead && <Leaving student={student} />}
        </Scroll>
      </div>
    </>
  );
}

function Syllabus({ view, map }: { view: ProgressView; map: MapIndex }) {
  const chains = useChains();
  return view.ladders.map((ladder) => (
    <section key={ladder.ladder} aria-label="Syllabus progress">
      {ladder.groups.map((group) => (
        <div key={group.name} className={classes.group}>
          <h2>
            {group.name}
            <span className="quiet">
              {' '}
              {group.met} of {group.needed}
            </span>
          </h2>
          <ul>
            {group.items.map((progress) => (
              <li key={progress.item.id} className={progress.met ? classes.met : undefined}>
                <span className={classes.tick} aria-hidden="true">
                  {progress.met ? '✓' : '○'}
                </span>
                <span>{nameOf(progress.item, map, chains.data)}</span>
                <span className="quiet">
                  {progress.met ? plain(progress.have ?? '').toLowerCase() : progress.missing}
                  {progress.fading &&
                    ` · ${plain(progress.fading).toLowerCase()}, ${count(progress.sessions, 'session', 'sessions')}`}
                </span>
              </li>
            ))}
          </ul>
        </div>
      ))}
    </section>
  ));
}

function Towards({ readiness, ladders }: { readiness: Readiness; ladders: LadderView[] }) {
  const ladder = ladders.find((l) => l.ladder.id === readiness.ladder)?.ladder;
  const next = ladder?.ranks.find((r) => r.id === readiness.nextRank);
  const { projection, stripe } = readiness;
  return (
    <section aria-label="Readiness">
      <h2>
        {next ? `Towards ${next.name.toLowerCase()}` : 'At the top of this ladder'}:{' '}
        <span className={readiness.verdict === 'HELD' ? classes.held : undefined}>
          {VERDICT[readiness.verdict]}
        </span>
      </h2>
      {stripe && (
        <p>
          Stripe {stripe.number}: {stripe.have} of {stripe.need} classes
          {stripe.met
            ? ', due now'
            : stripe.projection
              ? `, about ${date(stripe.projection.median)}`
              : ', not attending'}
          .
        </p>
      )}
      <ul className={classes.conditions}>
        {readiness.conditions.map((condition) => (
          <li key={condition.label} className={condition.met ? classes.met : undefined}>
            <span className={classes.tick} aria-hidden="true">
              {condition.met ? '✓' : '○'}
            </span>
            <div>
              <strong>{condition.label}</strong>
              {condition.need && (
                <span className="quiet">
                  {' '}
                  {condition.have} of {condition.need}
                </span>
              )}
              {!condition.met && <div>{condition.missing}</div>}
              {condition.by && <div className="quiet">about {date(condition.by)}</div>}
            </div>
          </li>
        ))}
      </ul>
      {projection && projection.perWeek > 0 && (
        <p className="quiet">
          At {projection.perWeek.toFixed(1)} classes a week the classes are there about{' '}
          {date(projection.median)}, likely between {date(projection.early)} and {date(projection.late)}.
        </p>
      )}
      {!projection && <p className="quiet">No class in eight weeks: not attending, so no date.</p>}
      {readiness.passedOver > 1 && (
        <p>
          <strong>Passed over at {count(readiness.passedOver, 'window', 'windows')}</strong> with everything
          met and no hold.
        </p>
      )}
      {readiness.window && readiness.verdict !== 'ELIGIBLE' && (
        <p>The first promotion window after everything is there: {date(readiness.window)}.</p>
      )}
      <p className="quiet">
        {count(readiness.conditions.filter((c) => c.met).length, 'condition', 'conditions')} met of{' '}
        {readiness.conditions.length} (
        {percent(readiness.conditions.filter((c) => c.met).length / Math.max(1, readiness.conditions.length))}
        ). The coach decides.
      </p>
    </section>
  );
}
