import { expect, it } from 'vitest';
import type { MapIndex } from '../../api/map';
import type { Finding } from '../../api/types';
import { busiest, byPosition, openSince, ordinal } from './gaps';

const finding = (position: string | null, code = 'NO_ANSWER') => ({ position, code }) as Finding;

it('gathers findings place by place and keeps the worst place first', () => {
  const places = byPosition([finding('b'), finding(null), finding('a'), finding('b', 'NO_FINISH')]);
  expect(places.map((p) => [p.position, p.findings.length])).toEqual([
    ['b', 2],
    [null, 1],
    ['a', 1],
  ]);
});

it('keeps what earlier ranks opened apart, rank by rank', () => {
  const old = (position: string, since: string) => ({ ...finding(position), since }) as Finding;
  const since = openSince([finding('own'), old('a', 'white'), old('b', 'yellow'), old('c', 'white')]);
  expect(since.map((s) => [s.rank, s.findings.map((f) => f.position)])).toEqual([
    ['white', ['a', 'c']],
    ['yellow', ['b']],
  ]);
});

it('says how busy a crossing is', () => {
  const map = { centrality: { a: 5, b: 5, c: 2, d: 0 } } as unknown as MapIndex;
  expect(busiest(map, 'a')).toContain('The busiest');
  expect(busiest(map, 'c')).toBe('3rd busiest crossing of 4.');
  expect(busiest(map, 'd')).toContain('Off the beaten track');
  expect([1, 2, 3, 4, 11, 12, 13, 21, 112].map(ordinal)).toEqual([
    '1st',
    '2nd',
    '3rd',
    '4th',
    '11th',
    '12th',
    '13th',
    '21st',
    '112th',
  ]);
});
