import { useEffect, useMemo, useState } from 'react';
import type { MapIndex } from '../api/map';
import type { Stage } from '../api/types';
import { STAGES } from '../ui/words';
import { FOLD_FROM } from './fold';
import { type Hill, type Label, LINES, type Light, lay, MARGIN, type Size } from './lay';
import { rowsOf } from './place';

/** Room beside the text of a label, without and with a band of soil. */
const PADDING = { plain: 12, soil: 20 };

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

/**
 * The hill laid out: rows by the width at rest, places in the row by the width there is now. With more plots than a
 * screen can carry, terraces fold, all but the open one.
 */
export function useHill(
  map: MapIndex,
  size: Size,
  light: Light,
  open: Stage | null,
): Hill & { isFolding: boolean } {
  const fonts = useFontsReady();
  const { lit, fontPx } = light;
  const padding = size.hasSoil ? PADDING.soil : PADDING.plain;
  const labels = useMemo(() => {
    const font = `${fontPx}px "Atkinson Hyperlegible"${fonts ? '' : ', sans-serif'}`;
    return [...map.position.values()]
      .filter((p) => !p.retired)
      .map<Label>((p) => ({
        id: p.id,
        name: p.name,
        mirror: map.counterpart(p.id),
        stage: map.stageOf(p.id),
        control: p.control,
        centrality: map.centrality[p.id] ?? 0,
        width: Math.ceil(textWidth(p.name, font)) + PADDING.soil + 4,
        plain: LINES.map((lines) => inLines(p.name, lines, font, padding)),
        widthsWith: (figure) => LINES.map((lines) => inLines(`${p.name} ${figure}`, lines, font, padding)),
      }));
  }, [map, fonts, fontPx, padding]);
  const isFolding = labels.length > FOLD_FROM && !size.isSmall;
  const rows = useMemo(
    () =>
      isFolding
        ? rowsOf(
            labels.filter((p) => p.stage === open),
            STAGES,
            size.restWidth,
            MARGIN,
          )
        : rowsOf(labels, STAGES, size.restWidth, MARGIN),
    [labels, isFolding, open, size.restWidth],
  );
  const litElsewhere = useMemo(
    () =>
      isFolding && lit
        ? rowsOf(
            labels.filter((p) => p.stage !== open && lit.has(p.id)),
            STAGES,
            size.width,
            MARGIN,
          )
        : [],
    [labels, isFolding, open, lit, size.width],
  );
  return useMemo(
    () => ({
      ...lay([...rows, ...litElsewhere], size, light, isFolding ? { labels, open } : null),
      isFolding,
    }),
    [rows, litElsewhere, size, light, isFolding, labels, open],
  );
}
