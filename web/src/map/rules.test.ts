import { expect, it } from 'vitest';
import { indexMap } from '../api/map';
import type { MapData, Position } from '../api/types';
import { blankLink, blankPosition } from '../form/blanks';
import { rulesetOf, underRules } from './rules';

const position = (id: string, control: number, ruled?: number): Position => ({
  ...blankPosition(id, id, control),
  controlIn: ruled === undefined ? {} : { strict: ruled },
});
const data = {
  pairs: [
    {
      id: 'guard',
      stage: 'LEGS_BETWEEN',
      first: position('guard', 0.6, -1),
      second: position('in-guard', -0.6, 1),
    },
    { id: 'lock', stage: 'FINISH', first: position('lock', 2.5), second: position('locked', -2.5) },
  ],
  techniques: [],
  links: [
    { ...blankLink('guard', null), id: 'a', technique: 'fine', to: 'TAP' },
    { ...blankLink('guard', null), id: 'b', technique: 'fine', to: 'lock' },
    { ...blankLink('guard', null), id: 'c', technique: 'banned', to: 'in-guard' },
  ],
  reactions: [],
  rulesets: [],
} as unknown as MapData;

it('takes away what is not legal and gives control as the ruleset does', () => {
  const map = underRules(
    indexMap(data, { guard: 3 }),
    { positions: ['guard', 'in-guard'], techniques: ['fine'] },
    'strict',
  );
  expect([...map.position.keys()]).toEqual(['guard', 'in-guard']);
  expect(map.position.get('guard')?.control).toBe(-1);
  expect(map.position.get('in-guard')?.control).toBe(1);
  expect([...map.link.keys()]).toEqual(['a']);
  expect(map.centrality.guard).toBe(3);
});

it('tells a ruleset from a jacket', () => {
  expect(rulesetOf('jacket:JACKET')).toBeNull();
  expect(rulesetOf('strict')).toBe('strict');
  expect(rulesetOf(null)).toBeNull();
});
