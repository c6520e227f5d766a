import { expect, it } from 'vitest';
import type { Stage } from '../api/types';
import { random } from '../testing/random';
import { nth } from '../ui/lists';
import { STAGES } from '../ui/words';
import { type Label, lay, MARGIN, type Size } from './lay';
import { rowsOf } from './place';

const size: Size = { width: 1176, height: 700, restWidth: 1176, isSmall: false, hasSoil: false };

function manyLabels(pairs: number): Label[] {
  const next = random(11);
  return Array.from({ length: pairs }, (_, i) => {
    const control = Math.round(next() * 30) / 10;
    const stage = nth(STAGES, i % STAGES.length);
    const width = 60 + Math.round(next() * 110);
    const one = (id: string, mirror: string, c: number): Label => ({
      id,
      name: id,
      mirror,
      stage,
      control: c,
      centrality: i,
      width,
      plain: [width, width * 0.6, width * 0.5],
      widthsWith: () => [width + 30, width * 0.6 + 20, width * 0.5 + 20],
    });
    return [one(`p${i}`, `q${i}`, control), one(`q${i}`, `p${i}`, -control + 0)];
  }).flat();
}

const labels = manyLabels(200);

function folded(open: Stage | null, lit: Set<string> | null) {
  const rows = [
    ...rowsOf(
      labels.filter((l) => l.stage === open),
      STAGES,
      size.width,
      MARGIN,
    ),
    ...(lit
      ? rowsOf(
          labels.filter((l) => l.stage !== open && lit.has(l.id)),
          STAGES,
          size.width,
          MARGIN,
        )
      : []),
  ];
  return lay(rows, size, { lit, figures: new Map(), fontPx: 13 }, { labels, open });
}

it('folds every terrace to counts that add up', () => {
  const hill = folded(null, null);
  expect(hill.plots.size).toBe(0);
  expect(hill.terraces).toHaveLength(6);
  const counted = hill.terraces.flatMap((t) => t.fold?.bins ?? []).reduce((sum, bin) => sum + bin.n, 0);
  expect(counted).toBe(400);
});

it('opens one terrace and folds the others to a strip', () => {
  const hill = folded('LEGS_BETWEEN', null);
  expect([...hill.plots.keys()].sort()).toEqual(
    labels
      .filter((l) => l.stage === 'LEGS_BETWEEN')
      .map((l) => l.id)
      .sort(),
  );
  for (const terrace of hill.terraces.slice(0, -1))
    if (terrace.stage !== 'LEGS_BETWEEN') expect(terrace.bottom - terrace.top).toBe(28);
});

it('shows what is lit of the folded ones, below their names and off each other', () => {
  const lit = new Set(labels.filter((_, i) => i % 40 === 0).map((l) => l.id));
  const hill = folded('FINISH', lit);
  const plots = [...hill.plots.values()];
  for (const id of lit) expect(hill.plots.has(id)).toBe(true);
  for (const a of plots)
    for (const b of plots)
      if (a.id < b.id)
        expect(a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom).toBe(false);
  for (const terrace of hill.terraces)
    for (const plot of plots)
      if (terrace.fold && plot.top > terrace.top && plot.top < terrace.bottom)
        expect(plot.top).toBeGreaterThanOrEqual(terrace.top + 28);
});
