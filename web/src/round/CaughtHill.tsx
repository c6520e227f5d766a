import { useMemo, useState } from 'react';
import type { MapIndex } from '../api/map';
import type { LeaksView } from '../api/types';
import { Hillside } from '../hill/Hillside';
import { hiddenBy, Legend } from '../hill/Legend';
import legend from '../hill/Legend.module.css';
import { caughtSoil } from '../hill/soil';
import classes from './Round.module.css';

/** From where members are caught, on the hill; the list beside it says the same in words. */
export function CaughtHill({
  map,
  view,
  onSelect,
}: {
  map: MapIndex;
  view: LeaksView;
  onSelect: (position: string) => void;
}) {
  const [only, setOnly] = useState<string | null>(null);
  const soil = useMemo(
    () => caughtSoil(map, new Map(view.leaks.map(({ leak }) => [leak.position, leak.times]))),
    [map, view],
  );
  return (
    <div className={classes.hillside} data-no-print>
      <div className={classes.hill}>
        <Hillside
          map={map}
          selected={null}
          onSelect={(at) => at && onSelect(at)}
          signs={{ soil, hidden: hiddenBy(only, Object.keys(soil), soil) }}
          restWidth={1176}
          isSmall
        />
      </div>
      <div className={legend.bar}>
        <Legend soil={soil} only={only} onOnly={setOnly} />
      </div>
    </div>
  );
}
