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

/** The place in a row, nearest to `x`, where a path passes between the plots. */
function gapNear(x: number, row: Standing[], width: number): number {
  const blocked = row
    .map((plot) => [plot.left - SHOULDER, plot.right + SHOULDER])
    .sort((a, b) => a[0] - b[0]);
  const free = (at: number) =>
    at > 4 && at < width - 4 && blocked.every(([from, to]) => at <= from || at >= to);
  if (free(x)) return x;
  const edges = blocked.flat().filter(free);
  return edges.reduce((best, at) => (Math.abs(at - x) < Math.abs(best - x) ? at : best), edges[0] ?? x);
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
  const within = (plot: Standing) => Math.max(plot.left + 8, Math.min(plot.right - 8, plot.x + spread));
  const down = to.row >= from.row;
  const leave: Point = [within(from), down ? from.bottom : from.top];
  const arrive: Point = [within(to), down ? to.top : to.bottom];
  if (from.row === to.row) {
    const below = from.bottom + 16;
    return `M${leave[0]} ${leave[1]}C${leave[0]} ${below} ${arrive[0]} ${below} ${arrive[0]} ${to.bottom}`;
  }
  const step = down ? 1 : -1;
  const crossings = Math.abs(to.row - from.row);
  let path = `M${leave[0]} ${leave[1]}`;
  let at = leave;
  for (let i = 1; i < crossings; i++) {
    const row = rows[from.row + i * step];
    const x = gapNear(leave[0] + ((arrive[0] - leave[0]) * i) / crossings, row, width);
    const top = Math.min(...row.map((plot) => plot.top)) - 2;
    const bottom = Math.max(...row.map((plot) => plot.bottom)) + 2;
    path += bend(at, [x, down ? top : bottom]);
    at = [x, down ? bottom : top];
    path += `L${at[0]} ${at[1]}`;
  }
  return path + bend(at, arrive);
}

/** A curve that begins and ends upright and stays between the two heights. */
function bend(from: Point, to: Point): string {
  const half = (from[1] + to[1]) / 2;
  return `C${from[0]} ${half} ${to[0]} ${half} ${to[0]} ${to[1]}`;
}
