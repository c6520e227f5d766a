import type { Room, Why } from '../../api/types';
import { nth } from '../../ui/lists';

/** What the core says of any two of a room. */
export type Table = {
  knows: (id: string) => boolean;
  fit: (one: string, other: string) => boolean;
  cost: (one: string, other: string) => number;
  why: (one: string, other: string) => Why[];
  /** Whether no touch of anybody puts them together. */
  never: (one: string, other: string) => boolean;
};

/** Two whom a coach puts together against the rules come after all who fit. */
const ANYWAY = 100_000;

/** Two or three who work together. */
export type Group = string[];
type Couple = [string, string];

/** Somebody whom the room does not know, such as a guest of this minute, is paired by the coach and not by itself. */
export function tableOf(room: Room): Table {
  const place = new Map(room.people.map((id, n) => [id, n]));
  const said = new Map(
    room.couples.map((couple) => [couple.one * room.people.length + couple.other, couple]),
  );
  const of = (one: string, other: string) => {
    const a = place.get(one);
    const b = place.get(other);
    if (a === undefined || b === undefined) return undefined;
    return said.get(Math.min(a, b) * room.people.length + Math.max(a, b));
  };
  return {
    knows: (id) => place.has(id),
    fit: (one, other) => {
      const couple = of(one, other);
      return place.has(one) && place.has(other) && (!couple || couple.cost !== null);
    },
    cost: (one, other) => of(one, other)?.cost ?? 0,
    why: (one, other) => of(one, other)?.why ?? [],
    never: (one, other) =>
      !place.has(one) ||
      !place.has(other) ||
      (of(one, other)?.why ?? []).some((why) => room.lifts[why] === 'NEVER'),
  };
}

/** The same table where a coach says *pair anyway*: what a coach can lift is lifted, and nothing else. */
export const lifted = (table: Table): Table => ({
  ...table,
  fit: (one, other) => !table.never(one, other),
  cost: (one, other) => (table.fit(one, other) ? table.cost(one, other) : ANYWAY),
});

/** Whether two of a group are together whom no touch puts together. */
export const isBarred = (group: Group, table: Table): boolean =>
  group.some((one, n) => group.slice(n + 1).some((other) => table.never(one, other)));

/** What keeps somebody from each of the others, with whom; and who of them would fit. */
export function whyAlone(who: string, others: string[], table: Table, bars: Set<Why>) {
  const from = new Map<Why, string[]>();
  for (const other of others)
    for (const why of table
      .why(who, other)
      .filter((one) => bars.has(one))
      .slice(0, 1))
      from.set(why, [...(from.get(why) ?? []), other]);
  return {
    reasons: [...from].sort(([, a], [, b]) => b.length - a.length).map(([why, people]) => ({ why, people })),
    fitting: others.filter((other) => table.fit(who, other)),
  };
}

/** Who is here and in no group. */
export const aloneOf = (groups: Group[], here: string[]) => {
  const placed = new Set(groups.flat());
  return here.filter((id) => !placed.has(id));
};

const fits = (person: string, group: Group, table: Table) => group.every((other) => table.fit(person, other));

const costs = (person: string, group: Group, table: Table) =>
  group.reduce((sum, other) => sum + table.cost(person, other), 0);

const without = (group: Group, person: string) => group.filter((one) => one !== person);

function cheapest<T>(all: T[], cost: (one: T) => number): T | undefined {
  let best: T | undefined;
  for (const one of all) if (best === undefined || cost(one) < cost(best)) best = one;
  return best;
}

/**
 * Places somebody who came late: with somebody who is alone, else with one out of a trio, else as a third. At most one group
 * changes; where no group bears them they stay alone.
 */
export function placed(person: string, groups: Group[], alone: string[], table: Table): Group[] {
  const others = alone.filter((one) => one !== person && table.fit(person, one));
  const mate = cheapest(others, (one) => table.cost(person, one));
  if (mate !== undefined) return [...groups, [mate, person]];
  const out = groups
    .filter((group) => group.length === 3)
    .flatMap((trio) => trio.map((third) => ({ trio, third, rest: without(trio, third) })))
    .filter(({ third, rest }) => table.fit(person, third) && table.fit(nth(rest, 0), nth(rest, 1)));
  const taken = cheapest(
    out,
    ({ third, rest }) => table.cost(person, third) + table.cost(nth(rest, 0), nth(rest, 1)),
  );
  if (taken)
    return [...groups.map((group) => (group === taken.trio ? taken.rest : group)), [taken.third, person]];
  const joined = cheapest(
    groups.filter((group) => group.length === 2 && fits(person, group, table)),
    (group) => costs(person, group, table),
  );
  return joined ? groups.map((group) => (group === joined ? [...group, person] : group)) : groups;
}

/**
 * Joins somebody who is not thrown to two of whom one can be: they throw, and are not thrown. Nothing but the falls stands
 * between any two of them; where there are no such two the groups stay.
 */
export function asThrower(person: string, groups: Group[], table: Table, bars: Set<Why>): Group[] {
  const onlyFalls = (other: string) =>
    !table.never(person, other) &&
    table.why(person, other).every((why) => why === 'NO_FALLS' || !bars.has(why));
  const joined = cheapest(
    groups.filter(
      (group) =>
        group.length === 2 && group.every(onlyFalls) && group.some((other) => table.fit(person, other)),
    ),
    (group) => costs(person, group, table),
  );
  return joined ? groups.map((group) => (group === joined ? [...group, person] : group)) : groups;
}

/** Takes somebody out; who worked with them is placed again, and nobody else moves. */
export function takenOut(person: string, groups: Group[], alone: string[], table: Table): Group[] {
  const group = groups.find((one) => one.includes(person));
  if (!group) return groups;
  const rest = without(group, person);
  if (rest.length === 2) return groups.map((one) => (one === group ? rest : one));
  const left = groups.filter((one) => one !== group);
  return placed(
    nth(rest, 0),
    left,
    alone.filter((one) => one !== person),
    table,
  );
}

/** Two people in each other's place; one of them may be alone, and two who are alone come together. */
export function swapped(groups: Group[], one: string, other: string): Group[] {
  const placed = groups.flat();
  if (!placed.includes(one) && !placed.includes(other)) return [...groups, [one, other]];
  return groups.map((group) => group.map((id) => (id === one ? other : id === other ? one : id)));
}

/** What stands against a group, or is to be minded in it. */
export const against = (group: Group, table: Table): Why[] => [
  ...new Set(group.flatMap((one, n) => group.slice(n + 1).flatMap((other) => table.why(one, other)))),
];

/**
 * Pairs without the server: the cheapest couples first, then better wherever two pairs cost less the other way round or
 * somebody alone can be let in. Not always the very best, and by the same rules.
 */
export function pairedUp(here: string[], table: Table): Group[] {
  const people = [...here].sort();
  const couples = people
    .flatMap((one, n) => people.slice(n + 1).map((other): [string, string] => [one, other]))
    .filter(([one, other]) => table.fit(one, other))
    .sort((a, b) => table.cost(...a) - table.cost(...b));
  let groups: Group[] = [];
  const taken = new Set<string>();
  for (const couple of couples)
    if (!couple.some((id) => taken.has(id))) {
      groups.push(couple);
      for (const id of couple) taken.add(id);
    }
  groups = letIn(groups, aloneOf(groups, people), table);
  for (let better = cheaper(groups, table); better; better = cheaper(groups, table)) groups = better;
  for (const id of aloneOf(groups, people)) {
    const joined = cheapest(
      groups.filter((group) => group.length === 2 && fits(id, group, table)),
      (group) => costs(id, group, table),
    );
    if (joined) groups = groups.map((group) => (group === joined ? [...group, id] : group));
  }
  return groups;
}

/** Two who are alone come in by parting one pair, as long as there are such. */
function letIn(groups: Group[], alone: string[], table: Table): Group[] {
  for (const one of alone)
    for (const other of alone) {
      if (one === other) continue;
      const parted = groups.find((group) => table.fit(one, nth(group, 0)) && table.fit(other, nth(group, 1)));
      if (parted)
        return letIn(
          [...groups.filter((group) => group !== parted), [nth(parted, 0), one], [nth(parted, 1), other]],
          alone.filter((id) => id !== one && id !== other),
          table,
        );
    }
  return groups;
}

/** The same pairs with two of them the other way round, if that costs less. */
function cheaper(groups: Group[], table: Table): Group[] | null {
  for (let i = 0; i < groups.length; i++)
    for (let j = 0; j < i; j++) {
      const [a, b] = nth(groups, i) as Couple;
      const [c, d] = nth(groups, j) as Couple;
      const now = table.cost(a, b) + table.cost(c, d);
      for (const [x, y] of [
        [c, d],
        [d, c],
      ] as const) {
        if (table.fit(a, x) && table.fit(b, y) && table.cost(a, x) + table.cost(b, y) < now)
          return groups.map((group, n) => (n === i ? [a, x] : n === j ? [b, y] : group));
      }
    }
  return null;
}
