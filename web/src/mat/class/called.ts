import type { Name } from '../../api/types';

/** With a last initial: Ada M. */
const initialed = ({ calledBy, name }: Name) => {
  const last = name.trim().split(/\s+/).at(-1) ?? '';
  return last && last !== calledBy ? `${calledBy} ${last[0]}.` : name;
};

/** What the people of a room are called so that no two are called the same: as always, with an initial, or by the whole name. */
export function calledIn(people: Name[], ids: string[]): (id: string) => string {
  const wanted = new Set(ids);
  const room = people.filter((one) => wanted.has(one.id));
  const times = (of: (one: Name) => string) => {
    const all = new Map<string, number>();
    for (const one of room) all.set(of(one), (all.get(of(one)) ?? 0) + 1);
    return all;
  };
  const [plain, initials] = [times((one) => one.calledBy), times(initialed)];
  const called = new Map(
    people.map((one) => [
      one.id,
      (plain.get(one.calledBy) ?? 0) < 2
        ? one.calledBy
        : (initials.get(initialed(one)) ?? 0) < 2
          ? initialed(one)
          : one.name,
    ]),
  );
  return (id) => called.get(id) ?? 'somebody';
}
