import type { Item, SyllabusGroup } from '../api/types';

/** Two coaches changed the same of one rank; `what` are the items or groups, by what they are called. */
export type Merged = { groups: SyllabusGroup[]; clashes: string[] };

type Where = { item: Item; group: string };

const byId = (groups: SyllabusGroup[]) =>
  new Map<string, Where>(
    groups.flatMap((group) => group.items.map((item) => [item.id, { item, group: group.name }] as const)),
  );

const isSame = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other);

/**
 * What a rank asks once two changes of the same state stand together: theirs, which is kept already, and mine.
 *
 * @param base what both began with
 * @param called what an item is called
 */
export function merged(
  base: SyllabusGroup[],
  mine: SyllabusGroup[],
  theirs: SyllabusGroup[],
  called: (item: Item) => string,
): Merged {
  const was = byId(base);
  const my = byId(mine);
  const their = byId(theirs);
  const clashes: string[] = [];
  /** What I made of an item that they have; null: I took it out. */
  const mineOf = (id: string, now: Where): Where | null => {
    const before = was.get(id);
    const after = my.get(id);
    if (!before || isSame(before, after)) return now;
    if (!after) {
      if (!isSame(before, now)) clashes.push(called(now.item));
      return null;
    }
    const isClash = <T>(old: T, own: T, there: T) =>
      !isSame(own, old) && !isSame(there, old) && !isSame(own, there);
    const fields = (Object.keys(after.item) as (keyof Item)[])
      .filter((field) => !isSame(after.item[field], before.item[field]))
      .map((field) => [field, after.item[field]] as const);
    const clash = fields.some(([field]) => isClash(before.item[field], after.item[field], now.item[field]));
    if (clash || isClash(before.group, after.group, now.group)) clashes.push(called(now.item));
    return {
      item: { ...now.item, ...Object.fromEntries(fields) },
      group: after.group === before.group ? now.group : after.group,
    };
  };
  const all = theirs.flatMap((group) =>
    group.items.flatMap((item) => mineOf(item.id, { item, group: group.name }) ?? []),
  );
  for (const [id, added] of my)
    if (!was.has(id) && !their.has(id)) all.push(added);
    else if (was.has(id) && !their.has(id) && !isSame(was.get(id), added)) clashes.push(called(added.item));
  const names = theirs.map((group) => group.name);
  const wasGroup = new Map(base.map((group) => [group.name, group]));
  for (const group of mine) if (!wasGroup.has(group.name)) names.push(group.name);
  const dropped = new Set(base.map((group) => group.name));
  for (const group of mine) dropped.delete(group.name);
  const groups = names
    .map((name) => ({ name, items: all.filter((one) => one.group === name).map((one) => one.item) }))
    .filter(({ name, items }) => items.length > 0 || !dropped.has(name))
    .map(({ name, items }) => {
      const before = wasGroup.get(name)?.choose;
      const own = mine.find((group) => group.name === name)?.choose;
      const there = theirs.find((group) => group.name === name)?.choose;
      const choose = own !== undefined && own !== before ? own : (there ?? own ?? 0);
      return { name, choose: Math.min(choose, items.length), items };
    });
  const placed = new Set(groups.flatMap((group) => group.items.map((item) => item.id)));
  for (const one of all) if (!placed.has(one.item.id)) clashes.push(called(one.item));
  return { groups, clashes: [...new Set(clashes)] };
}
