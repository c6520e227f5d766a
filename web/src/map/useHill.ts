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
};

/** Room at both ends, so that the outermost plots keep their control. */
const MARGIN = 84;
/** Room at the ends of a small hill, where the names of the stages stand. */
const SMALL_MARGIN = 118;
/** Width of a plot that is only a peg. */
const PEG = 16;
/** Room for the name of the stage above its first row. */
const GUTTER_TOP = 30;
/** Width of the chance that a lit plot carries. */
const FIGURE = 38;
const PADDING = 26;

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
  return Math.ceil(Math.min(textWidth(text, font), ...widths)) + PADDING - 8;
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
  const plotHeight = size.isSmall ? PEG : lit ? fontPx * 2 + 8 : fontPx + 15;
  const gutter = size.isSmall ? 10 : GUTTER_TOP;
  const rowHeight = Math.min(66, (size.height - stages.length * gutter - 18) / Math.max(1, rows.length));
  const plots = new Map<string, Standing>();
  const standing: Standing[][] = [];
  const terraces: Terrace[] = [];
  const pegged = new Set<string>();
  const spare =
    Math.max(0, size.height - stages.length * gutter - 18 - rowHeight * rows.length) / stages.length;
  let y = 18;
  for (const stage of stages) {
    const top = y;
    y += gutter + spare / 2;
    for (const row of rows.filter((r) => r.stage === stage)) {
      const placed = narrow(row.plots as Label[], size, lit, figures);
      placed
        .filter((plot) => plot.width === PEG)
        .forEach((plot) => {
          pegged.add(plot.id);
        });
      const centres = settle(placed, size.width, size.isSmall ? SMALL_MARGIN : MARGIN);
      const line = placed.map<Standing>((plot, i) => ({
        id: plot.id,
        x: centres[i],
        left: centres[i] - plot.width / 2,
        right: centres[i] + plot.width / 2,
        top: y,
        bottom: y + plotHeight,
        row: standing.length,
      }));
      for (const plot of line) plots.set(plot.id, plot);
      standing.push(line);
      y += rowHeight;
    }
    y += spare / 2;
    terraces.push({ stage, top, bottom: y });
  }
  return { plots, rows: standing, terraces, pegged };
}

/** Unlit plots become pegs; lit ones keep their labels, in two lines where one line would push them off their control. */
function narrow(plots: Label[], size: Size, lit: Set<string> | null, figures: Set<string>): PlotToPlace[] {
  if (!size.isSmall && lit === null) return plots;
  const pegs = (width: (plot: Label) => number) =>
    plots.map((plot) => ({ ...plot, width: size.isSmall || !lit?.has(plot.id) ? PEG : width(plot) }));
  const inOneLine = pegs((plot) => plot.width + (figures.has(plot.id) ? FIGURE : 0));
  if (size.isSmall || fits(inOneLine, size.width, MARGIN)) return inOneLine;
  return pegs((plot) => (figures.has(plot.id) ? plot.foldedWithFigure : plot.folded));
}
