import { useMemo, useState } from 'react';
import { newId, read } from '../../api/client';
import { roomPath, useRoom } from '../../api/pairs';
import type { ClassSheet, Name, Room, Why } from '../../api/types';
import { withPairs } from '../../record/overlay';
import { useRecord, useWaiting } from '../../record/Recording';
import { useNotices } from '../../ui/Notices';
import { calledIn } from '../called';
import { against, aloneOf, type Group, pairedUp, placed, swapped, tableOf, takenOut } from './pairs';
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

  const put = async (next: Group[], roundId: string, says: string) => {
    const body = {
      id: roundId,
      classId: id,
      block: round?.id === roundId ? (round.block ?? null) : block,
      round: round === undefined ? 1 : round.id === roundId ? round.round : round.round + 1,
      groups: next.map((group) => ({ people: group })),
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
    const fresh = await read<Room>(
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
  const words = (why: Why[]) => why.map((one) => room.words[one] ?? one.toLowerCase());
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
  return {
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
        breaks: words(why.filter((one) => bars.has(one))),
        minds: words(why.filter((one) => !bars.has(one) && !everywhere.includes(one))),
        looks: group.some((who) => !table.knows(who)),
      };
    },
    swap: (one: string, other: string) => {
      const next = swapped(groups, one, other);
      const broken = next
        .filter((group) => group.includes(one) || group.includes(other))
        .flatMap((group) => words(against(group, table).filter((why) => bars.has(why))));
      return change(
        next,
        `${calledBy(one)} and ${calledBy(other)} have changed places`,
        broken.length > 0 ? `That breaks: ${[...new Set(broken)].join('; ')}.` : undefined,
      );
    },
    place: (who: string) => {
      const next = placed(who, groups, alone, table);
      if (next === groups)
        say.failed(new Error(`${calledBy(who)} fits into no pair. They work with the coach.`));
      else void change(next, `${calledBy(who)} is placed`);
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
}

export type Pairing = ReturnType<typeof usePairs>;
