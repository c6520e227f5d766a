import type { Stage } from '../api/types';
import { nth } from '../ui/lists';
import { STAGES } from '../ui/words';
import { type Bin, binsOf } from './fold';
import type { Standing } from './paths';
import { fits, type PlotToPlace, type Row, settle } from './place';

/** `fold`: what a folded terrace says instead of its plots. */
export type Terrace = { stage: Stage; top: number; bottom: number; fold?: { n: number; bins: Bin[] } };
export type Hill = {
  plots: Map<string, Standing>;
  rows: Standing[][];
  terraces: Terrace[];
  pegged: Set<string>;
  /** Height of the whole hill; more than there is room for when its rows do not fit. */
  height: number;
};

/** Room at both ends, so that the outermost plots keep their control. */
export const MARGIN = 84;
/** Room at the ends of a small hill, where the names of the stages stand. */
const SMALL_MARGIN = 118;
/** Width of a plot that is only a peg. */
const PEG = 16;
/** Height of a peg among labels. */
const PEG_HEIGHT = 18;
/** Room for the name of the stage above its first row. */
const GUTTER = 19;
/** Height of a folded terrace while another one is open. */
const FOLDED = 28;
/** Least height of a terrace while all are folded: its name, counts and two names. */
const ALL_FOLDED = 86;
/** Least air between two rows, in which ticks stand and footpaths bend. */
const ROW_AIR = 6;
/** In how many lines a lit label may stand, the fewest that fit. */
export const LINES = [1, 2, 3];
/** Room above the first terrace for the scale. */
const SKY = 18;

/** A plot with the widths of its label in one, two and three lines; `widthsWith` something behind its name. */
export type Label = PlotToPlace & {
  name: string;
  centrality: number;
  plain: number[];
  widthsWith: (figure: string) => number[];
};

/** `isSmall`: a picture of the hill beside something else; every plot is a peg. */
export type Size = { width: number; height: number; restWidth: number; isSmall: boolean; hasSoil: boolean };

/** What is lit, and the figures that plots carry. `lit` null: nothing is selected and all keep their labels. */
export type Light = { lit: Set<string> | null; figures: Map<string, string>; fontPx: number };

/** Plots of folded terraces, and the terrace that is open; null: none is. */
export type Folding = { labels: Label[]; open: Stage | null } | null;

/**
 * Lays rows out on the hill: heights by what stands in them, places by control. A folded terrace shows what is lit of it
 * under its name, or, while all are folded, its counts by control.
 */
export function lay(rows: Row[], size: Size, { lit, figures, fontPx }: Light, folding: Folding): Hill {
  const isThere = (stage: Stage) =>
    (folding ? folding.labels : rows.flatMap((r) => r.plots)).some((p) => p.stage === stage);
  const stages = STAGES.filter(isThere);
  const isFolded = (stage: Stage) => folding !== null && folding.open !== stage;
  const allFolded = folding !== null && folding.open === null && lit === null;
  const gutter = size.isSmall ? 8 : GUTTER;
  const lines = rows.map((row) => {
    const placed = narrow(row.plots as Label[], size, lit, figures);
    return { stage: row.stage, placed, height: rowHeight(placed, lit, fontPx) };
  });
  const tightPeg = Math.max(4, (size.height - stages.length * gutter - SKY) / Math.max(1, rows.length) - 2);
  if (size.isSmall) for (const line of lines) line.height = Math.min(PEG, tightPeg);
  const plotsAlone = lines.reduce((sum, line) => sum + line.height, 0);
  const air = (size.height - SKY - stages.length * gutter - plotsAlone) / Math.max(1, rows.length);
  const gap = size.isSmall ? Math.max(2, Math.min(20, air)) : Math.max(ROW_AIR, Math.min(34, air));
  const folded = stages.filter(isFolded).length;
  const used = SKY + (stages.length - folded) * gutter + folded * FOLDED + plotsAlone + gap * rows.length;
  const spare = folding && !allFolded ? 0 : Math.max(0, size.height - used) / stages.length;
  const plots = new Map<string, Standing>();
  const standing: Standing[][] = [];
  const terraces: Terrace[] = [];
  const pegged = new Set<string>();
  let y = SKY;
  for (const stage of stages) {
    const top = y;
    y += isFolded(stage) ? FOLDED : gutter + spare / 2;
    if (allFolded) y = top + Math.max(ALL_FOLDED, (size.height - SKY) / stages.length);
    for (const line of lines.filter((l) => l.stage === stage)) {
      const centres = settle(line.placed, size.width, size.isSmall ? SMALL_MARGIN : MARGIN);
      const row = line.placed.map<Standing>((plot, i) => {
        const x = nth(centres, i);
        const isPeg = plot.width === PEG;
        if (isPeg) pegged.add(plot.id);
        const height = isPeg ? Math.min(line.height, PEG_HEIGHT) : line.height;
        const high = y + (line.height - height) / 2;
        return {
          id: plot.id,
          x,
          left: x - plot.width / 2,
          right: x + plot.width / 2,
          top: high,
          bottom: high + height,
          row: standing.length,
        };
      });
      for (const plot of row) plots.set(plot.id, plot);
      standing.push(row);
      y += line.height + gap;
    }
    if (!isFolded(stage)) y += spare / 2;
    const inFold = isFolded(stage) ? folding?.labels.filter((label) => label.stage === stage) : undefined;
    const fold = inFold && { n: inFold.length, bins: allFolded ? binsOf(inFold) : [] };
    terraces.push({ stage, top, bottom: y, fold });
  }
  // What is left over under folded terraces belongs to the last one.
  if (folding && !allFolded) nth(terraces, terraces.length - 1).bottom = Math.max(y, size.height);
  return { plots, rows: standing, terraces, pegged, height: Math.max(size.height, y) };
}

/** As high as its highest plot: a peg, or a label in one, two or three lines. */
function rowHeight(placed: Placed[], lit: Set<string> | null, fontPx: number): number {
  if (lit === null) return fontPx + 9;
  return Math.max(
    ...placed.map((plot) =>
      plot.width === PEG ? PEG_HEIGHT : Math.round(fontPx * 1.1 * (plot.lines ?? 1)) + 8,
    ),
  );
}

type Placed = PlotToPlace & { lines?: number };

/** Unlit plots become pegs; lit ones keep their labels, in as many lines as keep them at their control. */
function narrow(plots: Label[], size: Size, lit: Set<string> | null, figures: Map<string, string>): Placed[] {
  if (!size.isSmall && lit === null) return plots;
  const folded = LINES.map((lines, i) =>
    plots.map<Placed>((plot) => {
      if (size.isSmall || !lit?.has(plot.id)) return { ...plot, width: PEG };
      return { ...plot, lines, width: widthOf(plot, figures, i) };
    }),
  );
  return folded.find((row) => fits(row, size.width, MARGIN)) ?? nth(folded, folded.length - 1);
}

function widthOf(plot: Label, figures: Map<string, string>, lines: number): number {
  const figure = figures.get(plot.id);
  return figure === undefined ? nth(plot.plain, lines) : nth(plot.widthsWith(figure), lines);
}
