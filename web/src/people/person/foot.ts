import type { LadderView } from '../../api/types';
import { nth } from '../../ui/lists';

type Ladders = {
  ladder: Pick<LadderView['ladder'], 'id' | 'fromAge' | 'toAge'> & { ranks: { id: string }[] };
}[];

/** Whole years on a day. */
export function ageOn(born: string, day: string): number {
  const years = Number(day.slice(0, 4)) - Number(born.slice(0, 4));
  return day.slice(5) < born.slice(5) ? years - 1 : years;
}

/** Where most begin who are new: at the foot of the first ladder that is for their age. */
export function footFor(views: Ladders, age: number | null): { ladder: string; rank: string } | null {
  const withRanks = views.map((view) => view.ladder).filter((ladder) => ladder.ranks.length > 0);
  const suits = withRanks.find(
    ({ fromAge, toAge }) => age === null || (age >= fromAge && (toAge === 0 || age <= toAge)),
  );
  const ladder = suits ?? withRanks[0];
  return ladder ? { ladder: ladder.id, rank: nth(ladder.ranks, 0).id } : null;
}

/** Whether a rank is the foot of its ladder, where somebody stands of whom nothing was said. */
export const isFoot = (views: Ladders, { ladder, rank }: { ladder: string; rank: string }) =>
  views.some((view) => view.ladder.id === ladder && view.ladder.ranks[0]?.id === rank);
