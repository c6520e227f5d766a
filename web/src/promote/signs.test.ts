import { describe, expect, it } from 'vitest';
import type { OnBank, Sign } from '../api/types';
import { CROWDED, fits, folded } from './signs';

const one = (n: number, rank: string, sign: Sign = 'ON_THE_WAY') =>
  ({ flag: { student: `s${n}`, rank, sign, met: 1, of: 2 } }) as OnBank;
const many = (n: number, rank: string) => Array.from({ length: n }, (_, i) => one(i, rank));

describe('a crowded bank', () => {
  it('is one with more than twenty', () => {
    expect(fits(many(CROWDED, 'white'))).toBe(true);
    expect(fits([...many(CROWDED, 'white'), one(99, 'white')])).toBe(false);
    expect(fits([...many(CROWDED, 'white'), ...many(CROWDED, 'yellow')])).toBe(true);
  });

  it('shows whom something presses and counts the others', () => {
    const all = [...many(CROWDED, 'white'), one(98, 'white', 'READY'), one(99, 'yellow')];
    const { shown, more } = folded(all);
    expect(shown.map(({ flag }) => flag.student)).toEqual(['s98', 's99']);
    expect(more).toEqual(new Map([['white', CROWDED]]));
    expect(folded(many(3, 'white'))).toEqual({ shown: many(3, 'white'), more: new Map() });
  });
});
