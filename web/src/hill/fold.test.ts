import { expect, it } from 'vitest';
import { binsOf } from './fold';

const plot = (name: string, control: number, centrality: number) => ({ name, control, centrality });

it('counts by whole grades and names the most central', () => {
  const bins = binsOf([
    plot('b', 1.4, 5),
    plot('a', 0.6, 5),
    plot('c', 1, 9),
    plot('low', -2.9, 0),
    plot('even', -0.2, 1),
  ]);
  expect(bins).toEqual([
    { control: -3, n: 1, names: ['low'] },
    { control: 0, n: 1, names: ['even'] },
    { control: 1, n: 3, names: ['c', 'a'] },
  ]);
});
