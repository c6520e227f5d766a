import { useElementSize } from '@mantine/hooks';
import { type KeyboardEvent, useMemo, useRef, useState } from 'react';
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
  /** Positions of a route in order, drawn as numbered footpaths instead of the ways out. */
  walk?: string[];
  onRoutes?: () => void;
  /** Width of the hill at rest, which decides its rows. */
  restWidth?: number;
  fontPx?: number;
  isSmall?: boolean;
};

export type Way = { to: string; theirs: boolean; chance: number };

/** Ways out of the selected plot, one a target, best first, at most eight. */
export function waysOf(table: DecisionTable): Way[] {
  return allWaysOf(table).slice(0, MOST_WAYS);
}

const MOST_WAYS = 8;

/** How many ways the hill leaves out because it shows only the best. */
export const waysLeftOut = (table: DecisionTable) => Math.max(0, allWaysOf(table).length - MOST_WAYS);

function allWaysOf(table: DecisionTable): Way[] {
  const ways = new Map<string, Way>();
  const add = (to: string | null, chance: number, theirs: boolean) => {
    if (to && to !== table.position && !ways.has(to)) ways.set(to, { to, theirs, chance });
  };
  for (const row of [...table.own, ...table.answers.flatMap((a) => a.rows)].sort(
    (a, b) => b.chance.estimate - a.chance.estimate,
  )) {
    add(row.lands, row.chance.estimate, false);
  }
  for (const row of table.theirs) add(row.lands, row.chance.estimate, true);
  return [...ways.values()];
}

/** The hillside: every position a plot at its control and stage; footpaths from the selected one. */
export function Hillside({
  map,
  selected,
  table,
  onSelect,
  signs,
  walk,
  onRoutes,
  restWidth,
  fontPx = 13,
  isSmall = false,
}: Props) {
  const { ref, width, height } = useElementSize();
  const plotRefs = useRef(new Map<string, HTMLButtonElement>());
  const chosen = selected && table?.position === selected ? table : undefined;
  const ways = useMemo(() => (chosen && !walk ? waysOf(chosen) : []), [chosen, walk]);
  const lit = useMemo(
    () =>
      walk
        ? new Set(walk)
        : selected
          ? new Set([selected, map.counterpart(selected), ...ways.map((w) => w.to)])
          : null,
    [selected, map, ways, walk],
  );
  const figures = useMemo(() => new Set(walk ? walk.slice(1) : ways.map((w) => w.to)), [ways, walk]);
  const hasSoil = signs?.soil !== undefined;
  const size = useMemo(
    () => ({ width, height, restWidth: restWidth ?? width, isSmall, hasSoil }),
    [width, height, restWidth, isSmall, hasSoil],
  );
  const hill = useHill(map, size, lit, figures, fontPx);
  const from = selected ? hill.plots.get(selected) : undefined;
  const [choice, setChoice] = useState({ of: selected, way: 0 });
  const chosenWay = choice.of === selected ? choice.way : 0;
  const links = useMemo(() => countLinks(map), [map]);

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
    const isArrow = event.key.startsWith('Arrow');
    if (isArrow && (event.shiftKey || ways.length === 0)) go(nearest(hill.rows, at, event.key));
    else if (event.key === 'ArrowRight') go(ways[chosenWay]?.to);
    else if (event.key === 'ArrowLeft') window.history.back();
    else if (isArrow) {
      const step = event.key === 'ArrowUp' ? -1 : 1;
      setChoice({ of: selected, way: (chosenWay + step + ways.length) % ways.length });
    } else if (event.key === 'x') go(map.counterpart(focused));
    else if (event.key === 'r' && selected) onRoutes?.();
    else if (event.key === 'Escape') onSelect(null);
    else return;
    event.preventDefault();
  };

  const first = selected ?? hill.rows[0]?.[0]?.id;
  return (
    // biome-ignore lint/a11y/useSemanticElements: a group of plots that share one tab stop
    <div ref={ref} className={classes.hill} role="group" aria-label="Hillside" onKeyDown={onKey}>
      {width > 0 && (
        <div className={classes.ground} style={{ height: hill.height }}>
          <Terraces terraces={hill.terraces} width={width} height={hill.height} />
          <div className={classes.scale} aria-hidden="true">
            <span>← they lead</span>
            <span>even</span>
            <span>we lead →</span>
          </div>
          <svg className={classes.paths} width={width} height={hill.height} aria-hidden="true">
            {walk?.slice(1).map((stop, i) => {
              const a = hill.plots.get(walk[i]);
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
            {from &&
              [...ways].reverse().map((way) => {
                const to = hill.plots.get(way.to);
                const lane = ways.indexOf(way);
                return to ? (
                  <path
                    key={way.to}
                    d={footpath(from, to, hill.rows, width, lane)}
                    className={`${way.theirs ? classes.theirPath : classes.ourPath} ${lane === chosenWay ? classes.chosenPath : ''}`}
                  />
                ) : null;
              })}
          </svg>
          {[...hill.plots.values()].map((plot) => {
            const position = map.position.get(plot.id);
            const way = ways.find((w) => w.to === plot.id);
            const steps = walk?.flatMap((stop, i) => (i > 0 && stop === plot.id ? [i] : [])) ?? [];
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
                data-next={(way && way === ways[chosenWay]) || undefined}
                tabIndex={plot.id === first ? 0 : -1}
                aria-pressed={plot.id === selected}
                aria-label={isPeg ? `${position.name}, control ${signed(position.control)}` : undefined}
                title={isPeg ? position.name : undefined}
                className={[
                  classes.plot,
                  isPeg && classes.peg,
                  plot.id === selected && classes.selected,
                  way && (way.theirs ? classes.theirs : classes.ours),
                  isMirror && !walk && classes.mirror,
                  steps.length > 0 && plot.id !== selected && classes.ours,
                  way && way === ways[chosenWay] && classes.next,
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
                    {steps.length > 0 && <span className={classes.stepNumber}>{steps.join(', ')}</span>}
                  </span>
                )}
                {selected === null && !isSmall && (
                  <>
                    <span className={classes.waysIn} style={{ width: 4 * (links.into.get(plot.id) ?? 0) }} />
                    <span className={classes.waysOut} style={{ width: 4 * (links.from.get(plot.id) ?? 0) }} />
                  </>
                )}
                {worst && (
                  <span className={classes.corner}>
                    <Stone severity={worst} size={16} />
                  </span>
                )}
              </button>
            );
          })}
        </div>
      )}
    </div>
  );
}

/** How many links lead into and out of each position, at most eight of each: the ticks on its edges. */
function countLinks(map: MapIndex) {
  const from = new Map<string, number>();
  const into = new Map<string, number>();
  const add = (to: Map<string, number>, id: string) => to.set(id, Math.min(8, (to.get(id) ?? 0) + 1));
  for (const link of map.data.links) {
    if (link.retired) continue;
    add(from, link.from);
    if (link.to !== 'TAP') add(into, link.to);
  }
  return { from, into };
}

/** The nearest plot in the direction of an arrow. */
function nearest(rows: Standing[][], at: Standing, key: string): string | undefined {
  if (key === 'ArrowUp' || key === 'ArrowDown') {
    const row = rows[at.row + (key === 'ArrowUp' ? -1 : 1)];
    return row?.reduce((best, plot) => (Math.abs(plot.x - at.x) < Math.abs(best.x - at.x) ? plot : best)).id;
  }
  const row = rows[at.row];
  return row[row.findIndex((plot) => plot.id === at.id) + (key === 'ArrowLeft' ? -1 : 1)]?.id;
}
