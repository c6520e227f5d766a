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
/** Room beside the text of a label, without and with a band of soil. */
const PADDING = { plain: 12, soil: 20 };
/** In how many lines a lit label may stand, the fewest that fit. */
const FOLDS = [1, 2, 3];

let ruler: CanvasRenderingContext2D | null = null;

function textWidth(text: string, font: string): number {
  ruler ??= document.createElement('canvas').getContext('2d');
  if (!ruler) return text.length * 7;
  ruler.font = font;
  return ruler.measureText(text).width;
}

/** The least width of a text broken into at most so many lines. */
function inLines(text: string, lines: number, font: string, padding: number): number {
  const narrowest = (words: string[], left: number): number => {
    const whole = textWidth(words.join(' '), font);
    if (left === 1 || words.length === 1) return whole;
    const broken = words
      .slice(1)
      .map((_, i) =>
        Math.max(textWidth(words.slice(0, i + 1).join(' '), font), narrowest(words.slice(i + 1), left - 1)),
      );
    return Math.min(whole, ...broken);
  };
  return Math.ceil(narrowest(text.split(' '), lines)) + padding;
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

/** A plot with the widths of its label in one, two and three lines, without and with its figure. */
type Label = PlotToPlace & { plain: number[]; withFigure: number[] };

/** `isSmall`: a picture of the hill beside something else; every plot is a peg. */
type Size = { width: number; height: number; restWidth: number; isSmall: boolean; hasSoil: boolean };

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
  const padding = size.hasSoil ? PADDING.soil : PADDING.plain;
  const labels = useMemo(() => {
    const font = `${fontPx}px "Atkinson Hyperlegible"${fonts ? '' : ', sans-serif'}`;
    return [...map.position.values()]
      .filter((p) => !p.retired)
      .map<Label>((p) => ({
        id: p.id,
        mirror: map.counterpart(p.id),
        stage: map.stageOf(p.id),
        control: p.control,
        width: Math.ceil(textWidth(p.name, font)) + PADDING.soil + 4,
        plain: FOLDS.map((lines) => inLines(p.name, lines, font, padding)),
        withFigure: FOLDS.map((lines) => inLines(`${p.name} 35\u00a0%`, lines, font, padding)),
      }));
  }, [map, fonts, fontPx, padding]);
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
function narrow(plots: Label[], size: Size, lit: Set<string> | null, figures: Set<string>): Placed[] {
  if (!size.isSmall && lit === null) return plots;
  const folded = FOLDS.map((lines, i) =>
    plots.map<Placed>((plot) => {
      if (size.isSmall || !lit?.has(plot.id)) return { ...plot, width: PEG };
      return { ...plot, lines, width: figures.has(plot.id) ? plot.withFigure[i] : plot.plain[i] };
    }),
  );
  return folded.find((row) => fits(row, size.width, MARGIN)) ?? folded[folded.length - 1];
}
