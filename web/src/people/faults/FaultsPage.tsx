import { SegmentedControl, Select } from '@mantine/core';
import { Link, useSearchParams } from 'react-router';
import { useLadders } from '../../api/ladders';
import { type MapIndex, useMap } from '../../api/map';
import { useDrills, useToday, useTracks } from '../../api/mat';
import { useFaults } from '../../api/people';
import type { DrillShape, FaultSeen, FaultsSeen, LadderView, Track } from '../../api/types';
import { PageHead } from '../../frame/PageHead';
import { rankOptions } from '../../rank/ladders';
import { PrintFoot } from '../../ui/PrintFoot';
import { Scroll } from '../../ui/Scroll';
import { Loaded } from '../../ui/States';
import { count, daysBefore } from '../../ui/words';
import classes from './FaultsPage.module.css';

const SPANS = [
  { value: '30', label: 'Month' },
  { value: '91', label: 'Three months' },
  { value: '365', label: 'Year' },
];

/** Faults of the month: what many show, so that it is corrected once for all of them. */
export function FaultsPage() {
  const map = useMap();
  const ladders = useLadders();
  const tracks = useTracks();
  return (
    <>
      <PageHead title="Faults">
        <Link to="/people">People</Link>
      </PageHead>
      <Loaded query={map}>
        {(index) => (
          <Loaded query={ladders}>
            {(views) => (
              <Loaded query={tracks}>
                {(all) => <Board map={index} views={views} tracks={all.tracks} />}
              </Loaded>
            )}
          </Loaded>
        )}
      </Loaded>
    </>
  );
}

function Board({ map, views, tracks }: { map: MapIndex; views: LadderView[]; tracks: Track[] }) {
  const [params, setParams] = useSearchParams();
  const today = useToday();
  const days = SPANS.find((one) => one.value === params.get('days'))?.value ?? '30';
  const track = params.get('track');
  const rank = params.get('rank');
  const faults = useFaults(daysBefore(today, Number(days) - 1), today, track, rank);
  const set = (key: string, value: string | null) =>
    setParams(
      (before) => {
        if (value) before.set(key, value);
        else before.delete(key);
        return before;
      },
      { replace: true },
    );
  return (
    <Scroll label="Faults" className={classes.body}>
      <div className={classes.bar} data-no-print>
        <SegmentedControl
          aria-label="How far back"
          data={SPANS}
          value={days}
          onChange={(value) => set('days', value)}
        />
        <Select
          aria-label="Track"
          placeholder="Any track"
          clearable
          w={170}
          data={tracks.map((one) => ({ value: one.id, label: one.name }))}
          value={track}
          onChange={(value) => set('track', value)}
        />
        <Select
          aria-label="Rank"
          placeholder="Any rank"
          clearable
          w={190}
          data={rankOptions(views, (ladder, one) => `${ladder.id}/${one.id}`)}
          value={rank}
          onChange={(value) => set('rank', value)}
        />
      </div>
      <Loaded query={faults}>{(seen) => <Faults seen={seen} map={map} />}</Loaded>
      <PrintFoot />
    </Scroll>
  );
}

function Faults({ seen, map }: { seen: FaultsSeen; map: MapIndex }) {
  const drills = useDrills();
  const byTechnique = new Map<string, FaultSeen[]>();
  for (const one of seen.seen)
    byTechnique.set(one.technique, [...(byTechnique.get(one.technique) ?? []), one]);
  if (byTechnique.size === 0)
    return (
      <p>
        No fault was marked in these days
        {seen.marked > 0 ? `, though ${count(seen.marked, 'person was', 'people were')} judged` : ''}. Faults
        are ticked with “Not yet”, at the mat or on a student’s page.
      </p>
    );
  return (
    <>
      <p className="quiet">
        {count(seen.marked, 'person was', 'people were')} judged in these days. What most of them show comes
        first.
      </p>
      {[...byTechnique].map(([id, faults]) => (
        <section key={id} className={classes.technique} aria-label={map.technique.get(id)?.name ?? id}>
          <h2>
            <Link to={`/map/techniques/${id}`}>{map.technique.get(id)?.name ?? id}</Link>
          </h2>
          {faults.map((fault) => (
            <Fault key={fault.fault} seen={fault} map={map} marked={seen.marked} />
          ))}
          <Cures drills={(drills.data ?? []).filter((drill) => drill.technique === id)} />
        </section>
      ))}
    </>
  );
}

function Fault({ seen, map, marked }: { seen: FaultSeen; map: MapIndex; marked: number }) {
  const card = map.technique.get(seen.technique)?.faults.find((one) => one.id === seen.fault);
  const more = seen.who.length - seen.before;
  return (
    <article className={classes.fault}>
      <div className={classes.count}>
        <strong>{seen.who.length}</strong>
        <span className={classes.share} aria-hidden="true">
          <span style={{ width: `${(100 * seen.who.length) / Math.max(marked, 1)}%` }} />
        </span>
        <span className="quiet">
          {seen.room > 0 && (
            <>
              {seen.room} in the room
              <br />
            </>
          )}
          {seen.before === 0 ? 'nobody before' : more === 0 ? 'as many as before' : `${seen.before} before`}
        </span>
      </div>
      <div>
        <h3>{card?.see ?? seen.fault}</h3>
        {card && (
          <p>
            <span className="quiet">because</span> {card.because} <span className="quiet">→</span>{' '}
            <strong>{card.fix}</strong>
          </p>
        )}
        {card?.canHurt && (
          <p className={classes.hurts}>This can hurt somebody: correct it before the next repetition.</p>
        )}
        <p className={classes.who}>
          {seen.who.map((one, n) => (
            <span key={one.id}>
              {n > 0 && ', '}
              <Link to={`/people/${one.id}`}>{one.name}</Link>
              {one.marks > 1 && <span className="quiet"> {one.marks} times</span>}
            </span>
          ))}
        </p>
      </div>
    </article>
  );
}

/** The ways of drilling it that the club keeps, parts before the whole. */
function Cures({ drills }: { drills: DrillShape[] }) {
  if (drills.length === 0) return null;
  const parts = [...drills].sort((a, b) => Number(a.kind !== 'PART_DRILL') - Number(b.kind !== 'PART_DRILL'));
  return (
    <p className={classes.cures}>
      <span className="quiet">To drill: </span>
      {parts.map((drill, n) => (
        <span key={drill.id}>
          {n > 0 && ' · '}
          <strong>{drill.name}</strong>
          <span className="quiet">
            {drill.fromStep > 0 && ` steps ${drill.fromStep} to ${drill.toStep},`} {drill.minutes} min
            {drill.watch && `; watch: ${drill.watch}`}
          </span>
        </span>
      ))}
    </p>
  );
}
