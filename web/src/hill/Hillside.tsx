import { useResizeObserver } from '@mantine/hooks';
import {
  type KeyboardEvent,
  useCallback,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import type { MapIndex } from '../api/map';
import type { DecisionTable, Stage } from '../api/types';
import { Folds } from './Folds';
import { Footpaths } from './Footpaths';
import classes from './Hillside.module.css';
import { Plot } from './Plot';
import type { Standing } from './paths';
import { Terraces } from './Terraces';
import { useHill } from './useHill';
import { countLinks, nearest, waysOf } from './ways';

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
  /** Opens the card of the best way's technique. */
  onCard?: (technique: string) => void;
  /** Width of the hill at rest, which decides its rows. */
  restWidth?: number;
  fontPx?: number;
  isSmall?: boolean;
};

/** The hillside: every position a plot at its control and stage; footpaths from the selected one. */
export function Hillside(props: Props) {
  const { map, selected, table, onSelect, signs, walk, onRoutes, onCard, restWidth } = props;
  const { fontPx = 13, isSmall = false } = props;
  const [ref, inside] = useResizeObserver();
  // Without the scroll bar, which the hook counts to the width.
  const width = inside.right - inside.left;
  const height = inside.bottom - inside.top;
  const plotRefs = useRef(new Map<string, HTMLButtonElement>());
  const chosen = selected && table?.position === selected ? table : undefined;
  const ways = useMemo(() => (chosen && !walk ? waysOf(chosen) : []), [chosen, walk]);
  const stepsAt = useMemo(() => stopsOf(walk), [walk]);
  const light = useMemo(() => {
    const lit = walk
      ? new Set(walk)
      : selected
        ? new Set([selected, map.counterpart(selected), ...ways.map((w) => w.to)])
        : null;
    const figures = walk
      ? new Map([...stepsAt].map(([id, steps]) => [id, `${BADGE}${steps}`]))
      : new Map(ways.map((way) => [way.to, '35\u00a0%']));
    return { lit, figures, fontPx };
  }, [selected, map, ways, walk, stepsAt, fontPx]);
  const hasSoil = signs?.soil !== undefined;
  const size = useMemo(
    () => ({ width, height, restWidth: restWidth ?? width, isSmall, hasSoil }),
    [width, height, restWidth, isSmall, hasSoil],
  );
  const [unfolded, setUnfolded] = useState<{ of: string | null; stage: Stage } | null>(null);
  const open =
    unfolded && unfolded.of === selected ? unfolded.stage : selected ? map.stageOf(selected) : null;
  const hill = useHill(map, size, light, open);
  const [choice, setChoice] = useState({ of: selected, way: 0 });
  const chosenWay = choice.of === selected ? choice.way : 0;
  const links = useMemo(() => countLinks(map), [map]);

  const keep = useCallback((id: string, element: HTMLButtonElement | null) => {
    if (element) plotRefs.current.set(id, element);
    else plotRefs.current.delete(id);
  }, []);
  const tap = useRef<(id: string) => void>(() => undefined);
  useLayoutEffect(() => {
    tap.current = (id) => onSelect(id === selected ? null : id);
  });
  const onTap = useCallback((id: string) => tap.current(id), []);
  const go = (id: string | undefined) => {
    if (!id) return;
    onSelect(id);
    plotRefs.current.get(id)?.focus();
  };
  const onKey = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const focused = (document.activeElement as HTMLElement)?.dataset.plot;
    const at = focused ? hill.plots.get(focused) : undefined;
    if (!focused || !at) return;
    const isArrow = event.key.startsWith('Arrow');
    if (isArrow && (event.shiftKey || ways.length === 0)) go(nearest(hill.rows, at, event.key));
    else if (event.key === 'ArrowRight') go(ways[chosenWay]?.to);
    else if (event.key === 'ArrowLeft') window.history.back();
    else if (isArrow) {
      const step = event.key === 'ArrowUp' ? -1 : 1;
      setChoice({ of: selected, way: (chosenWay + step + ways.length) % ways.length });
    } else if (event.key === 'x') go(map.counterpart(focused));
    else if (event.key === 'r' && selected) onRoutes?.();
    else if (event.key === 'c' && ways[chosenWay]) onCard?.(ways[chosenWay].technique);
    else if (event.key === 'Escape') onSelect(null);
    else return;
    event.preventDefault();
  };

  const wayTo = useMemo(() => new Map(ways.map((way) => [way.to, way])), [ways]);
  const mirror = selected ? map.counterpart(selected) : null;
  const shown = [...hill.plots.values()].filter((plot) => !signs?.hidden?.has(plot.id));
  const first = selected && hill.plots.has(selected) ? selected : firstOf(hill.rows, signs?.hidden);
  // Anybody who comes back to the hill, walks to a plot that was folded away or opens a terrace goes on from there.
  const isThere = selected !== null && hill.plots.has(selected);
  useEffect(() => {
    const nowhere = document.activeElement === document.body || document.activeElement === null;
    if ((isThere || unfolded) && first && nowhere)
      plotRefs.current.get(first)?.focus({ preventScroll: true });
  }, [isThere, unfolded, first]);
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
          <Footpaths {...{ hill, width, ways, chosenWay, walk }} from={selected} />
          {hill.isFolding && (
            <Folds
              terraces={hill.terraces}
              width={width}
              onUnfold={(stage) => setUnfolded({ of: selected, stage })}
              onFold={selected === null ? () => setUnfolded(null) : undefined}
            />
          )}
          {shown.map((plot) => (
            <Plot
              key={plot.id}
              id={plot.id}
              name={map.position.get(plot.id)?.name ?? plot.id}
              control={map.position.get(plot.id)?.control ?? 0}
              stands={plot}
              fontPx={fontPx}
              isPeg={hill.pegged.has(plot.id)}
              isSelected={plot.id === selected}
              isMirror={plot.id === mirror && plot.id !== selected && !walk}
              isTabStop={plot.id === first}
              way={wayTo.get(plot.id)}
              isNext={ways[chosenWay]?.to === plot.id}
              steps={stepsAt.get(plot.id) ?? ''}
              soil={signs?.soil?.[plot.id]}
              worst={signs?.worst?.[plot.id]}
              ticks={
                selected === null && !isSmall && !walk
                  ? { into: links.into.get(plot.id) ?? 0, from: links.from.get(plot.id) ?? 0 }
                  : undefined
              }
              onTap={onTap}
              keep={keep}
            />
          ))}
        </div>
      )}
    </div>
  );
}

/** As wide as the round ends of the badge around a stop's number. */
const BADGE = '000';

/** Which stops of a walk each plot is, the start left out. */
function stopsOf(walk: string[] | undefined): Map<string, string> {
  const stops = new Map<string, string>();
  walk?.forEach((stop, i) => {
    if (i > 0) stops.set(stop, stops.has(stop) ? `${stops.get(stop)}, ${i}` : String(i));
  });
  return stops;
}

const firstOf = (rows: Standing[][], hidden?: Set<string>) =>
  rows.flat().find((plot) => !hidden?.has(plot.id))?.id;
