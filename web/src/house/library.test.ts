import { expect, it } from 'vitest';
import type { Difference } from '../api/types';
import { groups } from './LibraryRoom';

const difference = (key: string, safety = false) =>
  ({ key, part: key.split('/')[0], id: key, name: key, who: 'LIBRARY', safety, says: [] }) as Difference;

it('puts safety first, ladders among the last, and leaves out what is empty', () => {
  const shown = groups([
    difference('ladders/adult/yellow'),
    difference('techniques/front-choke', true),
    difference('techniques/body-drop'),
    difference('rulesets/jacket-ground', true),
  ]);
  expect(shown.map((group) => [group.title, group.differences.map((d) => d.key)])).toEqual([
    ['Safety first', ['techniques/front-choke', 'rulesets/jacket-ground']],
    ['Techniques', ['techniques/body-drop']],
    ['Ladders', ['ladders/adult/yellow']],
  ]);
});
