import { describe, expect, it } from 'vitest';
import { random } from '../testing/random';
import { nth } from '../ui/lists';
import { footpath, type Standing } from './paths';

const WIDTH = 1000;

/** Rows of plots with gaps of at least 20 between them, seeded so that a red run can be run again. */
function rowsOf(seed: number, count: number): Standing[][] {
  const next = random(seed);
  return Array.from({ length: count }, (_, row) => {
    const plots: Standing[] = [];
    let x = 20 + next() * 200;
    for (let i = 0; x < WIDTH - 160 && i < 6; i++) {
      const width = 16 + next() * 110;
      plots.push({
        id: `${row}-${i}`,
        x: x + width / 2,
        left: x,
        right: x + width,
        top: 40 + row * 40,
        bottom: 64 + row * 40,
        row,
      });
      x += width + 20 + next() * 120;
    }
    return plots;
  });
}

/** The upright stretches of a path: where it passes a row. */
const uprights = (path: string) =>
  [...path.matchAll(/L([\d.]+) ([\d.]+)/g)].map(([, x, y]) => ({ x: Number(x), y: Number(y) }));

describe('footpaths', () => {
  it('pass every row between two plots without crossing one', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const rows = rowsOf(seed, 8);
      const from = nth(nth(rows, 0), seed % nth(rows, 0).length);
      const to = nth(nth(rows, 7), (seed * 7) % nth(rows, 7).length);
      for (const [a, b] of [
        [from, to],
        [to, from],
      ] as const) {
        const passes = uprights(footpath(a, b, rows, WIDTH, seed % 4));
        expect(passes).toHaveLength(6);
        passes.forEach(({ x }, i) => {
          const row = nth(rows, a.row < b.row ? i + 1 : 6 - i);
          expect(row.every((plot) => x <= plot.left || x >= plot.right)).toBe(true);
        });
      }
    }
  });

  it('go straight down where the rows share a gap', () => {
    const peg = (row: number, x: number): Standing => ({
      id: `${row}`,
      x,
      left: x - 8,
      right: x + 8,
      top: 40 * row,
      bottom: 40 * row + 18,
      row,
    });
    const rows = [[peg(0, 500)], [peg(1, 100)], [peg(2, 900)], [peg(3, 100)], [peg(4, 500)]];
    const xs = uprights(footpath(nth(nth(rows, 0), 0), nth(nth(rows, 4), 0), rows, WIDTH, 0)).map(
      ({ x }) => x,
    );
    expect(new Set(xs).size).toBe(1);
  });
});
