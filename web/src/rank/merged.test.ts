import { expect, it } from 'vitest';
import type { Item, SyllabusGroup } from '../api/types';
import { nth } from '../ui/lists';
import { merged } from './merged';
import { placed, withGroup, withItems, withoutItems } from './syllabus';

const item = (id: string) => ({ id, standard: 'SHOWN', stripe: 0 }) as Item;
const base: SyllabusGroup[] = [
  { name: 'Throws', choose: 0, items: [item('a'), item('b')] },
  { name: 'Chosen', choose: 2, items: [item('c'), item('d')] },
];
const plus = (groups: SyllabusGroup[], name: string, id: string) =>
  groups.map((group) => (group.name === name ? { ...group, items: [...group.items, item(id)] } : group));
const of = (mine: SyllabusGroup[], theirs: SyllabusGroup[]) => merged(base, mine, theirs, (one) => one.id);
const ids = (groups: SyllabusGroup[]) =>
  groups.map((group) => [group.name, ...group.items.map((one) => one.id)]);

it('keeps what both did to one rank', () => {
  const one = of(plus(base, 'Throws', 'x'), plus(base, 'Throws', 'y'));
  expect(ids(one.groups)[0]).toEqual(['Throws', 'a', 'b', 'y', 'x']);
  const two = of(withItems(base, ['a'], { standard: 'LIVE' }), withItems(base, ['a'], { stripe: 2 }));
  expect(nth(two.groups, 0).items[0]).toMatchObject({ standard: 'LIVE', stripe: 2 });
  const three = of(withoutItems(base, ['b']), placed(base, ['c'], 'Throws', null));
  expect(ids(three.groups)).toEqual([
    ['Throws', 'a', 'c'],
    ['Chosen', 'd'],
  ]);
  const four = of(withGroup(base, 1, { choose: 1 }), plus(base, 'Chosen', 'y'));
  expect(four.groups[1]).toMatchObject({ choose: 1, items: [{ id: 'c' }, { id: 'd' }, { id: 'y' }] });
  const five = of([...base, { name: 'Mine', choose: 0, items: [item('x')] }], withoutItems(base, ['a', 'b']));
  expect(ids(five.groups)).toEqual([['Throws'], ['Chosen', 'c', 'd'], ['Mine', 'x']]);
  for (const { clashes } of [one, two, three, four, five]) expect(clashes).toEqual([]);
});

it('says where both changed the same', () => {
  const standard = (to: Item['standard']) => withItems(base, ['a'], { standard: to });
  expect(of(standard('LIVE'), standard('MOVING')).clashes).toEqual(['a']);
  expect(of(standard('LIVE'), standard('LIVE')).clashes).toEqual([]);
  expect(of(standard('LIVE'), withoutItems(base, ['a'])).clashes).toEqual(['a']);
  expect(of(withoutItems(base, ['a']), standard('LIVE')).clashes).toEqual(['a']);
  expect(of(base, withGroup(base, 0, { name: 'Other' })).clashes).toEqual([]);
  expect(of(placed(base, ['c'], 'Throws', null), withGroup(base, 0, { name: 'Other' })).clashes).toEqual([
    'c',
  ]);
});
