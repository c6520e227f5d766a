import { useQueryClient } from '@tanstack/react-query';
import { Navigate, useNavigate, useParams } from 'react-router';
import { read } from '../api/client';
import { useSession } from '../api/club';
import { useLadders } from '../api/ladders';
import { type MapIndex, useMap } from '../api/map';
import { useTracks } from '../api/mat';
import type { LadderView, Track } from '../api/types';
import { NEW } from '../form/fields';
import { PageHead } from '../frame/PageHead';
import { Scroll } from '../ui/Scroll';
import { Failed, Loaded } from '../ui/States';
import { LadderForm } from './LadderForm';
import classes from './LadderPage.module.css';

/** A ladder made or changed by hand, by a head coach; everybody else sees it as it is. */
export function LadderPage() {
  const session = useSession();
  const { ladder = NEW } = useParams();
  const ladders = useLadders();
  const tracks = useTracks();
  const map = useMap();
  if (session.data && session.data.role !== 'HEAD')
    return <Navigate to={`/ranks?ladder=${ladder}`} replace />;
  return (
    <Loaded query={ladders}>
      {(views) => (
        <Loaded query={tracks}>
          {({ tracks: all }) => (
            <Loaded query={map}>{(index) => <Opened views={views} tracks={all} map={index} />}</Loaded>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

function Opened({ views, tracks, map }: { views: LadderView[]; tracks: Track[]; map: MapIndex }) {
  const { ladder = NEW } = useParams();
  const navigate = useNavigate();
  const client = useQueryClient();
  const view = views.find((one) => one.ladder.id === ladder) ?? null;
  if (!view && ladder !== NEW)
    return (
      <Failed
        error={new Error('There is no such ladder.')}
        retry={() => client.invalidateQueries({ queryKey: ['ladders'] })}
      />
    );
  return (
    <>
      <PageHead title={view ? view.ladder.name : 'A new ladder'} />
      <Scroll label="The ladder" className={classes.body}>
        <LadderForm
          key={ladder}
          ladder={view?.ladder ?? null}
          tag={view?.tag ?? null}
          all={views.map((one) => one.ladder)}
          tracks={tracks}
          rulesets={map.data.rulesets}
          current={async () => {
            const now = await read(`/ladders/${ladder}`);
            return { value: now.ladder, tag: now.tag };
          }}
          onDone={(kept) => navigate(kept ? `/ranks?ladder=${kept.id}` : '/ranks')}
          onCancel={() => navigate(view ? `/ranks?ladder=${ladder}` : '/ranks')}
        />
      </Scroll>
    </>
  );
}
