import { nth } from '../ui/lists';
/** A plot as it stands: centre and edges in pixels, and the row it stands in. */
export type Standing = {
  id: string;
  x: number;
  left: number;
  right: number;
  top: number;
  bottom: number;
  row: number;
};

type Point = [number, number];

/** Half the width that a footpath needs between two plots. */
const SHOULDER = 7;

type Gap = [number, number];

/** The open stretches of a row, in which a path may pass. */
function gapsOf(row: Standing[], width: number): Gap[] {
  const gaps: Gap[] = [];
  let from = 4;
  for (const plot of [...row].sort((a, b) => a.left - b.left)) {
    if (plot.left - SHOULDER > from) gaps.push([from, plot.left - SHOULDER]);
    from = Math.max(from, plot.right + SHOULDER);
  }
  if (width - 4 > from) gaps.push([from, width - 4]);
  return gaps;
}

const common = (a: Gap[], b: Gap[]): Gap[] =>
  a.flatMap(([from, to]) =>
    b.map<Gap>(([f, t]) => [Math.max(from, f), Math.min(to, t)]).filter(([f, t]) => t - f > 1),
  );

const within = (x: number, [from, to]: Gap) => Math.max(from, Math.min(to, x));

/**
 * Where a path passes each of these rows: straight down through as many rows as share a gap, as near as may be to the
 * straight line from `x` to `end`.
 */
function crossings(x: number, end: number, rows: Standing[][], width: number): number[] {
  const at: number[] = [];
  let i = 0;
  while (i < rows.length) {
    let open = gapsOf(nth(rows, i), width);
    let next = i + 1;
    for (; next < rows.length; next++) {
      const still = common(open, gapsOf(nth(rows, next), width));
      if (still.length === 0) break;
      open = still;
    }
    const last = at.at(-1) ?? x;
    const wanted = last + ((end - last) * (next - i)) / (rows.length - i + 1);
    const best = open
      .map((gap) => within(wanted, gap))
      .reduce((a, b) => (Math.abs(b - wanted) < Math.abs(a - wanted) ? b : a), Number.POSITIVE_INFINITY);
    for (; i < next; i++) at.push(Number.isFinite(best) ? best : wanted);
  }
  return at;
}

/**
 * A footpath from one plot to another as an SVG path. It leaves by the bottom or the top, passes every row between two
 * plots, and bends only in the gaps between rows, so it never crosses a plot. `lane` keeps neighbours apart.
 */
export function footpath(
  from: Standing,
  to: Standing,
  rows: Standing[][],
  width: number,
  lane: number,
): string {
  const spread = (lane % 2 === 0 ? 1 : -1) * Math.ceil(lane / 2) * 6;
  const inside = (plot: Standing) => Math.max(plot.left + 8, Math.min(plot.right - 8, plot.x + spread));
  const down = to.row >= from.row;
  const leave: Point = [inside(from), down ? from.bottom : from.top];
  const arrive: Point = [inside(to), down ? to.top : to.bottom];
  if (from.row === to.row) {
    const below = Math.max(from.bottom, to.bottom) + 5;
    return `M${leave[0]} ${from.bottom}C${leave[0]} ${below} ${arrive[0]} ${below} ${arrive[0]} ${to.bottom}`;
  }
  const between = down ? rows.slice(from.row + 1, to.row) : rows.slice(to.row + 1, from.row).reverse();
  let path = `M${leave[0]} ${leave[1]}`;
  let at = leave;
  crossings(leave[0], arrive[0], between, width).forEach((x, i) => {
    const top = Math.min(...nth(between, i).map((plot) => plot.top)) - 2;
    const bottom = Math.max(...nth(between, i).map((plot) => plot.bottom)) + 2;
    path += x === at[0] ? '' : bend(at, [x, down ? top : bottom]);
    at = [x, down ? bottom : top];
    path += `L${at[0]} ${at[1]}`;
  });
  return path + bend(at, arrive);
}

/** A curve that begins and ends upright and stays between the two heights. */
function bend(from: Point, to: Point): string {
  const half = (from[1] + to[1]) / 2;
  return `C${from[0]} ${half} ${to[0]} ${half} ${to[0]} ${to[1]}`;
}
