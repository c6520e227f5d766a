import { describe, expect, it } from 'vitest';
import type { Item, Rank, SyllabusGroup } from '../api/types';
import { nth } from '../ui/lists';
import {
  added,
  copied,
  fresh,
  groupMoved,
  groupNameWrong,
  intoGroup,
  itemMoved,
  placed,
  plainLike,
  withGroup,
  withItem,
  withItems,
  withoutItem,
  withoutItems,
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
    expect(nth(changed, 0).items[1]).toEqual({ id: 'b', standard: 'LIVE', stripe: 2 });
    expect(nth(changed, 0).items[0]).toBe(nth(groups, 0).items[0]);
    expect(changed[1]).toEqual(groups[1]);
  });

  it('asks for no more than are left in a group', () => {
    expect(withoutItem(groups, 'd')[1]).toEqual({ name: 'Chosen', choose: 1, items: [item('c')] });
    expect(nth(withoutItem(groups, 'a'), 0).choose).toBe(0);
  });

  it('moves items within their group and into another, and groups', () => {
    expect(ids(itemMoved(groups, 'b', -1))).toEqual(['ba', 'cd']);
    expect(ids(itemMoved(groups, 'a', -1)), 'the first stays').toEqual(['ab', 'cd']);
    expect(ids(itemMoved(groups, 'd', 1)), 'the last stays').toEqual(['ab', 'cd']);
    expect(ids(intoGroup(groups, 'a', 'Chosen'))).toEqual(['b', 'cda']);
    expect(intoGroup(groups, 'nobody', 'Chosen')).toBe(groups);
    expect(ids(groupMoved(groups, 1, -1))).toEqual(['cd', 'ab']);
    expect(nth(withGroup(groups, 0, { choose: 1 }), 0).choose).toBe(1);
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

  it('copies what another rank asks without what the ladder asks already', () => {
    const rank = {
      id: 'blue',
      name: 'Blue',
      stripes: 1,
      syllabus: [{ name: 'Throws', choose: 0, items: [] }],
    };
    const asks = (ref: string | null, words: string | null, stripe: number) =>
      ({ id: 'x', kind: ref ? 'TECHNIQUE' : 'WORDS', ref, words, stripe, standard: 'LIVE' }) as Item;
    const from = {
      name: 'Green',
      syllabus: [
        { name: 'Throws', choose: 2, items: [asks('hip', null, 4), asks('leg', null, 0)] },
        { name: 'Known', choose: 0, items: [asks('arm', null, 0)] },
        { name: 'Words', choose: 0, items: [asks(null, 'Count to ten', 0)] },
      ],
    };
    const groups = copied(rank as unknown as Rank, from as unknown as Rank, new Set(['leg', 'arm']));
    expect(groups.map((group) => [group.name, group.choose, group.items.length])).toEqual([
      ['Throws, Green', 1, 1],
      ['Words', 0, 1],
    ]);
    expect(nth(groups, 0).items[0]).toMatchObject({ ref: 'hip', standard: 'LIVE', stripe: 1 });
    expect(nth(nth(groups, 0).items, 0).id).toMatch(/^blue-hip-[a-z0-9]+$/);
    expect(nth(nth(groups, 1).items, 0).id).toMatch(/^blue-count-to-ten-[a-z0-9]+$/);
  });

  it('gives a new item an id of at most 80 letters', () => {
    const item = fresh({ id: 'r'.repeat(60) } as Rank, { kind: 'TECHNIQUE', ref: 't'.repeat(60) });
    expect(item.id.length).toBeLessThanOrEqual(80);
    expect(item).toMatchObject({
      standard: 'SHOWN',
      sides: 'EITHER',
      role: 'PERFORMER',
      stripe: 0,
      count: 0,
    });
  });
});

describe('several at once, and dragged', () => {
  it('puts what was chosen before an item of any group, in the order in which it stood', () => {
    expect(ids(placed(groups, ['d', 'a'], 'Chosen', 'c'))).toEqual(['b', 'adc']);
    expect(ids(placed(groups, ['a'], 'Throws', null))).toEqual(['ba', 'cd']);
    expect(ids(placed(groups, ['b'], 'Throws', 'a'))).toEqual(['ba', 'cd']);
  });

  it('leaves what is dropped on itself, on nothing, or names nothing', () => {
    expect(placed(groups, ['a', 'b'], 'Throws', 'b')).toBe(groups);
    expect(placed(groups, ['a'], 'No group', null)).toBe(groups);
    expect(placed(groups, ['none'], 'Throws', null)).toBe(groups);
  });

  it('asks for no more than are left in the group they leave, and as many in the one they come to', () => {
    const moved = placed(groups, ['c'], 'Throws', null);
    expect(moved.map((group) => group.choose)).toEqual([0, 1]);
    expect(withItems(groups, ['a', 'd'], { stripe: 1 }).map((g) => g.items.map((i) => i.stripe))).toEqual([
      [1, 0],
      [0, 1],
    ]);
    expect(withoutItems(groups, ['a', 'c', 'd'])[1]).toEqual({ name: 'Chosen', choose: 0, items: [] });
  });
});
