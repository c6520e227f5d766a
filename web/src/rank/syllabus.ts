import type { Item, Rank, SyllabusGroup } from '../api/types';
import { slug } from '../form/fields';
import { stepped } from '../ui/lists';

const isOneOf = (ids: readonly string[]) => {
  const all = new Set(ids);
  return (item: Item) => all.has(item.id);
};

/** The groups with some items changed, where they stand. */
export const withItems = (
  groups: SyllabusGroup[],
  ids: readonly string[],
  part: Partial<Item>,
): SyllabusGroup[] => {
  const isMeant = isOneOf(ids);
  return groups.map((group) => ({
    ...group,
    items: group.items.map((item) => (isMeant(item) ? { ...item, ...part } : item)),
  }));
};

export const withItem = (groups: SyllabusGroup[], id: string, part: Partial<Item>) =>
  withItems(groups, [id], part);

/** The groups without some items; a group that asks for some of its items asks for no more than are left. */
export const withoutItems = (groups: SyllabusGroup[], ids: readonly string[]): SyllabusGroup[] => {
  const isMeant = isOneOf(ids);
  return groups.map((group) => {
    const items = group.items.filter((item) => !isMeant(item));
    return { ...group, items, choose: Math.min(group.choose, items.length) };
  });
};

export const withoutItem = (groups: SyllabusGroup[], id: string) => withoutItems(groups, [id]);

/**
 * Some items, in the order in which they stand, moved into a group.
 *
 * @param before the item they come before; null: at the end
 */
export function placed(
  groups: SyllabusGroup[],
  ids: readonly string[],
  to: string,
  before: string | null,
): SyllabusGroup[] {
  if (before !== null && ids.includes(before)) return groups;
  const moved = groups.flatMap((group) => group.items).filter(isOneOf(ids));
  if (moved.length === 0 || groups.every((group) => group.name !== to)) return groups;
  return groups.map((group) => {
    const rest = group.items.filter((item) => !ids.includes(item.id));
    if (group.name !== to) return { ...group, items: rest, choose: Math.min(group.choose, rest.length) };
    const at = before === null ? -1 : rest.findIndex((item) => item.id === before);
    const items = at < 0 ? [...rest, ...moved] : [...rest.slice(0, at), ...moved, ...rest.slice(at)];
    return { ...group, items };
  });
}

/** An item in another group, at its end. */
export const intoGroup = (groups: SyllabusGroup[], id: string, to: string) => placed(groups, [id], to, null);

/** An item one place earlier or later within its group. */
export const itemMoved = (groups: SyllabusGroup[], id: string, step: -1 | 1): SyllabusGroup[] =>
  groups.map((group) => ({
    ...group,
    items: stepped(
      group.items,
      group.items.findIndex((item) => item.id === id),
      step,
    ),
  }));

/** A group one place earlier or later. */
export const groupMoved = (groups: SyllabusGroup[], at: number, step: -1 | 1): SyllabusGroup[] =>
  stepped(groups, at, step);

/** A group with another name, or asking for another number of its items; 0: all. */
export const withGroup = (
  groups: SyllabusGroup[],
  at: number,
  part: Partial<Pick<SyllabusGroup, 'name' | 'choose'>>,
): SyllabusGroup[] => groups.map((group, n) => (n === at ? { ...group, ...part } : group));

/** Why a group cannot be called so; null: it can. */
export function groupNameWrong(groups: SyllabusGroup[], at: number, name: string): string | null {
  const wanted = name.trim();
  if (!wanted) return 'What is it called?';
  if (wanted.length > 80) return 'At most 80 letters.';
  return groups.some((group, n) => n !== at && group.name === wanted) ? 'There is one of that name.' : null;
}

/** What the next one added is like: as the last one that was added to this rank or changed in it. */
export type Like = { group: string | null } & Pick<Item, 'standard' | 'stripe'>;

export const plainLike: Like = { group: null, standard: 'SHOWN', stripe: 0 };

/** The rank's groups with more items at the end of the group meant, else of its last one; a rank without any begins one. */
export function added(rank: Rank, items: Item[], like: Like): SyllabusGroup[] {
  const { syllabus } = rank;
  const at = syllabus.findIndex((group) => group.name === like.group);
  const to = at < 0 ? syllabus.findLastIndex((group) => group.choose === 0) : at;
  if (to < 0) return [...syllabus, { name: 'What is asked', choose: 0, items }];
  return syllabus.map((group, n) => (n === to ? { ...group, items: [...group.items, ...items] } : group));
}

/** What one rank of a ladder asks for. */
export type RankAsks = { rank: string; groups: SyllabusGroup[] };

/** What two ranks ask once some items have gone from one to the other: at its end, from no stripe that it has not. */
export function movedTo(from: Rank, to: Rank, ids: readonly string[]): RankAsks[] {
  const items = from.syllabus
    .flatMap((group) => group.items)
    .filter(isOneOf(ids))
    .map((item) => ({ ...item, stripe: Math.min(item.stripe, to.stripes) }));
  return [
    { rank: from.id, groups: withoutItems(from.syllabus, ids) },
    { rank: to.id, groups: added(to, items, plainLike) },
  ];
}

const withoutId = ({ id: _, ...rest }: Partial<Item>) => rest;

/** A new item of a rank, with an id that no item of the ladder has yet. */
export function fresh(rank: Rank, part: Partial<Item> & Pick<Item, 'kind'>): Item {
  const about = part.ref ?? slug(part.words ?? part.kind);
  return {
    id: `${`${rank.id}-${about}`.slice(0, 70).replace(/-+$/, '')}-${Math.random().toString(36).slice(2, 7)}`,
    ref: null,
    words: null,
    version: null,
    standard: 'SHOWN',
    sides: 'EITHER',
    role: 'PERFORMER',
    count: 0,
    stripe: 0,
    ...withoutId(part),
    kind: part.kind,
  };
}

/** What another rank asks, as groups of this one: without what the ladder asks already, names that are taken told apart. */
export function copied(rank: Rank, from: Rank, taken: ReadonlySet<string>): SyllabusGroup[] {
  const names = new Set(rank.syllabus.map((group) => group.name));
  return from.syllabus.flatMap((group) => {
    const items = group.items
      .filter((item) => item.ref === null || !taken.has(item.ref))
      .map((item) => ({ ...fresh(rank, item), stripe: Math.min(item.stripe, rank.stripes) }));
    if (items.length === 0) return [];
    const name = names.has(group.name) ? `${group.name}, ${from.name}` : group.name;
    names.add(name);
    return [{ name, choose: Math.min(group.choose, items.length), items }];
  });
}
