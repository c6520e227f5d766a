import { useMemo, useState } from 'react';
import { newId, read } from '../../api/client';
import { roomPath, useRoom } from '../../api/pairs';
import type { ClassSheet, Name, Room } from '../../api/types';
import { withPairs } from '../../record/overlay';
import { useRecord, useWaiting } from '../../record/Recording';
import { useNotices } from '../../ui/Notices';
import { calledIn } from '../class/called';
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
  tableOf,
  takenOut,
  whyAlone,
} from './pairs';
import { sayingsOf } from './sayings';
import { useResting } from './useResting';
import { wavesOf } from './waves';

const NOBODY: Room = {
  block: null,
  people: [],
  couples: [],
  sitOut: {},
  words: {},
  bars: [],
  best: { groups: [], alone: [] },
  rounds: [],
  throwing: [],
  lifts: {},
  lacks: {},
  juniors: [],
};

/** Who works with whom tonight: made by the server where it answers, by the same table of the core where it does not. */
export function usePairs(sheet: ClassSheet, people: Name[], enabled: boolean) {
  const { id } = sheet.training;
  const [block, setBlock] = useState<string | null>(null);
  const asked = useRoom(id, block, enabled);
  const waiting = useWaiting();
  const record = useRecord();
  const say = useNotices();
  const { resting, rest, goOn } = useResting(id);
  const room = asked.data ?? NOBODY;
  const table = useMemo(() => tableOf(room), [room]);
  const bars = useMemo(() => new Set(room.bars), [room]);
  const rounds = withPairs(room.rounds, id, waiting);
  const round = rounds.at(-1);
  const groups: Group[] = round?.groups.map((group) => group.people) ?? [];
  const here = sheet.attendance.map((one) => one.student);
  const sitsOut = (who: string) =>
    resting.includes(who) ||
    who in room.sitOut ||
    Boolean(people.find((one) => one.id === who)?.limits.includes('HEAD_KNOCK') && isKnockedNow(who));
  const isKnockedNow = (who: string) =>
    waiting.some((one) => one.kind === 'incident' && one.body.student === who);
  const able = here.filter((who) => !sitsOut(who));
  const alone = aloneOf(groups, able);
  const gone = groups.flat().filter((who) => !here.includes(who));
  const calledBy = calledIn(people, [...here, ...groups.flat()]);

  const { words, named, carefully, aloneIn } = sayingsOf(room, table, calledBy);

  /** What stands against a group and a coach may lift: who keeps it together says so with it. */
  const liftedIn = (group: Group) =>
    against(group, table).filter((why) => bars.has(why) && room.lifts[why] !== 'NEVER');
  const put = async (next: Group[], roundId: string, says: string) => {
    const body = {
      id: roundId,
      classId: id,
      block: round?.id === roundId ? (round.block ?? null) : block,
      round: round === undefined ? 1 : round.id === roundId ? round.round : round.round + 1,
      groups: next.map((group) => ({ people: group, anyway: liftedIn(group) })),
    };
    await record({ kind: 'pair', body }, says);
  };
  const change = async (next: Group[], says: string, breaks?: string, undo?: () => void) => {
    if (!round) return;
    try {
      const before = groups;
      await put(next, round.id, says);
      say.done(breaks ? `${says}. ${breaks}` : `${says}.`, () => {
        undo?.();
        put(before, round.id, 'The pairs as before').catch(say.failed);
      });
    } catch (error) {
      say.failed(error);
    }
  };
  const make = async () => {
    const fresh = await read(
      roomPath(
        id,
        block,
        here.filter((who) => resting.includes(who)),
      ),
    ).catch(() => null);
    if (!fresh && !asked.data) {
      // Without the rules nobody is paired.
      say.failed(
        new Error('Pairs need the server once: it knows the rules. Open this class while it is connected.'),
      );
      return;
    }
    const of = fresh ?? room;
    const best = [...of.best.groups.flat(), ...of.best.alone].filter((who) => !(who in of.sitOut));
    const isSame = fresh !== null && best.length === able.length && able.every((who) => best.includes(who));
    const next = isSame ? of.best.groups : pairedUp(able, tableOf(of));
    try {
      await put(next, newId('r'), 'Pairs');
    } catch (error) {
      say.failed(error);
    }
  };
  /** That two are together now is nothing to say; that they were in an earlier round is. */
  const whyOf = (group: Group) => {
    const wereBefore = rounds
      .slice(0, -1)
      .some((earlier) =>
        earlier.groups.some((one) => group.filter((who) => one.people.includes(who)).length > 1),
      );
    return against(group, table).filter((why) => why !== 'TONIGHT' || wereBefore);
  };
  const throws = block === null ? room.throwing.length > 0 : room.throwing.includes(block);
  const whys = groups.map(whyOf);
  /** What is to be minded with most of them is said once. */
  const everywhere =
    groups.length > 2
      ? [...new Set(whys.flat())].filter(
          (why) => !bars.has(why) && whys.filter((all) => all.includes(why)).length * 2 > groups.length,
        )
      : [];
  const pairing = {
    block,
    /** What is to be minded with most pairs. */
    everywhere: words(everywhere),
    setBlock,
    groups,
    /** In which they throw one after the other, where the mat has not room for all. */
    waves: wavesOf(groups, throws ? sheet.training.lanes : 0),
    alone,
    gone,
    resting: here.filter(sitsOut),
    isMade: round !== undefined,
    isWaiting: asked.isPending && enabled,
    calledBy,
    make,
    /** What stands against a group, and what is to be minded in it. */
    said: (group: Group) => {
      const why = whyOf(group);
      return {
        breaks: words(why.filter((one) => room.lifts[one] === 'NEVER')),
        anyway: liftedIn(group).map((one) =>
          one === 'NO_FALLS' ? carefully(group) : `anyway: ${words([one])[0]}`,
        ),
        minds: words(why.filter((one) => !bars.has(one) && !everywhere.includes(one))),
        looks: group.some((who) => !table.knows(who)),
      };
    },
    swap: (one: string, other: string) => {
      const next = swapped(groups, one, other);
      const touched = next.filter((group) => group.includes(one) || group.includes(other));
      const barred = touched.find((group) => isBarred(group, table));
      if (barred) {
        const why = words(against(barred, table).filter((each) => room.lifts[each] === 'NEVER'));
        say.failed(new Error(`Not so. ${named(barred)}: ${why.join('; ') || 'not known here yet'}.`));
        return Promise.resolve();
      }
      const anyway = words([...new Set(touched.flatMap(liftedIn))]);
      return change(
        next,
        groups.flat().includes(one) || groups.flat().includes(other)
          ? `${calledBy(one)} and ${calledBy(other)} have changed places`
          : `${calledBy(one)} and ${calledBy(other)} work together`,
        anyway.length > 0 ? `You put them together anyway: ${anyway.join('; ')}.` : undefined,
      );
    },
    /** Why somebody is in no pair, and what may be done about it. */
    whyAlone: (who: string) => {
      const others = able.filter((other) => other !== who);
      const { reasons, fitting } = whyAlone(who, others, table, bars);
      const falls = reasons.some(({ why }) => why === 'NO_FALLS') ? (room.lacks[who] ?? []) : [];
      return {
        says: aloneIn(who, others, reasons, fitting),
        /** Falls that somebody has not passed, which is what stands against them. */
        falls,
        isJunior: room.juniors.includes(who),
        canThrow: falls.length > 0 && asThrower(who, groups, table, bars) !== groups,
        canAnyway: placed(who, groups, alone, lifted(table)) !== groups,
      };
    },
    placeAnyway: (who: string) => {
      const next = placed(who, groups, alone, lifted(table));
      const group = next.find((one) => one.includes(who)) ?? [];
      return change(
        next,
        `${named(group)} work together`,
        `You put them together anyway: ${words(liftedIn(group)).join('; ')}.`,
      );
    },
    /** They throw somebody who can fall, and are not thrown themselves. */
    placeThrowing: (who: string) => {
      const next = asThrower(who, groups, table, bars);
      const group = next.find((one) => one.includes(who)) ?? [];
      return change(next, `${named(group)} work together; ${carefully(group)}`);
    },
    /** A coach has seen somebody fall well: a mark for each fall that was missing. */
    seen: async (who: string) => {
      for (const fall of room.lacks[who] ?? []) {
        await record(
          { kind: 'mark', body: passOf(who, fall.id, id) },
          `${calledBy(who)}, ${fall.name}: pass`,
        );
      }
      await asked.refetch();
      say.done(`${calledBy(who)} can fall: ${(room.lacks[who] ?? []).map((fall) => fall.name).join(', ')}.`);
    },
    place: (who: string) => {
      const next = placed(who, groups, alone, table);
      if (next === groups) {
        const { says } = pairing.whyAlone(who);
        say.failed(new Error(says));
      } else void change(next, `${calledBy(who)} is placed`);
    },
    takeOut: (who: string, isResting: boolean) => {
      if (isResting) rest(who);
      const next = takenOut(who, groups, alone, table);
      return next === groups
        ? Promise.resolve()
        : change(next, `${calledBy(who)} is out of the pairs`, undefined, () => isResting && goOn(who));
    },
    goOn,
  };
  return pairing;
}

/** A fall that a coach has just seen done well. */
const passOf = (student: string, fall: string, classId: string) => ({
  id: newId('m'),
  student,
  subject: fall,
  side: 'BOTH' as const,
  standard: 'SHOWN' as const,
  passed: true,
  classId,
});

export type Pairing = ReturnType<typeof usePairs>;
