import { useState } from 'react';
import { Problem, read, send, sendEdit } from '../api/client';
import type { MapIndex } from '../api/map';
import type { Item, LadderView, Mend, Rank, SyllabusGroup, SyllabusLook } from '../api/types';
import { useChanged, useSayDone } from '../form/useEdit';
import { under } from '../ui/lists';
import { useNotices } from '../ui/Notices';
import { date } from '../ui/words';
import { merged } from './merged';
import { nameOf } from './nameOf';
import { added, fresh, movedTo, plainLike, type RankAsks } from './syllabus';

/** Items a mend adds. */
const itemsFor = (techniques: string[], rank: Rank, map: MapIndex): Item[] =>
  techniques.map((ref) =>
    fresh(rank, { kind: 'TECHNIQUE', ref, sides: map.technique.get(ref)?.sided ? 'BOTH' : 'EITHER' }),
  );

const groupsOf = ({ ladder }: LadderView, id: string) =>
  ladder.ranks.find((rank) => rank.id === id)?.syllabus ?? [];

/** A change that is not kept yet, and what it would do. */
type Asked = { asks: RankAsks[]; base: LadderView; what: string; done: string; look: SyllabusLook };

/** Changes what ranks ask for; each change can be undone from its notice. */
export function useSyllabus(view: LadderView | undefined, rank: Rank | undefined, map: MapIndex) {
  const changed = useChanged();
  const say = useNotices();
  const sayDone = useSayDone();
  const [asked, setAsked] = useState<Asked | null>(null);
  const [last, setLast] = useState<SyllabusLook | null>(null);
  const ladder = `/ladders/${view?.ladder.id}` as const;

  const put = (asks: RankAsks[], now: LadderView, from?: string) => {
    const query = from ? `?from=${from}` : '';
    const [only, ...others] = asks;
    return only && others.length === 0
      ? sendEdit(
          'PUT',
          `${ladder}/ranks/${only.rank}/syllabus${query}`,
          { groups: only.groups },
          under(now.tags, only.rank),
        )
      : sendEdit('PUT', `${ladder}/syllabuses${query}`, { ranks: asks }, now.tag);
  };
  /** Where somebody else was faster, both changes stand, unless they are of the same thing. */
  const putBoth = async ({ asks, base }: Asked, from?: string) => {
    try {
      return { ...(await put(asks, base, from)), also: '' };
    } catch (error) {
      if (!(error instanceof Problem && error.code === 'STALE')) throw error;
      const now = await read(ladder);
      const both = asks.map((mine) => ({
        rank: mine.rank,
        ...merged(groupsOf(base, mine.rank), mine.groups, groupsOf(now, mine.rank), (item) =>
          nameOf(item, map),
        ),
      }));
      const clashes = both.flatMap((one) => one.clashes);
      if (clashes.length > 0)
        throw new Problem(
          409,
          'STALE',
          `Somebody else changed ${clashes.join(', ')} meanwhile. Look at it and do it again.`,
        );
      const asked = both.map(({ rank: id, groups }) => ({ rank: id, groups }));
      return { ...(await put(asked, now, from)), also: ' Somebody else changed this rank too; both stand.' };
    }
  };
  const keep = async (change: Asked, from?: string) => {
    const { done, look } = change;
    try {
      const { edit, also } = await putBoth(change, from);
      await changed('syllabus');
      setLast(look);
      sayDone((from ? `${done} It is asked for belts from ${date(from)} on.` : done) + also, edit);
    } catch (error) {
      say.failed(error);
      await changed('syllabus');
    }
  };
  /**
   * Keeps what ranks ask for from now on; where somebody who wears one would notice, that is said first.
   *
   * @param what what a press would do, where that is always said first
   */
  const propose = async (asks: RankAsks[], done: string, what?: string) => {
    if (!view) return;
    try {
      const look = await send('POST', `${ladder}/look`, { ranks: asks });
      const change = { asks, base: view, what: what ?? done, done, look };
      if (what || look.ranks.some((one) => one.touches.length > 0)) setAsked(change);
      else {
        setAsked(null);
        await keep(change);
      }
    } catch (error) {
      say.failed(error);
    }
  };
  const save = (groups: SyllabusGroup[], done: string, what?: string) =>
    rank ? propose([{ rank: rank.id, groups }], done, what) : Promise.resolve();
  return {
    save,
    propose,
    /** Some items to another rank of the ladder. */
    move: (ids: string[], to: Rank, done: string) =>
      rank ? propose(movedTo(rank, to, ids), done) : Promise.resolve(),
    add: (items: Item[], done: string, like = plainLike) =>
      rank ? save(added(rank, items, like), done) : Promise.resolve(),
    mend: (taken: Mend) => {
      if (!rank) return Promise.resolve();
      const names = taken.techniques.map((t) => map.technique.get(t)?.name).join(', ');
      return save(
        added(rank, itemsFor(taken.techniques, rank, map), plainLike),
        `${names} added to ${rank.name}.`,
        `Add ${names} to ${rank.name}`,
      );
    },
    asked,
    last,
    confirm: (from?: string) => {
      if (asked) void keep(asked, from);
      setAsked(null);
    },
    leave: () => setAsked(null),
  };
}
