import { describe, expect, it } from 'vitest';
import type { Ladder } from '../api/types';
import { nth } from '../ui/lists';
import { addsUp, blankLadder, nextRank, withIds } from './ladders';

const named = (ladder: Partial<Ladder>, ...ranks: [id: string, name: string][]): Ladder => ({
  ...blankLadder(),
  ...ladder,
  ranks: ranks.map(([id, name]) => ({ ...nextRank([]), id, name })),
});

describe('a ladder by hand', () => {
  it('gives each new rank an id that no other rank of the club has', () => {
    const other = named({ id: 'other', name: 'Other' }, ['boats-white', 'White'], ['boats-blue', 'Blue']);
    const ranks = withIds(
      named({ id: 'boats', name: 'Boats' }, ['', 'White'], ['kept', 'Blue'], ['', 'White']),
      [other],
    ).ranks;
    expect(ranks.map((rank) => rank.id)).toEqual(['boats-white-2', 'kept', 'boats-white-3']);
  });

  it('lets go of the hand-over of a rank that was taken out', () => {
    const ladder = named({ id: 'young', name: 'Young', handOver: { gone: 'white', kept: 'blue' } }, [
      'kept',
      'Top',
    ]);
    expect(withIds(ladder, []).handOver).toEqual({ kept: 'blue' });
  });

  it('says what its numbers add up to', () => {
    const ladder = named({ id: 'boats', name: 'Boats' }, ['white', 'White'], ['yellow', 'Yellow']);
    const white = nth(ladder.ranks, 0);
    const yellow = nth(ladder.ranks, 1);
    const with24 = { ...ladder, ranks: [{ ...white, stripes: 4 }, yellow] };
    expect(addsUp(with24)).toBe('That is Yellow after 120 classes, about 60 weeks at two a week.');
    const slow = { ...ladder, ranks: [{ ...white, stripes: 4, minWeeks: 100 }, yellow] };
    expect(addsUp(slow)).toContain('about 100 weeks');
    expect(addsUp({ ...ladder, ranks: [white] })).toBe('');
  });

  it('begins the next rank where the one before ends', () => {
    const last = { ...nextRank([]), stripes: 2, minAge: 16, minWeeks: 30 };
    expect(nextRank([last])).toMatchObject({ id: '', stripes: 2, minAge: 16, minWeeks: 30, syllabus: [] });
  });
});
