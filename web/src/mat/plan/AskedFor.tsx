import type { MapIndex } from '../../api/map';
import { useAsks } from '../../api/people';
import { Line } from '../../people/student/Asks';
import classes from '../../people/student/Asks.module.css';
import { count } from '../../ui/words';

/** What people of a track asked to work on and no class has taken up yet. */
export function AskedFor({ track, map }: { track: string; map: MapIndex }) {
  const asks = useAsks({ track });
  if (!asks.data?.length) return null;
  return (
    <details open>
      <summary>{count(asks.data.length, 'thing', 'things')} asked for on this track</summary>
      <ul className={classes.asks}>
        {asks.data.map((view) => (
          <Line key={view.ask.id} view={view} map={map} isNamed />
        ))}
      </ul>
    </details>
  );
}
