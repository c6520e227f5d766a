import type { LadderView, Rank } from '../../api/types';
import { nth } from '../../ui/lists';

/** The techniques first taught above the lower of two ranks, up to and with the higher one. */
export function addedBetween(
  view: LadderView,
  a: string,
  b: string,
): { higher: Rank; lower: Rank; techniques: string[] } {
  const at = new Map(view.ladder.ranks.map((rank, i) => [rank.id, i]));
  const place = (rank: string) => at.get(rank) ?? 0;
  const low = Math.min(place(a), place(b));
  const high = Math.max(place(a), place(b));
  return {
    higher: nth(view.ladder.ranks, high),
    lower: nth(view.ladder.ranks, low),
    techniques: Object.entries(view.taughtAt)
      .filter(([, rank]) => place(rank) > low && place(rank) <= high)
      .map(([technique]) => technique),
  };
}
