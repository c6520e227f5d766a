import type { MapIndex } from '../../api/map';
import type { ChainView, LadderView } from '../../api/types';
import { nameOf } from '../../rank/nameOf';
import type { Subject } from '../../record/Judge';

/** What a mark, a day of practice or a piece of work is about, by id: a technique, a chain, or an item of a syllabus. */
export function subjectOf(
  id: string,
  map: MapIndex,
  chains: ChainView[] | undefined,
  views: LadderView[],
): Subject {
  const technique = map.technique.get(id);
  if (technique) return technique;
  const chain = chains?.find((c) => c.chain.id === id)?.chain.name;
  const item = views
    .flatMap((view) => view.ladder.ranks)
    .flatMap((rank) => rank.syllabus)
    .flatMap((group) => group.items)
    .find((one) => one.id === id || one.ref === id);
  const name = chain ?? map.position.get(id)?.name ?? (item && nameOf(item, map, chains)) ?? id;
  return { id, name, sided: false, faults: [] };
}
