import { nth } from '../ui/lists';
import classes from './Hillside.module.css';
import type { Hill } from './lay';
import { footpath } from './paths';
import type { Way } from './ways';

type Props = {
  hill: Hill;
  width: number;
  /** The selected plot; null: none. */
  from: string | null;
  ways: Way[];
  chosenWay: number;
  walk?: string[];
};

/** The lines on the hill: the ways out of the selected plot, or the stops of a walk one after the other. */
export function Footpaths({ hill, width, from, ways, chosenWay, walk }: Props) {
  const start = from ? hill.plots.get(from) : undefined;
  return (
    <svg className={classes.paths} width={width} height={hill.height} aria-hidden="true">
      {walk?.slice(1).map((stop, i) => {
        const a = hill.plots.get(nth(walk, i));
        const b = hill.plots.get(stop);
        return a && b && a !== b ? (
          <path
            // biome-ignore lint/suspicious/noArrayIndexKey: a walk may pass the same plots twice
            key={i}
            d={footpath(a, b, hill.rows, width, i)}
            className={`${classes.ourPath} ${classes.chosenPath}`}
          />
        ) : null;
      })}
      {start &&
        [...ways].reverse().map((way) => {
          const to = hill.plots.get(way.to);
          const lane = ways.indexOf(way);
          return to ? (
            <path
              key={way.to}
              d={footpath(start, to, hill.rows, width, lane)}
              className={`${way.theirs ? classes.theirPath : classes.ourPath} ${lane === chosenWay ? classes.chosenPath : ''}`}
            />
          ) : null;
        })}
    </svg>
  );
}
