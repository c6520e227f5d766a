import type { Been, Ladder, Promotion } from '../../api/types';

/** One class on the card; `stripe` is the stripe that was given on that day or after it and before the next class. */
export type Dot = { id: string; day: string; stripe: number | null };

/**
 * The classes that count on a ladder since its rank was given, the oldest first, with the stripes where they were given.
 *
 * @param been what is known of their classes, the oldest first
 */
export function dotsOf(ladder: Ladder, since: string, been: Been[], promotions: Promotion[]): Dot[] {
  const days = new Set<string>();
  const counted = been.filter((one) => {
    const counts = ladder.tracks.length === 0 || ladder.tracks.includes(one.track);
    if (one.cancelled || one.trial || !counts || one.date < since) return false;
    const again = ladder.policy.oneClassADay && days.has(one.date);
    days.add(one.date);
    return !again;
  });
  const stripes = promotions.filter(
    (given) => given.ladder === ladder.id && given.from === given.to && given.date >= since,
  );
  return counted.map((one, n) => {
    const next = counted[n + 1]?.date ?? '9999';
    const given = stripes.find((stripe) => stripe.date >= one.date && stripe.date < next);
    return { id: one.id, day: one.date, stripe: given?.stripes ?? null };
  });
}
