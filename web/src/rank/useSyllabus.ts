import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { send, sendEdit } from '../api/client';
import type { MapIndex } from '../api/queries';
import type { Item, LadderView, Mend, Rank, SyllabusGroup, SyllabusLook } from '../api/types';
import { useSayDone } from '../form/useEdit';
import { useNotices } from '../ui/Notices';
import { date } from '../ui/words';
import { added, fresh, plainLike } from './syllabus';

/** Items a mend adds. */
const itemsFor = (techniques: string[], rank: Rank, map: MapIndex): Item[] =>
  techniques.map((ref) =>
    fresh(rank, { kind: 'TECHNIQUE', ref, sides: map.technique.get(ref)?.sided ? 'BOTH' : 'EITHER' }),
  );

/** A change that is not kept yet, and what it would do. */
type Asked = { groups: SyllabusGroup[]; done: string; look: SyllabusLook };

/** Changes what a rank asks for; each change can be undone from its notice. */
export function useSyllabus(view: LadderView | undefined, rank: Rank | undefined, map: MapIndex) {
  const client = useQueryClient();
  const say = useNotices();
  const sayDone = useSayDone();
  const [asked, setAsked] = useState<Asked | null>(null);
  const [last, setLast] = useState<SyllabusLook | null>(null);
  const path = `/ladders/${view?.ladder.id}/ranks/${rank?.id}/syllabus`;

  const changed = async () => {
    await client.invalidateQueries({ queryKey: ['ladders'] });
    client.invalidateQueries({ queryKey: ['map'] });
    client.invalidateQueries({ queryKey: ['people'] });
  };
  const keep = async ({ groups, done, look }: Asked, from?: string) => {
    if (!view || !rank) return;
    try {
      const { edit } = await sendEdit(
        'PUT',
        from ? `${path}?from=${from}` : path,
        { groups },
        view.tags[rank.id],
      );
      await changed();
      setLast(look);
      sayDone(from ? `${done} It is asked for belts from ${date(from)} on.` : done, edit);
    } catch (error) {
      say.failed(error);
      client.invalidateQueries({ queryKey: ['ladders'] });
    }
  };
  /** Keeps changed groups; where somebody who wears the rank would notice, that is said first. */
  const save = async (groups: SyllabusGroup[], done: string) => {
    try {
      const look = await send<SyllabusLook>('POST', `${path}/look`, { groups });
      const change = { groups, done, look };
      if (look.touches.length > 0) setAsked(change);
      else {
        setAsked(null);
        await keep(change);
      }
    } catch (error) {
      say.failed(error);
    }
  };
  const confirm = (from?: string) => {
    if (asked) void keep(asked, from);
    setAsked(null);
  };
  const add = (items: Item[], done: string, like = plainLike) =>
    rank ? save(added(rank, items, like), done) : Promise.resolve();
  const mend = (taken: Mend) => {
    if (!rank) return Promise.resolve();
    const names = taken.techniques.map((t) => map.technique.get(t)?.name).join(', ');
    return add(itemsFor(taken.techniques, rank, map), `${names} added to ${rank.name}.`);
  };
  return { save, add, mend, asked, last, confirm, leave: () => setAsked(null) };
}
