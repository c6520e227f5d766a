import { useQueryClient } from '@tanstack/react-query';
import { sendEdit } from '../api/client';
import type { MapIndex } from '../api/queries';
import type { Item, LadderView, Mend, Rank, SyllabusGroup } from '../api/types';
import { useSayDone } from '../form/useEdit';
import { useNotices } from '../ui/Notices';
import { added, fresh, plainLike } from './syllabus';

/** Items a mend adds. */
const itemsFor = (techniques: string[], rank: Rank, map: MapIndex): Item[] =>
  techniques.map((ref) =>
    fresh(rank, { kind: 'TECHNIQUE', ref, sides: map.technique.get(ref)?.sided ? 'BOTH' : 'EITHER' }),
  );

/** Changes what a rank asks for; each change can be undone from its notice. */
export function useSyllabus(view: LadderView | undefined, rank: Rank | undefined, map: MapIndex) {
  const client = useQueryClient();
  const say = useNotices();
  const sayDone = useSayDone();
  const path = `/ladders/${view?.ladder.id}/ranks/${rank?.id}/syllabus`;

  const changed = async () => {
    await client.invalidateQueries({ queryKey: ['ladders'] });
    client.invalidateQueries({ queryKey: ['map'] });
    client.invalidateQueries({ queryKey: ['people'] });
  };
  const save = async (groups: SyllabusGroup[], done: string) => {
    if (!view || !rank) return;
    try {
      const { edit } = await sendEdit('PUT', path, { groups }, view.tags[rank.id]);
      await changed();
      sayDone(done, edit);
    } catch (error) {
      say.failed(error);
      client.invalidateQueries({ queryKey: ['ladders'] });
    }
  };
  const add = (items: Item[], done: string, like = plainLike) =>
    rank ? save(added(rank, items, like), done) : Promise.resolve();
  const mend = (taken: Mend) => {
    if (!rank) return Promise.resolve();
    const names = taken.techniques.map((t) => map.technique.get(t)?.name).join(', ');
    return add(itemsFor(taken.techniques, rank, map), `${names} added to ${rank.name}.`);
  };
  return { save, add, mend };
}
