import { expect, it } from 'vitest';
import type { DecisionTable } from '../api/types';
import { nth } from '../ui/lists';
import type { Standing } from './paths';
import { nearest, waysLeftOut, waysOf } from './ways';

const row = (lands: string | null, estimate: number, technique = 't') => ({
  lands,
  technique,
  chance: { estimate },
});
const table = (own: unknown[], theirs: unknown[]) =>
  ({ position: 'here', own, answers: [{ rows: [row('mount', 0.9, 'best')] }], theirs }) as DecisionTable;

it('draws one path a target, the best first, theirs last', () => {
  const ways = waysOf(
    table([row('mount', 0.4), row(null, 0.8), row('here', 0.7), row('side', 0.5)], [row('under', 0.9)]),
  );
  expect(ways.map((w) => [w.to, w.technique, w.theirs])).toEqual([
    ['mount', 'best', false],
    ['side', 't', false],
    ['under', 't', true],
  ]);
});

it('says how many of more than eight it leaves out', () => {
  const many = Array.from({ length: 10 }, (_, i) => row(`p${i}`, 0.5));
  expect(waysOf(table(many, []))).toHaveLength(8);
  expect(waysLeftOut(table(many, []))).toBe(3);
});

it('finds the nearest plot in the row below, and none outside', () => {
  const plot = (id: string, x: number, inRow: number) => ({ id, x, row: inRow }) as Standing;
  const rows = [
    [plot('a', 10, 0), plot('b', 90, 0)],
    [plot('c', 20, 1), plot('d', 80, 1)],
  ];
  expect(nearest(rows, nth(nth(rows, 0), 1), 'ArrowDown')).toBe('d');
  expect(nearest(rows, nth(nth(rows, 0), 0), 'ArrowRight')).toBe('b');
  expect(nearest(rows, nth(nth(rows, 0), 1), 'ArrowRight')).toBeUndefined();
  expect(nearest(rows, nth(nth(rows, 1), 0), 'ArrowDown')).toBeUndefined();
});
