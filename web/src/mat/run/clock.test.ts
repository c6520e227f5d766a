import { describe, expect, it } from 'vitest';
import { bellBetween, dialOf, digits, longer, NOT_BEGUN, paused, started, swapsOf, turned } from './clock';

const EVENING = [
  { id: 'falls', seconds: 360, swaps: 0 },
  { id: 'sweep', seconds: 960, swaps: 3 },
  { id: 'rounds', seconds: 720, swaps: 0 },
];
const AT = 1_000_000;

describe('the clock', () => {
  it('is right to the second after ten minutes in which nobody looked, and counts up when it is over', () => {
    const clock = started(NOT_BEGUN, AT);
    expect(dialOf(clock, EVENING, AT + 999)).toMatchObject({ left: 360, runs: true, begun: true });
    expect(dialOf(clock, EVENING, AT + 1000).left).toBe(359);
    const late = dialOf(clock, EVENING, AT + 600_000);
    expect(late.left).toBe(-240);
    expect(digits(late.left)).toBe('+4:00');
    expect(late.ploughed).toEqual([1, 0, 0]);
    expect(dialOf(JSON.parse(JSON.stringify(clock)), EVENING, AT + 600_000)).toEqual(late);
  });

  it('stands while it is paused and goes on where it stood', () => {
    const stands = paused(started(NOT_BEGUN, AT), AT + 10_400);
    expect(dialOf(stands, EVENING, AT + 99_000)).toMatchObject({ left: 350, runs: false, begun: true });
    expect(dialOf(started(stands, AT + 99_000), EVENING, AT + 99_600).left).toBe(349);
    expect(started(started(NOT_BEGUN, AT), AT + 5000).since).toBe(AT);
  });

  it('takes a minute more and the next block, and never a block that is not there', () => {
    const clock = longer(started(NOT_BEGUN, AT));
    expect(dialOf(clock, EVENING, AT).left).toBe(420);
    const next = turned(clock, 1, 3, AT + 180_000);
    expect(dialOf(next, EVENING, AT + 180_000)).toMatchObject({ left: 960, runs: true });
    expect(dialOf(next, EVENING, AT + 180_000).ploughed).toEqual([0.5, 0, 0]);
    expect(turned(next, 9, 3, AT).at).toBe(2);
    expect(turned(clock, -1, 3, AT)).toBe(clock);
    expect(turned(paused(clock, AT), 1, 3, AT + 1).since).toBeNull();
  });

  it('changes partners at even distances and says when', () => {
    expect(swapsOf(EVENING[1], 960)).toEqual([240, 480, 720]);
    const clock = { ...started(NOT_BEGUN, AT), at: 1 };
    expect(dialOf(clock, EVENING, AT + 200_000).swapIn).toBe(40);
    expect(dialOf(clock, EVENING, AT + 240_000).swapIn).toBe(240);
    expect(dialOf(clock, EVENING, AT + 720_000).swapIn).toBeNull();
  });

  it('rings once at each change and at the end, also when it slept over it, and not while it stands', () => {
    const clock = { ...started(NOT_BEGUN, AT), at: 1 };
    const bells: string[] = [];
    for (let ms = 0; ms < 1_000_000; ms += 250) {
      const bell = bellBetween(clock, EVENING, AT + ms, AT + ms + 250);
      if (bell) bells.push(`${bell} ${(ms + 250) / 1000}`);
    }
    expect(bells).toEqual(['swap 240', 'swap 480', 'swap 720', 'end 960']);
    expect(bellBetween(clock, EVENING, AT, AT + 2_000_000)).toBe('end');
    expect(bellBetween(paused(clock, AT), EVENING, AT, AT + 2_000_000)).toBeNull();
  });
});
