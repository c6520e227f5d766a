import { expect, it } from 'vitest';
import type { Name } from '../../api/types';
import { calledIn } from './called';

const somebody = (id: string, name: string, calledBy = name.replace(/ .*/, '')): Name => ({
  id,
  name,
  calledBy,
  card: null,
  tracks: [],
  limits: [],
  step: null,
  guest: null,
});

it('calls no two in a room the same, and nobody longer than needed', () => {
  const people = [
    somebody('a', 'Ada Moor'),
    somebody('b', 'Ada Quist'),
    somebody('c', 'Bo Marsh'),
    somebody('d', 'Bo Mill'),
    somebody('e', 'Cy Reed', 'Cyclone'),
    somebody('f', 'Cyclone'),
  ];
  const called = calledIn(people, ['a', 'b', 'c', 'd', 'e']);
  expect(['a', 'b', 'c', 'd', 'e'].map(called)).toEqual([
    'Ada M.',
    'Ada Q.',
    'Bo Marsh',
    'Bo Mill',
    'Cyclone',
  ]);
  expect(calledIn(people, ['a', 'c'])('a')).toBe('Ada');
  expect(calledIn(people, ['a'])('nobody')).toBe('somebody');
});
