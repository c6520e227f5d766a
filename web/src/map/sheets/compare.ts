import type { LadderView, Rank } from '../../api/types';

/** The techniques first taught above the lower of two ranks, up to and with the higher one. */
export function addedBetween(
  view: LadderView,
  a: string,
  b: string,
): { higher: Rank; lower: Rank; techniques: string[] } {
  const at = new Map(view.ladder.ranks.map((rank, i) => [rank.id, i]));
  const place = (rank: string) => at.get(rank) ?? 0;
  const [low, high] = [place(a), place(b)].sort((x, y) => x - y);
  return {
    higher: view.ladder.ranks[high],
    lower: view.ladder.ranks[low],
    techniques: Object.keys(view.taughtAt).filter((technique) => {
      const taught = place(view.taughtAt[technique]);
      return taught > low && taught <= high;
    }),
  };
}
