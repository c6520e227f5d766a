import { describe, expect, it } from 'vitest';
import { random } from '../testing/random';
import { nth } from '../ui/lists';
import { AIR, across, fits, type PlotToPlace, rowsOf, settle } from './place';

const plot = (id: string, control: number, width: number, mirror = id): PlotToPlace => ({
  id,
  mirror,
  stage: 'LEGS_BETWEEN',
  control,
  width,
});

describe('placing the plots', () => {
  it('leaves a plot with room at its control', () => {
    expect(settle([plot('a', 0, 100), plot('b', 2, 100)], 1200, 60)).toEqual([600, across(2, 1200, 60)]);
  });

  it('shares the drift between two that would touch', () => {
    const [a, b] = settle([plot('a', 0, 100), plot('b', 0, 100)], 1200, 60);
    expect([a, b]).toEqual([600 - (100 + AIR) / 2, 600 + (100 + AIR) / 2]);
  });

  it('knows when a row is full', () => {
    expect(fits([plot('a', 0, 150), plot('b', 0, 150)], 1200, 60)).toBe(true);
    expect(fits([plot('a', 0, 150), plot('b', 0, 150), plot('c', 0, 150)], 1200, 60)).toBe(false);
  });

  it('keeps counterparts in one row, never touching, never more than half a grade away', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const next = random(seed);
      const plots: PlotToPlace[] = Array.from({ length: 4 + Math.floor(next() * 30) }, (_, i) => {
        const control = Math.round(3 + next() * 27) / 10;
        const width = 60 + next() * 120;
        return [plot(`p${i}`, control, width, `p${i}-x`), plot(`p${i}-x`, -control, width + 9, `p${i}`)];
      }).flat();
      const rows = rowsOf(plots, ['LEGS_BETWEEN'], 1100, 80);
      expect(rows.flatMap((row) => row.plots)).toHaveLength(plots.length);
      for (const row of rows) {
        const ids = new Set(row.plots.map((p) => p.id));
        const centres = settle(row.plots, 1100, 80);
        row.plots.forEach((p, i) => {
          expect(ids.has(p.mirror)).toBe(true);
          expect(Math.abs(nth(centres, i) - across(p.control, 1100, 80))).toBeLessThanOrEqual(
            (0.5 / 6) * 940 + 1e-6,
          );
          if (i > 0) {
            const before = nth(row.plots, i - 1);
            expect(nth(centres, i) - p.width / 2).toBeGreaterThanOrEqual(
              nth(centres, i - 1) + before.width / 2 + AIR - 1e-6,
            );
          }
        });
      }
    }
  });
});
