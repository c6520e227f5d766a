import { memo } from 'react';
import { Stone } from '../ui/Stone';
import { percent, signed } from '../ui/words';
import classes from './Hillside.module.css';
import type { Standing } from './paths';
import type { Way } from './ways';

export type PlotProps = {
  id: string;
  name: string;
  control: number;
  stands: Standing;
  fontPx: number;
  isPeg: boolean;
  isSelected: boolean;
  isMirror: boolean;
  isTabStop: boolean;
  way?: Way;
  /** Whether the arrow to the right goes here. */
  isNext: boolean;
  /** Which stops of the walk this is, "2" or "1, 4"; empty for none. */
  steps: string;
  soil?: string;
  worst?: number;
  /** Ticks on the edges while nothing is selected. */
  ticks?: { into: number; from: number };
  onTap: (id: string) => void;
  keep: (id: string, element: HTMLButtonElement | null) => void;
};

const sameStanding = (a: Standing, b: Standing) =>
  a.left === b.left && a.right === b.right && a.top === b.top && a.bottom === b.bottom;

/** Repaints only what has changed: on a large hill a selection touches few of the plots. */
function isSame(a: PlotProps, b: PlotProps): boolean {
  return (Object.keys(b) as (keyof PlotProps)[]).every((key) => {
    if (key === 'stands') return sameStanding(a.stands, b.stands);
    if (key === 'ticks') return a.ticks?.into === b.ticks?.into && a.ticks?.from === b.ticks?.from;
    return a[key] === b[key];
  });
}

/** A position as a flat-bottomed plot, or as a peg where it is not lit. */
export const Plot = memo(function Plot(props: PlotProps) {
  const { id, name, control, stands, fontPx, isPeg, isSelected, isMirror, isTabStop, way, isNext } = props;
  const { steps, soil, worst, ticks, onTap, keep } = props;
  return (
    <button
      type="button"
      ref={(element) => keep(id, element)}
      data-plot={id}
      data-control={control}
      data-next={isNext || undefined}
      tabIndex={isTabStop ? 0 : -1}
      aria-pressed={isSelected}
      aria-label={isPeg ? `${name}, control ${signed(control)}` : undefined}
      title={isPeg ? name : undefined}
      className={[
        classes.plot,
        isPeg && classes.peg,
        isSelected && classes.selected,
        way && (way.theirs ? classes.theirs : classes.ours),
        isMirror && classes.mirror,
        steps && !isSelected && classes.ours,
        isNext && classes.next,
      ]
        .filter(Boolean)
        .join(' ')}
      style={{
        left: stands.left,
        top: stands.top,
        width: stands.right - stands.left,
        height: stands.bottom - stands.top,
        fontSize: fontPx,
      }}
      onClick={() => onTap(id)}
    >
      {soil && <span className={`${classes.band} ${classes[soil.toLowerCase()]}`} />}
      {!isPeg && (
        <span>
          {name}
          <span className="unseen">, control {signed(control)}</span>
          {way && <span className={classes.chance}>{percent(way.chance)}</span>}
          {steps && <span className={classes.stepNumber}>{steps}</span>}
        </span>
      )}
      {ticks && (
        <>
          <span className={classes.waysIn} style={{ width: 4 * ticks.into }} />
          <span className={classes.waysOut} style={{ width: 4 * ticks.from }} />
        </>
      )}
      {worst && (
        <span className={classes.corner}>
          <Stone severity={worst} size={16} />
        </span>
      )}
    </button>
  );
}, isSame);
