import { expect, it } from 'vitest';
import { indexMap } from '../api/map';
import type { Item, MapData, Rank } from '../api/types';
import { blankLink, blankTechnique } from '../form/blanks';
import { familyCounts, itemsOf, techniqueOf } from './families';

const map = indexMap({
  pairs: [],
  techniques: [
    { ...blankTechnique(), id: 'pass', family: 'PASS' },
    { ...blankTechnique(), id: 'fall', family: 'BREAKFALL' },
  ],
  links: [{ ...blankLink('here', null), id: 'counter', technique: 'pass' }],
  reactions: [],
  rulesets: [],
} as unknown as MapData);
const item = (kind: string, ref: string) => ({ kind, ref }) as Item;
const rank = {
  syllabus: [
    { name: 'A', choose: 0, items: [item('TECHNIQUE', 'pass'), item('CHAIN', 'pass')] },
    {
      name: 'B',
      choose: 1,
      items: [item('COUNTER', 'counter'), item('TECHNIQUE', 'fall'), item('TECHNIQUE', 'gone')],
    },
  ],
} as unknown as Rank;

it('counts families in their order, counters by their technique, chains not at all', () => {
  expect(itemsOf(rank)).toHaveLength(5);
  expect(techniqueOf(item('COUNTER', 'counter'), map)?.id).toBe('pass');
  expect(techniqueOf(item('CHAIN', 'pass'), map)).toBeUndefined();
  expect(familyCounts(rank, map)).toEqual([
    ['BREAKFALL', 1],
    ['PASS', 2],
  ]);
});
