import { expect, it } from 'vitest';
import type { Round } from '../api/types';
import { smallMap } from '../testing/smallMap';
import { cardId, endInWords, hasPlace, isWon, placesFor, waysFor } from './card';

it('gives a round of the mat one id on every tablet, and no other round the same', () => {
  const id = cardId('tue', 'free', 1, ['ana', 'bo']);
  expect(cardId('tue', 'free', 1, ['bo', 'ana'])).toBe(id);
  expect(id).toMatch(/^round-[a-z0-9]+$/);
  const others = new Set<string>();
  for (const classId of ['tue', 'thu'])
    for (const block of ['free', 'last', null])
      for (let n = 1; n <= 20; n++)
        for (let a = 0; a < 12; a++)
          for (let b = a + 1; b < 12; b++) others.add(cardId(classId, block, n, [`p${a}`, `p${b}`]));
  expect(others.size).toBe(2 * 3 * 20 * 66);
});

it('knows which ends somebody won, and of which a coach says from where', () => {
  expect(['TAP', 'THROW', 'PIN', 'POINTS', 'TIME', 'STOPPED'].map((how) => isWon(how as 'TAP'))).toEqual([
    true,
    true,
    true,
    true,
    false,
    false,
  ]);
  expect(hasPlace('TAP')).toBe(true);
  expect(hasPlace('POINTS')).toBe(false);
});

it('offers the positions from which the map ends it so, where rounds ended before first', () => {
  expect(placesFor(smallMap, 'TAP', new Map())).toEqual(['mount']);
  expect(placesFor(smallMap, 'TAP', new Map([['guard', 3]]))).toEqual(['guard', 'mount']);
  expect(placesFor(smallMap, 'TAP', new Map([['no-such', 9]]))).toEqual(['mount']);
  expect(placesFor(smallMap, 'THROW', new Map())).toEqual([]);
  expect(waysFor(smallMap, 'TAP', 'mount').map((link) => link.id)).toEqual(['l-lock']);
  expect(waysFor(smallMap, 'TAP', 'guard')).toEqual([]);
});

it('says how it ended, and leaves out what nobody saw', () => {
  const round = (ended: Round['ended']) => ({ first: 'ana', second: null, ended }) as unknown as Round;
  const nameOf = (id: string | null) => id ?? 'Outside';
  const said = (ended: Round['ended']) => endInWords(round(ended), smallMap, nameOf);
  expect(said({ how: 'TAP', winner: 'SECOND', position: 'mount', link: 'l-lock' })).toBe(
    'Outside by tap: Bent arm lock, from mount',
  );
  expect(said({ how: 'TAP', winner: 'FIRST', position: null, link: null })).toBe('ana by tap');
  expect(said({ how: 'POINTS', winner: 'FIRST', position: null, link: null })).toBe('ana by points');
  expect(said({ how: 'TIME', winner: null, position: null, link: null })).toBe('time ran out');
  expect(said({ how: 'STOPPED', winner: null, position: null, link: null })).toBe('stopped');
});
