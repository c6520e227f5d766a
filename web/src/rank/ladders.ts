import type { Ladder, LadderView, Rank } from '../api/types';
import { freeId } from '../form/fields';
import { nth } from '../ui/lists';

/** A ladder that nobody is on yet, with the rank where everybody begins. */
export const blankLadder = (): Ladder => ({
  id: '',
  name: '',
  fromAge: 0,
  toAge: 0,
  ruleset: null,
  examList: false,
  ranks: [nextRank([])],
  policy: {
    stripes: 'BY_CLASSES',
    belt: 'BY_COACH',
    classesPerStripe: 24,
    oneClassADay: true,
    promotionMonths: [],
    techniqueMinutes: 45,
    classesAWeek: 3,
    attendanceShare: 0.6,
    standing: null,
    seminars: false,
    chart: false,
    conduct: false,
  },
  nextLadder: null,
  handOver: {},
  tracks: [],
  earlier: [],
});

/** The next rank above: as many stripes as the one before, and at least as old. */
export function nextRank(ranks: Rank[]): Rank {
  const last = ranks.at(-1);
  return {
    id: '',
    name: '',
    colours: ['white'],
    stripes: last?.stripes ?? 4,
    minAge: last?.minAge ?? 0,
    minWeeks: last?.minWeeks ?? 0,
    syllabus: [],
  };
}

/**
 * Each new rank gets an id that no other rank of the club has, since it is named by it everywhere; hand-overs of ranks that
 * were taken out go with them.
 */
export function withIds(ladder: Ladder, all: Ladder[]): Ladder {
  const taken = new Set(
    [...all.filter((one) => one.id !== ladder.id), ladder].flatMap((one) => one.ranks.map((rank) => rank.id)),
  );
  const ranks = ladder.ranks.map((rank) => {
    if (rank.id) return rank;
    const id = freeId(`${ladder.name} ${rank.name}`, (other) => taken.has(other));
    taken.add(id);
    return { ...rank, id };
  });
  const here = new Set(ranks.map((rank) => rank.id));
  return {
    ...ladder,
    ranks,
    handOver: Object.fromEntries(Object.entries(ladder.handOver).filter(([rank]) => here.has(rank))),
  };
}

/**
 * Ranks to choose from, by ladder; a chosen one says its ladder where there are several.
 *
 * @param value what stands for a rank
 */
export const rankOptions = (views: LadderView[], value: (ladder: Ladder, rank: Rank) => string) =>
  views.map(({ ladder }) => ({
    group: ladder.name,
    items: ladder.ranks.map((rank) => ({
      value: value(ladder, rank),
      label: views.length > 1 ? `${rank.name}, ${ladder.name.toLowerCase()}` : rank.name,
    })),
  }));

/** What the numbers of a ladder add up to for somebody who trains: "Yellow after 120 classes, about 60 weeks at two a week". */
export function addsUp({ ranks, policy }: Ladder): string {
  const said = ranks.slice(1).map((rank, n) => {
    const classes = policy.classesPerStripe * (nth(ranks, n).stripes + 1);
    const weeks = Math.max(Math.ceil(classes / 2), nth(ranks, n).minWeeks);
    return `${rank.name || 'the next rank'} after ${classes} classes, about ${weeks} weeks at two a week`;
  });
  return said.length > 0
    ? `That is ${said.slice(0, 3).join('; ')}${said.length > 3 ? '; and so on' : ''}.`
    : '';
}
