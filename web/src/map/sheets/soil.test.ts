import { expect, it } from 'vitest';
import { indexMap } from '../../api/map';
import type { Edited, MapData } from '../../api/types';
import { blankLink, blankPosition, blankReaction } from '../../form/blanks';
import { changedSoil, comparedSoil, touchedBy, triedSoil } from '../../hill/soil';

const map = indexMap({
  pairs: ['a', 'b', 'c'].map((id) => ({
    id,
    stage: 'GRIPPED',
    first: blankPosition(id, id, 0),
    second: null,
  })),
  techniques: [],
  links: [{ ...blankLink('b', null), id: 'link', technique: 'sweep', to: 'c' }],
  reactions: [{ ...blankReaction({ link: 'link' }), id: 'they-post', leaves: 'c' }],
  rulesets: [],
} as unknown as MapData);
const edit = (kind: string, id: string) => ({ kind, id }) as Edited;

it('sees an edit where the changed thing starts', () => {
  expect(touchedBy(map, edit('pair', 'a'))).toEqual(['a']);
  expect(touchedBy(map, edit('link', 'link'))).toEqual(['b']);
  expect(touchedBy(map, edit('reaction', 'they-post'))).toEqual(['b']);
  expect(touchedBy(map, edit('technique', 'sweep'))).toEqual(['b']);
  expect(touchedBy(map, edit('chain', 'link'))).toEqual([]);
  expect(touchedBy(map, edit('link', 'gone'))).toEqual([]);
  expect(changedSoil(map, [edit('link', 'link')])).toEqual({ a: 'SAME', b: 'CHANGED', c: 'SAME' });
});

it('compares two reaches and counts tries', () => {
  expect(comparedSoil(map, { a: 1, b: 1 }, { b: 1 })).toEqual({ a: 'ADDED', b: 'BOTH', c: 'UNREACHED' });
  expect(comparedSoil(map, {}, { c: 1 }).c).toBe('LOST');
  expect(triedSoil(map, { a: 30, b: 4 })).toEqual({ a: 'MANY', b: 'FEW', c: 'UNTRIED' });
});
