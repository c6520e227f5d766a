import type { MapIndex } from '../api/map';
import type { Stage } from '../api/types';
import type { Signs } from '../hill/Hillside';
import hill from '../hill/Hillside.module.css';
import { Stone } from '../ui/Stone';
import { plain, STAGES, signed } from '../ui/words';
import classes from './HillList.module.css';

type Props = { map: MapIndex; signs?: Signs; onSelect: (position: string) => void };

/** The hillside where there is no room for one: each terrace a list, from who is led to who leads. */
export function HillList({ map, signs, onSelect }: Props) {
  const plots = [...map.position.values()]
    .filter((p) => !p.retired && !signs?.hidden?.has(p.id))
    .sort((a, b) => a.control - b.control || a.name.localeCompare(b.name));
  return (
    <div className={classes.list}>
      {STAGES.map((stage: Stage, i) => (
        <section
          key={stage}
          aria-label={plain(stage)}
          style={{ background: `var(--terrace-${i})` }}
          className={classes.terrace}
        >
          <h2>{plain(stage)}</h2>
          <ul>
            {plots
              .filter((p) => map.stageOf(p.id) === stage)
              .map((p) => {
                const soil = signs?.soil?.[p.id];
                const worst = signs?.worst?.[p.id];
                return (
                  <li key={p.id}>
                    <button type="button" data-plot={p.id} onClick={() => onSelect(p.id)}>
                      {soil && <span className={`${hill.band} ${hill[soil.toLowerCase()]}`} />}
                      <span>{p.name}</span>
                      {worst && <Stone severity={worst} size={16} />}
                      <span className="quiet">{signed(p.control)}</span>
                    </button>
                  </li>
                );
              })}
          </ul>
        </section>
      ))}
    </div>
  );
}
