import { expect, it } from 'vitest';
import type { ChainStep } from '../api/types';
import { nth } from '../ui/lists';
import { added, inCoreOrder, inReadingOrder, mainTurn, same, stepAt, turnOffOf, without } from './tree';

const step = (link: string, ...next: [string | null, ChainStep][]): ChainStep => ({
  link,
  next: next.map(([reaction, to]) => ({ reaction: reaction as string, step: to })),
});
/** a → b → c on the main line; at b they post: d → e; at a they turn: f. */
const tree = step(
  'a',
  ['they turn', step('f')],
  [null, step('b', ['they post', step('d', [null, step('e')])], [null, step('c')])],
);
const links = (placed: { step: ChainStep }[]) => placed.map((p) => p.step.link).join('');

it('reads a step, its turn-offs, then on; labels go down the main line first', () => {
  expect(links(inReadingOrder(tree))).toBe('afbdec');
  expect(links(inCoreOrder(tree))).toBe('abcdef');
  expect(inReadingOrder(tree).map((p) => p.deep)).toEqual([0, 1, 0, 1, 1, 0]);
  expect(inCoreOrder(null)).toEqual([]);
});

it('adds a link where it is asked to and leaves the tree it was given alone', () => {
  const before = JSON.stringify(tree);
  const grown = added(tree, [1, 1], 'they grip', 'g');
  expect(stepAt(grown.first, grown.path).link).toBe('g');
  expect(nth(stepAt(grown.first, [1, 1]).next, 0).reaction).toBe('they grip');
  expect(JSON.stringify(tree)).toBe(before);
  expect(added(null, null, null, 'a')).toEqual({ first: step('a'), path: [] });
});

it('takes a step out with all that follows it', () => {
  const cut = without(tree, [1, 0]) as ChainStep;
  expect(links(inReadingOrder(cut))).toBe('afbc');
  expect(without(tree, [])).toBeNull();
});

it('knows the main line and the turn-off a step stands in', () => {
  expect(mainTurn(tree)).toBe(1);
  expect(mainTurn(step('z', ['they post', step('y')]))).toBe(-1);
  expect(turnOffOf(tree, [1, 0, 0])).toEqual([1]);
  expect(turnOffOf(tree, [1, 1])).toBeNull();
  expect(turnOffOf(tree, [0])).toEqual([]);
  expect(same([], null)).toBe(false);
  expect(same([1, 0], [1, 0])).toBe(true);
});
