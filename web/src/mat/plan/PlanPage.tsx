import { Button } from '@mantine/core';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { useMap } from '../../api/map';
import { useDrills, usePlan, useToday, useTracks } from '../../api/mat';
import type { TrainingClass } from '../../api/types';
import { NEW } from '../../form/fields';
import type { Opened } from '../../form/useDraft';
import { PageHead } from '../../frame/PageHead';
import { nth } from '../../ui/lists';
import { Scroll } from '../../ui/Scroll';
import { Empty, Loaded } from '../../ui/States';
import { date, time } from '../../ui/words';
import { PlanForm } from './PlanForm';
import classes from './PlanPage.module.css';

/** What a class is made of: planned by hand. */
export function PlanPage() {
  const { id = NEW } = useParams();
  const isNew = id === NEW;
  const [params] = useSearchParams();
  const besides = params.get('beside');
  const plan = usePlan(isNew ? besides : id);
  const tracks = useTracks();
  const now = useToday();
  if (!isNew) return <Loaded query={plan}>{(opened) => <Planned key={id} opened={opened} />}</Loaded>;
  if (besides) return <Loaded query={plan}>{({ value }) => <Beside key={besides} of={value} />}</Loaded>;
  return (
    <Loaded query={tracks}>
      {({ tracks: all }) =>
        all.length === 0 ? (
          <>
            <PageHead title="A class" />
            <Empty title="No track yet" steps={[{ label: 'Add the first track', to: '/house/tracks' }]}>
              A class belongs to a track, such as juniors or fundamentals.
            </Empty>
          </>
        ) : (
          <Planned opened={{ value: outside(nth(all, 0).id, params.get('on') ?? now), tag: null }} />
        )
      }
    </Loaded>
  );
}

/** A class outside any weekly time. */
const outside = (track: string, on: string): TrainingClass => ({
  id: `c-${crypto.randomUUID()}`,
  date: on,
  start: '18:00',
  minutes: 60,
  track,
  slot: null,
  term: null,
  group: null,
  coach: null,
  area: null,
  theme: null,
  blocks: [],
  cancelled: false,
  pinned: false,
  handOver: null,
  lanes: 0,
  fallsReason: null,
});

function Beside({ of }: { of: TrainingClass }) {
  const [opened] = useState(() => ({ value: beside(of), tag: null }));
  return <Planned opened={opened} isBeside />;
}

/** Another group on the same mat at the same time; its people are its own. */
const beside = (training: TrainingClass): TrainingClass => ({
  ...training,
  id: `c-${crypto.randomUUID()}`,
  slot: null,
  group: null,
  coach: null,
  handOver: null,
});

function Planned({ opened, isBeside = false }: { opened: Opened<TrainingClass>; isBeside?: boolean }) {
  const map = useMap();
  const tracks = useTracks();
  const drills = useDrills();
  const navigate = useNavigate();
  const [value] = useState(opened.value);
  const track = tracks.data?.tracks.find((t) => t.id === value.track)?.name;
  const toMat = () => navigate(`/mat/${value.id}`);
  return (
    <>
      <PageHead
        title={
          isBeside
            ? `${track ?? ''}: another group`
            : opened.tag === null
              ? 'A class outside the weekly times'
              : `${track ?? ''} plan`
        }
      >
        {opened.tag !== null && (
          <>
            <span className="quiet">
              {date(value.date)}, {time(value.start)}
            </span>
            <Button variant="default" component={Link} to={`/mat/${value.id}/sheet`}>
              Class sheet
            </Button>
            <Button variant="default" onClick={toMat}>
              To the mat
            </Button>
          </>
        )}
      </PageHead>
      <Scroll label="Plan" className={classes.body}>
        {opened.tag !== null && (
          <p className={classes.besides}>
            <Link to={`/mat/${NEW}/plan?beside=${value.id}`}>Another group beside it</Link>
            <Link to={`/mat/${value.id}/off`}>{value.cancelled ? 'Called off' : 'Call it off'}</Link>
          </p>
        )}
        <Loaded query={map}>
          {(index) => (
            <Loaded query={tracks}>
              {({ tracks: all }) => (
                <PlanForm
                  map={index}
                  tracks={all}
                  drills={drills.data ?? []}
                  opened={opened}
                  onDone={toMat}
                  onCancel={() => (opened.tag === null ? navigate('/mat/week') : toMat())}
                />
              )}
            </Loaded>
          )}
        </Loaded>
      </Scroll>
    </>
  );
}
