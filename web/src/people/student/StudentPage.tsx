import { Button, SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { useSession } from '../../api/club';
import { useLadders } from '../../api/ladders';
import { type MapIndex, useChains, useMap } from '../../api/map';
import { useToday } from '../../api/mat';
import { useGame, useProgress, useReadiness } from '../../api/people';
import type { LadderView, ProgressView, Soil } from '../../api/types';
import { PageHead } from '../../frame/PageHead';
import { Hillside } from '../../hill/Hillside';
import { hiddenBy, Legend } from '../../hill/Legend';
import legend from '../../hill/Legend.module.css';
import { Towards } from '../../promote/Towards';
import { Belt } from '../../ui/Belt';
import { Scroll } from '../../ui/Scroll';
import { Loaded } from '../../ui/States';
import { date } from '../../ui/words';
import { Limits, limited } from '../safety/Limits';
import { Asks } from './Asks';
import { Brought } from './Brought';
import { Game } from './Game';
import { Leaving } from './Leaving';
import classes from './StudentPage.module.css';
import { Syllabus } from './Syllabus';
import { subjectOf } from './subjects';
import { Then } from './Then';
import { Trail } from './Trail';
import { Week } from './Week';

/** What stands at the right; the game is for coaches. */
const TABS = [
  { value: 'next', label: 'Next', coaches: false },
  { value: 'game', label: 'Game', coaches: true },
  { value: 'then', label: 'Then', coaches: true },
  { value: 'trail', label: 'Trail', coaches: false },
];

export function StudentPage() {
  const { id = '' } = useParams();
  const progress = useProgress(id, true);
  const map = useMap();
  const ladders = useLadders();
  return (
    <Loaded query={progress}>
      {(view) => (
        <Loaded query={map}>
          {(index) => (
            <Loaded query={ladders}>
              {(views) => (
                <div className={classes.one} inert={progress.isPlaceholderData}>
                  <StudentScreen view={view} map={index} ladders={views} />
                </div>
              )}
            </Loaded>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

function StudentScreen({ view, map, ladders }: { view: ProgressView; map: MapIndex; ladders: LadderView[] }) {
  const readiness = useReadiness(view.student.id);
  const role = useSession().data?.role;
  const isHead = role === 'HEAD';
  const isCoach = role !== 'VIEWER';
  const [params, setParams] = useSearchParams();
  const tab =
    TABS.find((one) => one.value === params.get('tab') && (isCoach || !one.coaches))?.value ?? 'next';
  const game = useGame(view.student.id, isCoach && tab !== 'trail');
  const chains = useChains();
  const navigate = useNavigate();
  const [only, setOnly] = useState<string | null>(null);
  const { student } = view;
  const isLimited = limited(student, useToday());
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
        {rank && held && <Belt colours={rank.colours} stripes={held.stripes} of={rank.stripes} />}
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
        {isCoach && <Link to={`/rounds?by=${student.id}`}>Rounds</Link>}
        <Link to={`/people/${student.id}/sheet`}>Sheet</Link>
      </PageHead>
      <div className={classes.columns}>
        <Scroll label="Worked so far" className={classes.left}>
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
              <Link to={`/map?eyes=student:${student.id}`}>On the map</Link>
            </div>
          </div>
          <Syllabus view={view} map={map} ladders={ladders} />
        </Scroll>
        <Scroll label="What is next" className={classes.right}>
          <p className={classes.sinceBelow}>{standing}</p>
          <SegmentedControl
            fullWidth
            mb={14}
            aria-label="What to look at"
            value={tab}
            onChange={(value) => setParams({ tab: value }, { replace: true })}
            data={TABS.filter((one) => isCoach || !one.coaches)}
          />
          {tab === 'game' && <Loaded query={game}>{(shown) => <Game game={shown} map={map} />}</Loaded>}
          {tab === 'then' && (
            <Loaded query={game}>
              {(shown) => <Then game={shown} map={map} soil={view.soil as Record<string, Soil>} />}
            </Loaded>
          )}
          {tab === 'trail' && <Trail view={view} ladders={ladders} />}
          {tab === 'next' && (
            <>
              {isLimited && <Limits key={`limited-${student.id}`} student={student} />}
              {isCoach && <Brought key={`brought-${student.id}`} student={student} />}
              {isCoach && (
                <Loaded query={game}>
                  {(shown) => (
                    <Week
                      game={shown}
                      name={(subject) => subjectOf(subject, map, chains.data, ladders).name}
                      isTechnique={(subject) => map.technique.has(subject)}
                    />
                  )}
                </Loaded>
              )}
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
              {isCoach && <Asks key={`asks-${student.id}`} student={student} map={map} />}
              {!isLimited && <Limits key={`free-${student.id}`} student={student} />}
              {view.family.length > 0 && (
                <p>
                  Family:{' '}
                  {view.family.map((one, n) => (
                    <span key={one.id}>
                      {n > 0 && ', '}
                      <Link to={{ pathname: `/people/${one.id}`, search: `${params}` }}>{one.name}</Link>
                      {one.left && <span className="quiet"> left</span>}
                    </span>
                  ))}
                </p>
              )}
              {isHead && (
                <p className={classes.foot}>
                  <Leaving key={`leaving-${student.id}`} student={student} />
                  <Link to={`/people/${student.id}/data`}>Their data</Link>
                </p>
              )}
            </>
          )}
        </Scroll>
      </div>
    </>
  );
}
