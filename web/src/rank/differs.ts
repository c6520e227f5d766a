import type { Item, Ladder, Rank, SyllabusGroup } from '../api/types';
import { nth } from '../ui/lists';

const FIELDS = {
  standard: 'standard',
  sides: 'sides',
  role: 'role',
  version: 'version',
  count: 'count',
  stripe: 'from stripe',
} as const;

const plainly = (value: string | number | null) =>
  value === null
    ? 'any'
    : typeof value === 'number'
      ? String(value)
      : value.toLowerCase().replaceAll('_', ' ');

type Placed = { item: Item; group: string };

const itemsIn = (groups: SyllabusGroup[]): Placed[] =>
  groups.flatMap((group) => group.items.map((item) => ({ item, group: group.name })));

/** Whether two items are about one thing, whatever is asked of it. */
const isAbout = (one: Item, other: Item) =>
  one.kind === other.kind && one.role === other.role && (one.ref ?? one.words) === (other.ref ?? other.words);

/** What stands on both sides, what only after and what only before; an item taken out and added again is the same one still. */
function paired(before: Placed[], after: Placed[]) {
  const gone = [...before];
  const both: [Placed, Placed][] = [];
  const take = (of: Placed, is: (one: Placed) => boolean) => {
    const at = gone.findIndex(is);
    if (at >= 0) both.push([...gone.splice(at, 1), of] as [Placed, Placed]);
    return at >= 0;
  };
  const left = after.filter((one) => !take(one, (old) => old.item.id === one.item.id));
  const added = left.filter((one) => !take(one, (old) => isAbout(old.item, one.item)));
  return { both, added, gone };
}

/** What is asked otherwise of one item. */
const fieldLines = (was: Item, is: Item, name: string) =>
  (Object.entries(FIELDS) as [keyof typeof FIELDS, string][])
    .filter(([field]) => was[field] !== is[field])
    .map(
      ([field, words]) =>
        `${name}: ${words} ${
          field === 'version' ? 'another version' : `${plainly(was[field])} → ${plainly(is[field])}`
        }`,
    );

const choiceLines = (before: SyllabusGroup[], after: SyllabusGroup[]) =>
  after.flatMap((group) => {
    const old = before.find((one) => one.name === group.name);
    return old && old.choose !== group.choose
      ? [`${group.name}: ${old.choose || 'all'} → ${group.choose || 'all'} of them`]
      : [];
  });

const bothLines = (both: [Placed, Placed][], called: (item: Item) => string) =>
  both.flatMap(([was, is]) => [
    ...(was.group === is.group ? [] : [`${called(is.item)}: from ${was.group} to ${is.group}`]),
    ...fieldLines(was.item, is.item, called(is.item)),
  ]);

/** What differs between two syllabuses, a line each, by what things are called. */
export function syllabusDiffers(
  before: SyllabusGroup[],
  after: SyllabusGroup[],
  called: (item: Item) => string,
): string[] {
  const { both, added, gone } = paired(itemsIn(before), itemsIn(after));
  const lines = [
    ...added.map(({ item, group }) => `Added ${called(item)} to ${group}`),
    ...bothLines(both, called),
    ...gone.map(({ item, group }) => `Took ${called(item)} out of ${group}`),
    ...choiceLines(before, after),
  ];
  return lines.length > 0 ? lines : ['The order, or the name of a group'];
}

/** What each rank of a ladder asks, by its id. */
export type Asks = Map<string, SyllabusGroup[]>;

/** The versions of a ladder's syllabus, the newest first, as the server serves them. */
export function versionsOf(ladder: Ladder): Asks[] {
  const now: Asks = new Map(ladder.ranks.map((rank) => [rank.id, rank.syllabus]));
  const earlier = ladder.earlier.map((then) => {
    const asked = new Map(then.ranks.map((of) => [of.rank, of.syllabus]));
    return new Map(ladder.ranks.map((rank) => [rank.id, asked.get(rank.id) ?? rank.syllabus]));
  });
  return [...earlier, now].reverse();
}

/** What differs rank by rank between two versions; what went to another rank is said where it is now. */
export function versionsDiffer(ranks: Rank[], before: Asks, after: Asks, called: (item: Item) => string) {
  const all = ranks.map((rank) => ({
    rank,
    ...paired(itemsIn(before.get(rank.id) ?? []), itemsIn(after.get(rank.id) ?? [])),
  }));
  const came = (at: (typeof all)[number], one: Placed): string[] => {
    for (const from of all) {
      const n = from === at ? -1 : from.gone.findIndex((old) => isAbout(old.item, one.item));
      if (n >= 0) {
        const old = nth(from.gone.splice(n, 1), 0);
        return [
          `${called(one.item)}: from ${from.rank.name}`,
          ...fieldLines(old.item, one.item, called(one.item)),
        ];
      }
    }
    return [`Added ${called(one.item)} to ${one.group}`];
  };
  const arrived = all.map((at) => at.added.flatMap((one) => came(at, one)));
  return all
    .map((at, n) => ({
      rank: at.rank,
      lines: [
        ...nth(arrived, n),
        ...bothLines(at.both, called),
        ...at.gone.map(({ item, group }) => `Took ${called(item)} out of ${group}`),
        ...choiceLines(before.get(at.rank.id) ?? [], after.get(at.rank.id) ?? []),
      ],
    }))
    .filter(({ lines }) => lines.length > 0);
}

/** The groups of a rank as the journal kept it, which leaves out what is empty or usual. */
export function asKept(kept: unknown): SyllabusGroup[] {
  const groups = (kept as { syllabus?: Partial<SyllabusGroup>[] } | null)?.syllabus ?? [];
  return groups.map((group) => ({
    name: group.name ?? '',
    choose: group.choose ?? 0,
    items: (group.items ?? []).map((item) => ({
      ...{ ref: null, words: null, version: null, standard: 'SHOWN', sides: 'EITHER', role: 'PERFORMER' },
      ...{ count: 0, stripe: 0 },
      ...item,
    })) as Item[],
  }));
}
