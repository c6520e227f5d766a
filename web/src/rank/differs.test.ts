import { expect, it } from 'vitest';
import type { Item, Ladder, Rank, SyllabusGroup } from '../api/types';
import { nth } from '../ui/lists';
import { asKept, syllabusDiffers, versionsDiffer, versionsOf } from './differs';
import { itemMoved, placed, withItems, withoutItems } from './syllabus';

const item = (id: string) => ({ id, standard: 'SHOWN', stripe: 0 }) as Item;

const groups: SyllabusGroup[] = [
  { name: 'Throws', choose: 0, items: [item('a'), item('b')] },
  { name: 'Chosen', choose: 2, items: [item('c'), item('d')] },
];

it('tells two syllabuses apart by names', () => {
  const called = (one: Item) => `the ${one.id}`;
  const after = placed(withItems(groups, ['a'], { standard: 'LIVE', stripe: 2 }), ['c'], 'Throws', null);
  expect(syllabusDiffers(groups, withoutItems(after, ['d']), called)).toEqual([
    'the a: standard shown → live',
    'the a: from stripe 0 → 2',
    'the c: from Chosen to Throws',
    'Took the d out of Chosen',
    'Chosen: 2 → all of them',
  ]);
  expect(syllabusDiffers([], groups, called)[0]).toBe('Added the a to Throws');
  expect(syllabusDiffers(groups, itemMoved(groups, 'b', -1), called)).toEqual([
    'The order, or the name of a group',
  ]);
});

it('reads what the journal kept without what is empty', () => {
  const kept = {
    syllabus: [{ name: 'Group 1' }, { name: 'Throws', items: [{ id: 'a', kind: 'TECHNIQUE', ref: 'a' }] }],
  };
  expect(asKept(kept)[0]).toEqual({ name: 'Group 1', choose: 0, items: [] });
  expect(nth(asKept(kept), 1).items[0]).toMatchObject({
    id: 'a',
    standard: 'SHOWN',
    stripe: 0,
    version: null,
  });
  expect([asKept(null), asKept({})]).toEqual([[], []]);
  expect(syllabusDiffers(asKept({}), asKept(kept), (one) => one.id)).toEqual(['Added a to Throws']);
});

const asks = (...items: Partial<Item>[]): SyllabusGroup[] => [
  {
    name: 'All',
    choose: 0,
    items: items.map((one) => ({ kind: 'TECHNIQUE', role: 'PERFORMER', ...one }) as Item),
  },
];

const rank = (id: string, syllabus: SyllabusGroup[]) => ({ id, name: id, syllabus }) as Rank;

it('tells the versions of a ladder apart rank by rank, and what only went to another rank', () => {
  const ladder = {
    ranks: [
      rank('white', asks({ id: 'hip-2', ref: 'hip', standard: 'LIVE' }, { id: 'new', ref: 'new' })),
      rank('yellow', asks({ id: 'sweep', ref: 'sweep' }, { id: 'stays', ref: 'stays' })),
      rank('green', asks({ id: 'green', ref: 'green' })),
    ],
    earlier: [
      {
        until: '2026-08-31',
        ranks: [
          {
            rank: 'white',
            syllabus: asks({ id: 'hip', ref: 'hip', standard: 'SHOWN' }, { id: 'old-sweep', ref: 'sweep' }),
          },
          { rank: 'yellow', syllabus: asks({ id: 'stays', ref: 'stays' }, { id: 'gone', ref: 'gone' }) },
        ],
      },
    ],
  } as unknown as Ladder;
  const now = nth(versionsOf(ladder), 0);
  const before = nth(versionsOf(ladder), 1);
  expect(
    versionsDiffer(ladder.ranks, before, now, (one) => one.ref ?? '').map(({ rank, lines }) => [
      rank.id,
      lines,
    ]),
  ).toEqual([
    ['white', ['Added new to All', 'hip: standard shown → live']],
    ['yellow', ['sweep: from white', 'Took gone out of All']],
  ]);
  expect(versionsDiffer(ladder.ranks, now, now, () => '')).toEqual([]);
});
