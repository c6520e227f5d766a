import { useEffect, useMemo, useState } from 'react';
import type { MapIndex } from '../api/queries';
import type { Stage } from '../api/types';
import { STAGES } from '../ui/words';
import type { Standing } from './paths';
import { fits, type PlotToPlace, rowsOf, settle } from './place';

export type Terrace = { stage: Stage; top: number; bottom: number };
export type Hill = {
  plots: Map<string, Standing>;
  rows: Standing[][];
  terraces: Terrace[];
  pegged: Set<string>;
  /** Height of the whole hill; more than there is room for when its rows do not fit. */
  height: number;
};

/** Room at both ends, so that the outermost plots keep their control. */
const MARGIN = 84;
/** Room at the ends of a small hill, where the names of the stages stand. */
const SMALL_MARGIN = 118;
/** Width of a plot that is only a peg. */
const PEG = 16;
/** Height of a peg among labels. */
const PEG_HEIGHT = 18;
/** Room for the name of the stage above its first row. */
const GUTTER = 19;
/** Least air between two rows, in which ticks stand and footpaths bend. */
const ROW_AIR = 6;
/** Room above the first terrace for the scale. */
const SKY = 18;
/** Width of the chance that a lit plot carries. */
const FIGURE = 38;
const PADDING = 22;

let ruler: CanvasRenderingContext2D | null = null;

function textWidth(text: string, font: string): number {
  ruler ??= document.createElement('canvas').getContext('2d');
  if (!ruler) return text.length * 7;
  ruler.font = font;
  return ruler.measureText(text).width;
}

/** The width of a text broken into two lines where it is narrowest. */
function inTwoLines(text: string, font: string): number {
  const words = text.split(' ');
  const widths = words.slice(1).map((_, i) => {
    const first = words.slice(0, i + 1).join(' ');
    const second = words.slice(i + 1).join(' ');
    return Math.max(textWidth(first, font), textWidth(second, font));
  });
  return Math.ceil(Math.min(textWidth(text, font), ...widths)) + PADDING;
}

/** Text is measured again once the shipped fonts are there. */
export function useFontsReady(): boolean {
  const [ready, setReady] = useState(document.fonts.status === 'loaded');
  useEffect(() => {
    let here = true;
    document.fonts.ready.then(() => here && setReady(true));
    return () => {
      here = false;
    };
  }, []);
  return ready;
}

/** A plot with the widths of its label in two lines, without and with its chance. */
type Label = PlotToPlace & { folded: number; foldedWithFigure: number };

/** `isSmall`: a picture of the hill beside something else; every plot is a peg. */
type Size = { width: number; height: number; restWidth: number; isSmall: boolean };

/**
 * The hill laid out: rows by the width at rest, places in the row by the width there is now.
 *
 * @param figures ids that carry a chance beside their label
 * @param lit ids that keep their labels; null: nothing is selected and all do
 */
export function useHill(
  map: MapIndex,
  size: Size,
  lit: Set<string> | null,
  figures: Set<string>,
  fontPx: number,
): Hill {
  const fonts = useFontsReady();
  const labels = useMemo(() => {
    const font = `${fontPx}px "Atkinson Hyperlegible"${fonts ? '' : ', sans-serif'}`;
    return [...map.position.values()]
      .filter((p) => !p.retired)
      .map<Label>((p) => ({
        id: p.id,
        mirror: map.counterpart(p.id),
        stage: map.stageOf(p.id),
        control: p.control,
        width: Math.ceil(textWidth(p.name, font)) + PADDING,
        folded: inTwoLines(p.name, font),
        foldedWithFigure: inTwoLines(`${p.name} 35 %`, font),
      }));
  }, [map, fonts, fontPx]);
  const rows = useMemo(() => rowsOf(labels, STAGES, size.restWidth, MARGIN), [labels, size.restWidth]);
  return useMemo(() => lay(rows, size, lit, figures, fontPx), [rows, size, lit, figures, fontPx]);
}

function lay(
  rows: ReturnType<typeof rowsOf>,
  size: Size,
  lit: Set<string> | null,
  figures: Set<string>,
  fontPx: number,
): Hill {
  const stages = STAGES.filter((stage) => rows.some((row) => row.stage === stage));
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
  const used = SKY + stages.length * gutter + plotsAlone + gap * rows.length;
  const spare = Math.max(0, size.height - used) / stages.length;
  const plots = new Map<string, Standing>();
  const standing: Standing[][] = [];
  const terraces: Terrace[] = [];
  const pegged = new Set<string>();
  let y = SKY;
  for (const stage of stages) {
    const top = y;
    y += gutter + spare / 2;
    for (const line of lines.filter((l) => l.stage === stage)) {
      const centres = settle(line.placed, size.width, size.isSmall ? SMALL_MARGIN : MARGIN);
      const row = line.placed.map<Standing>((plot, i) => {
        const isPeg = plot.width === PEG;
        if (isPeg) pegged.add(plot.id);
        const height = isPeg ? Math.min(line.height, PEG_HEIGHT) : line.height;
        const high = y + (line.height - height) / 2;
        return {
          id: plot.id,
          x: centres[i],
          left: centres[i] - plot.width / 2,
          right: centres[i] + plot.width / 2,
          top: high,
          bottom: high + height,
          row: standing.length,
        };
      });
      for (const plot of row) plots.set(plot.id, plot);
      standing.push(row);
      y += line.height + gap;
    }
    y += spare / 2;
    terraces.push({ stage, top, bottom: y });
  }
  return { plots, rows: standing, terraces, pegged, height: Math.max(size.height, y) };
}

/** As high as its highest plot: a peg, a label in one line, a label in two. */
function rowHeight(placed: Placed[], lit: Set<string> | null, fontPx: number): number {
  if (lit === null) return fontPx + 9;
  return Math.max(
    ...placed.map((plot) => (plot.width === PEG ? PEG_HEIGHT : plot.isFolded ? fontPx * 2 + 8 : fontPx + 10)),
  );
}

type Placed = PlotToPlace & { isFolded?: boolean };

/** Unlit plots become pegs; lit ones keep their labels, in two lines where one line would push them off their control. */
function narrow(plots: Label[], size: Size, lit: Set<string> | null, figures: Set<string>): Placed[] {
  if (!size.isSmall && lit === null) return plots;
  const pegs = (width: (plot: Label) => number, isFolded: boolean) =>
    plots.map<Placed>((plot) =>
      size.isSmall || !lit?.has(plot.id)
        ? { ...plot, width: PEG }
        : { ...plot, width: width(plot), isFolded },
    );
  const inOneLine = pegs((plot) => plot.width + (figures.has(plot.id) ? FIGURE : 0), false);
  if (size.isSmall || fits(inOneLine, size.width, MARGIN)) return inOneLine;
  return pegs((plot) => (figures.has(plot.id) ? plot.foldedWithFigure : plot.folded), true);
}
