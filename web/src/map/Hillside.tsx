import { useElementSize } from '@mantine/hooks';
import { type KeyboardEvent, useMemo, useRef } from 'react';
import type { MapIndex } from '../api/queries';
import type { DecisionTable } from '../api/types';
import { Stone } from '../ui/Stone';
import { percent, signed } from '../ui/words';
import classes from './Hillside.module.css';
import { footpath, type Standing } from './paths';
import { Terraces } from './Terraces';
import { useHill } from './useHill';

/** What a lens shows on a plot: a pattern of soil at its left edge, and the worst finding as a stone. */
export type Signs = { soil?: Record<string, string>; worst?: Record<string, number>; hidden?: Set<string> };

type Props = {
  map: MapIndex;
  selected: string | null;
  table?: DecisionTable;
  onSelect: (position: string | null) => void;
  signs?: Signs;
  /** Width of the hill at rest, which decides its rows. */
  restWidth?: number;
  fontPx?: number;
  isSmall?: boolean;
};

export type Way = { to: string; theirs: boolean; chance: number; taps: boolean };

/** Ways out of the selected plot, one a target, best first, at most eight. */
export function waysOf(table: DecisionTable): Way[] {
  const ways = new Map<string, Way>();
  const add = (to: string | null, chance: number, theirs: boolean) => {
    if (to && to !== table.position && !ways.has(to)) ways.set(to, { to, theirs, chance, taps: false });
  };
  for (const row of [...table.own, ...table.answers.flatMap((a) => a.rows)].sort(
    (a, b) => b.chance - a.chance,
  )) {
    add(row.lands, row.chance, false);
  }
  for (const row of table.theirs) add(row.lands, row.chance, true);
  return [...ways.values()].slice(0, 8);
}

/** The hillside: every position a plot at its control and stage; footpaths from the selected one. */
export function Hillside({
  map,
  selected,
  table,
  onSelect,
  signs,
  restWidth,
  fontPx = 13.5,
  isSmall = false,
}: Props) {
  const { ref, width, height } = useElementSize();
  const plotRefs = useRef(new Map<string, HTMLButtonElement>());
  const chosen = selected && table?.position === selected ? table : undefined;
  const ways = useMemo(() => (chosen ? waysOf(chosen) : []), [chosen]);
  const lit = useMemo(
    () => (selected ? new Set([selected, map.counterpart(selected), ...ways.map((w) => w.to)]) : null),
    [selected, map, ways],
  );
  const figures = useMemo(() => new Set(ways.map((w) => w.to)), [ways]);
  const size = useMemo(
    () => ({ width, height, restWidth: restWidth ?? width, isSmall }),
    [width, height, restWidth, isSmall],
  );
  const hill = useHill(map, size, lit, figures, fontPx);
  const from = selected ? hill.plots.get(selected) : undefined;

  const go = (id: string | undefined) => {
    if (!id) return;
    onSelect(id);
    plotRefs.current.get(id)?.focus();
  };

  const onKey = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const focused = (document.activeElement as HTMLElement)?.dataset.plot;
    if (!focused) return;
    const at = hill.plots.get(focused) as Standing;
    if (event.key === 'ArrowRight' && ways[0]) go(ways[0].to);
    else if (event.key === 'ArrowLeft') window.history.back();
    else if (event.key.startsWith('Arrow')) go(nearest(hill.rows, at, event.key, ways));
    else if (event.key === 'x') go(map.counterpart(focused));
    else if (event.key === 'Escape') onSelect(null);
    else return;
    event.preventDefault();
  };

  const first = selected ?? hill.rows[0]?.[0]?.id;
  return (
    // biome-ignore lint/a11y/useSemanticElements: a group of plots that share one tab stop
    <div ref={ref} className={classes.hill} role="group" aria-label="Hillside" onKeyDown={onKey}>
      {width > 0 && (
        <>
          <Terraces terraces={hill.terraces} width={width} height={height} />
          <div className={classes.scale} aria-hidden="true">
            <span>← they lead</span>
            <span>even</span>
            <span>we lead →</span>
          </div>
          <svg className={classes.paths} width={width} height={height} aria-hidden="true">
            {from &&
              [...ways].reverse().map((way) => {
                const to = hill.plots.get(way.to);
                const lane = ways.indexOf(way);
                return to ? (
                  <path
                    key={way.to}
                    d={footpath(from, to, hill.rows, width, lane)}
                    className={way.theirs ? classes.theirPath : classes.ourPath}
                  />
                ) : null;
              })}
          </svg>
          {[...hill.plots.values()].map((plot) => {
            const position = map.position.get(plot.id);
            const way = ways.find((w) => w.to === plot.id);
            const isPeg = hill.pegged.has(plot.id);
            const soil = signs?.soil?.[plot.id];
            const worst = signs?.worst?.[plot.id];
            const isMirror = selected !== null && map.counterpart(selected) === plot.id;
            if (!position || signs?.hidden?.has(plot.id)) return null;
            return (
              <button
                key={plot.id}
                type="button"
                ref={(element) => {
                  if (element) plotRefs.current.set(plot.id, element);
                  else plotRefs.current.delete(plot.id);
                }}
                data-plot={plot.id}
                data-control={position.control}
                tabIndex={plot.id === first ? 0 : -1}
                aria-pressed={plot.id === selected}
                aria-label={isPeg ? `${position.name}, control ${signed(position.control)}` : undefined}
                title={isPeg ? position.name : undefined}
                className={[
                  classes.plot,
                  isPeg && classes.peg,
                  plot.id === selected && classes.selected,
                  way && (way.theirs ? classes.theirs : classes.ours),
                  isMirror && classes.mirror,
                ]
                  .filter(Boolean)
                  .join(' ')}
                style={{
                  left: plot.left,
                  top: plot.top,
                  width: plot.right - plot.left,
                  height: plot.bottom - plot.top,
                  fontSize: fontPx,
                }}
                onClick={() => onSelect(plot.id === selected ? null : plot.id)}
              >
                {soil && <span className={`${classes.band} ${classes[soil.toLowerCase()]}`} />}
                {!isPeg && (
                  <span>
                    {position.name}
                    <span className="unseen">, control {signed(position.control)}</span>
                    {way && <span className={classes.chance}>{percent(way.chance)}</span>}
                  </span>
                )}
                {worst && (
                  <span className={classes.corner}>
                    <Stone severity={worst} size={16} />
                  </span>
                )}
              </button>
            );
          })}
        </>
      )}
    </div>
  );
}

/** ↑↓ choose among the paths; where there are none, the nearest plot in that direction. */
function nearest(rows: Standing[][], at: Standing, key: string, ways: Way[]): string | undefined {
  const step = key === 'ArrowUp' ? -1 : 1;
  if (key === 'ArrowUp' || key === 'ArrowDown') {
    const row = rows[at.row + step];
    const inReach = row?.filter((plot) => ways.some((way) => way.to === plot.id));
    const from = inReach?.length ? inReach : row;
    return from?.reduce((best, plot) => (Math.abs(plot.x - at.x) < Math.abs(best.x - at.x) ? plot : best)).id;
  }
  const row = rows[at.row];
  return row[row.findIndex((plot) => plot.id === at.id) + step]?.id;
}
