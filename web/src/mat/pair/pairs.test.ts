import { describe, expect, it } from 'vitest';
import type { Room, Why } from '../../api/types';
import { random } from '../../testing/random';
import { nth } from '../../ui/lists';
import {
  against,
  aloneOf,
  asThrower,
  type Group,
  isBarred,
  lifted,
  pairedUp,
  placed,
  swapped,
  type Table,
  tableOf,
  takenOut,
  whyAlone,
} from './pairs';

function anyRoom(next: () => number): Room {
  const people = Array.from(
    { length: 2 + Math.floor(next() * 14) },
    (_, n) => `p${String(n).padStart(2, '0')}`,
  );
  const bars = next() * 0.6;
  const couples: Room['couples'] = [];
  for (let one = 0; one < people.length; one++)
    for (let other = one + 1; other < people.length; other++) {
      const isBarred = next() < bars;
      couples.push({
        one,
        other,
        cost: isBarred ? null : Math.floor(next() * 4000),
        why: isBarred ? ['WEIGHT'] : [],
      });
    }
  return {
    people,
    couples,
    sitOut: {},
    best: { groups: [], alone: [] },
    rounds: [],
    throwing: [],
    block: null,
    words: {},
    bars: [],
    lifts: { WEIGHT: 'ANYWAY', AGES: 'NEVER' },
    lacks: {},
    juniors: [],
  };
}

const changed = (before: Group[], after: Group[]) => {
  const then = new Set(after.map((group) => [...group].sort().join()));
  return before.filter((group) => !then.has([...group].sort().join())).length;
};

function sound(groups: Group[], here: string[], table: Table) {
  const all = groups.flat();
  expect(new Set(all).size).toBe(all.length);
  expect(here).toEqual(expect.arrayContaining(all));
  for (const group of groups) {
    expect([2, 3]).toContain(group.length);
    expect(against(group, table)).toEqual([]);
  }
}

describe('pairs without the server', () => {
  it('breaks no rule, leaves nobody who could be paired, and whoever comes or goes moves one group', () => {
    const next = random(31);
    for (let run = 0; run < 500; run++) {
      const room = anyRoom(next);
      const table = tableOf(room);
      const late = nth(room.people, 0);
      const here = room.people.slice(1);
      const groups = pairedUp(here, table);
      sound(groups, here, table);
      const alone = aloneOf(groups, here);
      for (const one of alone) {
        expect(alone.filter((other) => other !== one && table.fit(one, other))).toEqual([]);
        for (const group of groups)
          expect(group.length === 3 || group.some((other) => !table.fit(one, other))).toBe(true);
      }
      const then = placed(late, groups, alone, table);
      sound(then, room.people, table);
      expect(changed(groups, then)).toBeLessThanOrEqual(1);
      const hurt = nth(room.people, Math.floor(next() * room.people.length));
      const after = takenOut(hurt, then, aloneOf(then, room.people), table);
      expect(after.flat()).not.toContain(hurt);
      sound(after, room.people, table);
      expect(changed(then, after)).toBeLessThanOrEqual(2);
    }
  });

  const room: Room = {
    people: ['a', 'b', 'c', 'd', 'e'],
    couples: [
      { one: 0, other: 1, cost: 100, why: [] },
      { one: 0, other: 2, cost: 900, why: ['LAST_CLASS'] },
      { one: 0, other: 3, cost: null, why: ['WEIGHT'] },
      { one: 2, other: 3, cost: 900, why: [] },
    ],
    sitOut: {},
    best: { groups: [], alone: [] },
    rounds: [],
    throwing: [],
    block: null,
    words: {},
    bars: [],
    lifts: { WEIGHT: 'ANYWAY', AGES: 'NEVER' },
    lacks: {},
    juniors: [],
  };
  const table = tableOf(room);

  it('takes who costs least, whichever way round two are named', () => {
    expect(
      pairedUp(['a', 'b', 'c', 'd'], table)
        .map((group) => [...group].sort().join(''))
        .sort(),
    ).toEqual(['ac', 'bd']);
    expect(table.cost('c', 'a')).toBe(900);
    expect(table.fit('d', 'a')).toBe(false);
    expect(table.fit('a', 'guest'), 'whom nobody knows the coach pairs').toBe(false);
    expect(
      pairedUp(['a', 'c', 'd', 'e'], table)
        .map((group) => [...group].sort().join(''))
        .sort(),
    ).toEqual(['ae', 'cd']);
  });

  it('places somebody late with whoever is alone, then out of a trio, then as a third', () => {
    expect(placed('e', [['a', 'b']], ['c', 'e'], table)).toEqual([
      ['a', 'b'],
      ['c', 'e'],
    ]);
    expect(placed('e', [['a', 'b', 'c']], ['e'], table)).toEqual([
      ['b', 'c'],
      ['a', 'e'],
    ]);
    expect(placed('e', [['a', 'c', 'd']], ['e'], table), 'the two left of a trio have to fit').toEqual([
      ['c', 'd'],
      ['a', 'e'],
    ]);
    expect(placed('e', [['a', 'b']], ['e'], table)).toEqual([['a', 'b', 'e']]);
    expect(placed('d', [['a', 'b']], ['d'], table)).toEqual([['a', 'b']]);
    expect(takenOut('e', [['a', 'b', 'e']], [], table)).toEqual([['a', 'b']]);
  });

  it('swaps two people and says what stands against them then', () => {
    const after = swapped(
      [
        ['a', 'b'],
        ['c', 'd'],
      ],
      'b',
      'd',
    );
    expect(after).toEqual([
      ['a', 'd'],
      ['c', 'b'],
    ]);
    expect(against(nth(after, 0), table)).toEqual(['WEIGHT']);
    expect(swapped([['a', 'b']], 'b', 'e')).toEqual([['a', 'e']]);
  });

  const barred = tableOf({
    ...room,
    bars: ['AGES', 'WEIGHT'],
    couples: [
      { one: 0, other: 1, cost: null, why: ['AGES'] },
      { one: 0, other: 2, cost: null, why: ['WEIGHT'] },
      { one: 0, other: 3, cost: null, why: ['AGES', 'WEIGHT'] },
      { one: 0, other: 4, cost: null, why: ['AGES'] },
    ],
  });

  it('says why somebody is alone: what keeps them from most first, and who would fit', () => {
    const bars = new Set<Why>(['AGES', 'WEIGHT']);
    expect(whyAlone('a', ['b', 'c', 'd', 'e'], barred, bars)).toEqual({
      reasons: [
        { why: 'AGES', people: ['b', 'd', 'e'] },
        { why: 'WEIGHT', people: ['c'] },
      ],
      fitting: [],
    });
    expect(whyAlone('b', ['a', 'c'], barred, bars).fitting).toEqual(['c']);
  });

  it('pairs anyway where a coach may say so, and never where no touch lifts it', () => {
    const coach = lifted(barred);
    expect(coach.fit('a', 'c')).toBe(true);
    expect(coach.fit('a', 'b')).toBe(false);
    expect(coach.fit('a', 'd'), 'one of two reasons is final').toBe(false);
    expect(placed('a', [['b', 'e']], [], coach)).toEqual([['b', 'e']]);
    expect(placed('a', [], ['c', 'b'], coach)).toEqual([['c', 'a']]);
    expect(isBarred(['a', 'b'], barred)).toBe(true);
    expect(isBarred(['a', 'c'], barred)).toBe(false);
    expect(isBarred(['a', 'a stranger'], barred), 'not known here').toBe(true);
  });

  it('over a thousand evenings puts nobody together whom no touch lifts, whatever the coach touches', () => {
    const next = random(77);
    const kinds: Why[] = ['WEIGHT', 'NO_FALLS', 'AGES', 'APART', 'GUEST_UNKNOWN', 'LAST_CLASS'];
    const lifts: Room['lifts'] = {
      WEIGHT: 'ANYWAY',
      NO_FALLS: 'FALLS',
      AGES: 'NEVER',
      APART: 'NEVER',
      GUEST_UNKNOWN: 'NEVER',
    };
    const bars = new Set(kinds.filter((why) => lifts[why]));
    let anyway = 0;
    let thrown = 0;
    for (let evening = 0; evening < 1000; evening++) {
      const room = anyRoom(next);
      room.couples = room.couples.map((couple) => {
        const why = kinds.filter(() => next() < 0.2);
        return { ...couple, why, cost: why.some((one) => bars.has(one)) ? null : (couple.cost ?? 1) };
      });
      const table = tableOf({ ...room, bars: [...bars], lifts });
      const here = [...room.people, 'guest of this minute'].filter(() => next() < 0.9);
      const mayNot = (group: Group) =>
        group.some((one, n) =>
          group.slice(n + 1).some((other) => {
            const places = [room.people.indexOf(one), room.people.indexOf(other)];
            const [a, b] = [Math.min(...places), Math.max(...places)];
            const couple = room.couples.find((each) => each.one === a && each.other === b);
            return a < 0 || Boolean(couple?.why.some((why) => lifts[why] === 'NEVER'));
          }),
        );
      let groups = pairedUp(here, table);
      for (let touch = 0; touch < 12; touch++) {
        const who = here[Math.floor(next() * here.length)];
        const other = nth(here, Math.floor(next() * here.length));
        if (!who || who === other) continue;
        const alone = aloneOf(groups, here);
        const before = groups;
        if (alone.includes(who) && next() < 0.5) {
          groups = placed(who, groups, alone, lifted(table));
          anyway += groups === before ? 0 : 1;
        } else if (alone.includes(who)) {
          groups = asThrower(who, groups, table, bars);
          thrown += groups === before ? 0 : 1;
          const others = groups.find((group) => group.includes(who))?.filter((one) => one !== who) ?? [];
          const between = others.flatMap((one) => table.why(who, one));
          expect(between.filter((why) => bars.has(why) && why !== 'NO_FALLS')).toEqual([]);
        } else if (next() < 0.5) {
          const next = swapped(groups, who, other);
          if (!next.some((group) => isBarred(group, table))) groups = next;
        } else groups = takenOut(who, groups, alone, table);
        expect(groups.filter(mayNot)).toEqual([]);
        expect(new Set(groups.flat()).size).toBe(groups.flat().length);
      }
    }
    expect(anyway, 'otherwise nothing was tried').toBeGreaterThan(200);
    expect(thrown, 'otherwise nothing was tried').toBeGreaterThan(50);
  });

  it('brings two who are alone together', () => {
    expect(swapped([['b', 'e']], 'a', 'c')).toEqual([
      ['b', 'e'],
      ['a', 'c'],
    ]);
  });
});
