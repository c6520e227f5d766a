import { describe, expect, it } from 'vitest';
import type { Item, Rank, SyllabusGroup } from '../api/types';
import {
  added,
  groupMoved,
  groupNameWrong,
  intoGroup,
  itemMoved,
  plainLike,
  withGroup,
  withItem,
  withoutItem,
} from './syllabus';

const item = (id: string) => ({ id, standard: 'SHOWN', stripe: 0 }) as Item;

const groups: SyllabusGroup[] = [
  { name: 'Throws', choose: 0, items: [item('a'), item('b')] },
  { name: 'Chosen', choose: 2, items: [item('c'), item('d')] },
];

const ids = (all: SyllabusGroup[]) => all.map((group) => group.items.map((one) => one.id).join(''));

describe('a syllabus changed where it stands', () => {
  it('changes one item and leaves the others as they are', () => {
    const changed = withItem(groups, 'b', { standard: 'LIVE', stripe: 2 });
    expect(changed[0].items[1]).toEqual({ id: 'b', standard: 'LIVE', stripe: 2 });
    expect(changed[0].items[0]).toBe(groups[0].items[0]);
    expect(changed[1]).toEqual(groups[1]);
  });

  it('asks for no more than are left in a group', () => {
    expect(withoutItem(groups, 'd')[1]).toEqual({ name: 'Chosen', choose: 1, items: [item('c')] });
    expect(withoutItem(groups, 'a')[0].choose).toBe(0);
  });

  it('moves items within their group and into another, and groups', () => {
    expect(ids(itemMoved(groups, 'b', -1))).toEqual(['ba', 'cd']);
    expect(ids(itemMoved(groups, 'a', -1)), 'the first stays').toEqual(['ab', 'cd']);
    expect(ids(itemMoved(groups, 'd', 1)), 'the last stays').toEqual(['ab', 'cd']);
    expect(ids(intoGroup(groups, 'a', 'Chosen'))).toEqual(['b', 'cda']);
    expect(intoGroup(groups, 'nobody', 'Chosen')).toBe(groups);
    expect(ids(groupMoved(groups, 1, -1))).toEqual(['cd', 'ab']);
    expect(withGroup(groups, 0, { choose: 1 })[0].choose).toBe(1);
  });

  it('refuses a name that is empty or taken', () => {
    expect(groupNameWrong(groups, 0, ' ')).toBe('What is it called?');
    expect(groupNameWrong(groups, 0, 'Chosen ')).toBe('There is one of that name.');
    expect(groupNameWrong(groups, 1, 'Chosen')).toBeNull();
    expect(groupNameWrong(groups, 0, 'x'.repeat(81))).toBe('At most 80 letters.');
  });

  it('adds to the group last used, else to the last that asks for all, else begins one', () => {
    const rank = { syllabus: groups } as Rank;
    expect(ids(added(rank, [item('e')], { ...plainLike, group: 'Chosen' }))).toEqual(['ab', 'cde']);
    expect(ids(added(rank, [item('e')], plainLike))).toEqual(['abe', 'cd']);
    expect(added({ syllabus: [] } as unknown as Rank, [item('e')], plainLike)).toEqual([
      { name: 'What is asked', choose: 0, items: [item('e')] },
    ]);
  });
});
