import type { Stage } from '../api/types';
import { nth } from '../ui/lists';

/** Half a grade of control: no plot stands further from its own. */
export const HALF_A_GRADE = 0.5;
/** Air between two plots of a row, in pixels. */
export const AIR = 8;

/** Air to the edge of the hill. */
export const EDGE = 8;

/** One plot to place; `mirror` is the id of its counterpart, which stands in the same row. */
export type PlotToPlace = { id: string; mirror: string; stage: Stage; control: number; width: number };

export type Row = { stage: Stage; plots: PlotToPlace[] };

/** Where a control stands on a hill of this width, in pixels from the left. */
export function across(control: number, width: number, margin: number): number {
  return margin + ((control + 3) / 6) * (width - 2 * margin);
}

type Bounds = { target: number; low: number; high: number; half: number };

function bounds(plots: PlotToPlace[], width: number, margin: number): Bounds[] {
  const drift = (HALF_A_GRADE / 6) * (width - 2 * margin);
  return plots.map((plot) => {
    const target = across(plot.control, width, margin);
    const half = plot.width / 2;
    return {
      target,
      half,
      low: Math.max(target - drift, half + EDGE),
      high: Math.min(target + drift, width - half - EDGE),
    };
  });
}

const apart = (a: Bounds, b: Bounds) => a.half + b.half + AIR;

/** Earliest-fit pass: whether these plots, in order of control, can stand in one row. */
export function fits(plots: PlotToPlace[], width: number, margin: number): boolean {
  const row = bounds(sorted(plots), width, margin);
  let x = Number.NEGATIVE_INFINITY;
  for (let i = 0; i < row.length; i++) {
    x = Math.max(nth(row, i).low, i > 0 ? x + apart(nth(row, i - 1), nth(row, i)) : x);
    if (x > nth(row, i).high) return false;
  }
  return true;
}

const sorted = (plots: PlotToPlace[]) =>
  [...plots].sort((a, b) => a.control - b.control || a.id.localeCompare(b.id));

type Order = (a: PlotToPlace[], b: PlotToPlace[]) => number;

const widest = (pair: PlotToPlace[]) => pair.reduce((sum, plot) => sum + plot.width, 0);

/** Orders in which pairs are tried; the one that needs the fewest rows wins, the first of them on a draw. */
const ORDERS: Order[] = [
  (a, b) => Math.abs(nth(b, 0).control) - Math.abs(nth(a, 0).control),
  (a, b) => Math.abs(nth(a, 0).control) - Math.abs(nth(b, 0).control),
  (a, b) => widest(b) - widest(a),
];

/**
 * Rows for every stage, as few as the earliest fit finds: a pair goes to the first row that takes both of its plots;
 * if none does, the terrace grows by a row.
 */
export function rowsOf(plots: PlotToPlace[], stages: Stage[], width: number, margin: number): Row[] {
  const byId = new Map(plots.map((plot) => [plot.id, plot]));
  return stages.flatMap((stage) => {
    const pairs = plots
      .filter((plot) => plot.stage === stage && plot.id <= plot.mirror)
      .map((plot) => [...new Set([plot, byId.get(plot.mirror) ?? plot])]);
    const rows = ORDERS.map((order) => earliestFit(pairs, order, width, margin)).reduce((best, next) =>
      next.length < best.length ? next : best,
    );
    return rows.map((row) => ({ stage, plots: sorted(row) }));
  });
}

function earliestFit(pairs: PlotToPlace[][], order: Order, width: number, margin: number): PlotToPlace[][] {
  const rows: PlotToPlace[][] = [];
  for (const pair of [...pairs].sort((a, b) => order(a, b) || nth(a, 0).id.localeCompare(nth(b, 0).id))) {
    const row = rows.find((candidate) => fits([...candidate, ...pair], width, margin));
    if (row) row.push(...pair);
    else rows.push([...pair]);
  }
  return rows;
}

/**
 * Centres of a row's plots with the least drift from their control: isotonic regression on positions less cumulated
 * widths (pool adjacent violators), then clamped so that nobody drifts more than half a grade and nobody touches.
 * In a row that cannot keep both rules, not touching wins.
 */
export function settle(plots: PlotToPlace[], width: number, margin: number): number[] {
  const row = bounds(plots, width, margin);
  const offset: number[] = [];
  row.forEach((b, i) => {
    offset.push(i === 0 ? 0 : nth(offset, i - 1) + apart(nth(row, i - 1), b));
  });
  const pooled: { sum: number; n: number }[] = [];
  row.forEach((b, i) => {
    pooled.push({ sum: b.target - nth(offset, i), n: 1 });
    while (pooled.length > 1 && mean(pooled.at(-2)) >= mean(pooled.at(-1))) {
      const last = pooled.pop() as { sum: number; n: number };
      const before = nth(pooled, pooled.length - 1);
      before.sum += last.sum;
      before.n += last.n;
    }
  });
  const wanted = pooled.flatMap((pool) => Array.from({ length: pool.n }, () => mean(pool)));
  const high = row.map((b) => b.high);
  for (let i = row.length - 2; i >= 0; i--)
    high[i] = Math.min(nth(high, i), nth(high, i + 1) - apart(nth(row, i), nth(row, i + 1)));
  const centres: number[] = [];
  row.forEach((b, i) => {
    const left = i === 0 ? Number.NEGATIVE_INFINITY : nth(centres, i - 1) + apart(nth(row, i - 1), b);
    centres.push(Math.max(left, Math.min(nth(high, i), Math.max(b.low, nth(wanted, i) + nth(offset, i)))));
  });
  return centres;
}

const mean = (pool?: { sum: number; n: number }) => (pool ? pool.sum / pool.n : 0);
