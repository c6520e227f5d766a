import { describe, expect, it } from 'vitest';
import { nth } from '../../ui/lists';
import {
  bellBetween,
  dialOf,
  digits,
  faceOf,
  longer,
  NOT_BEGUN,
  paused,
  started,
  swapsOf,
  turned,
} from './clock';

const plain = (id: string, seconds: number, swaps = 0) => ({
  id,
  seconds,
  swaps,
  explain: 0,
  work: 0,
  rest: 0,
});
const EVENING = [plain('falls', 360), plain('sweep', 960, 3), plain('rounds', 720)];
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
    expect(swapsOf(nth(EVENING, 1), 960)).toEqual([240, 480, 720]);
    const clock = { ...started(NOT_BEGUN, AT), at: 1 };
    expect(dialOf(clock, EVENING, AT + 200_000).next).toEqual({ phase: 'swap', in: 40 });
    expect(dialOf(clock, EVENING, AT + 240_000)).toMatchObject({
      phase: 'swap',
      next: { phase: 'work', in: 12 },
    });
    expect(dialOf(clock, EVENING, AT + 732_000)).toMatchObject({ phase: 'work', next: null });
  });

  it('shows first, then changes at even distances of what is left', () => {
    const shown = { ...plain('throw', 480, 1), explain: 60 };
    expect(swapsOf(shown, 480)).toEqual([270]);
    const at = (seconds: number) => dialOf(started(NOT_BEGUN, AT), [shown], AT + seconds * 1000);
    expect(at(59)).toMatchObject({ phase: 'explain', next: { phase: 'work', in: 1 }, round: null });
    expect(at(60)).toMatchObject({ phase: 'work', next: { phase: 'swap', in: 210 } });
    expect(at(281).phase).toBe('swap');
    expect(faceOf(at(281))).toBe(199);
  });

  it('runs rounds with their rests, and says which it is', () => {
    const rounds = [{ ...plain('live', 1200), work: 300, rest: 60 }];
    const clock = started(NOT_BEGUN, AT);
    const at = (seconds: number) => dialOf(clock, rounds, AT + seconds * 1000);
    expect(at(10)).toMatchObject({
      phase: 'work',
      round: { is: 1, of: 3 },
      next: { phase: 'rest', in: 290 },
    });
    expect(faceOf(at(10))).toBe(290);
    expect(at(300)).toMatchObject({
      phase: 'rest',
      round: { is: 1, of: 3 },
      next: { phase: 'work', in: 60 },
    });
    expect(at(361)).toMatchObject({ phase: 'work', round: { is: 2, of: 3 } });
    expect(at(1021)).toMatchObject({ phase: 'rest', round: { is: 3, of: 3 }, next: null });
    expect(faceOf(at(1021))).toBe(179);
    const bells: string[] = [];
    for (let s = 0; s < 1300; s++) {
      const bell = bellBetween(clock, rounds, AT + s * 1000, AT + s * 1000 + 1000);
      if (bell) bells.push(`${bell} ${s + 1}`);
    }
    expect(bells).toEqual(['stop 300', 'go 360', 'stop 660', 'go 720', 'stop 1020', 'end 1200']);
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
