import { expect, it } from 'vitest';
import type { Done } from '../api/types';
import { nth } from '../ui/lists';
import { doneInWords, lastDone, thingInWords } from './done';

const thing = (spoken: string, what: Done['things'][number]['what'] = 'CHANGED') => ({
  kind: 'x',
  id: 'x-y',
  what,
  spoken,
  day: null,
});
const done = (edit: string, at: string, ...things: Done['things']): Done => ({
  edit,
  at,
  who: 'Sarah',
  things,
  more: 0,
  undoneBy: null,
});

it('says what an edit did without an id', () => {
  expect(thingInWords(thing('what Blue asks for'))).toBe('Changed what Blue asks for');
  expect(thingInWords(thing('Far ankle sweep', 'ADDED'))).toBe('Added Far ankle sweep');
  expect(thingInWords({ ...thing('the class Juniors'), day: '2026-11-24' })).toContain(', Tue 24 Nov');
  expect(thingInWords(thing('what a class drilled', 'REMOVED'))).toBe('Took out what a class drilled');
  expect(doneInWords({ ...done('e', '', thing('a mark of Ana'), thing('a mark of Bo')), more: 40 })).toBe(
    'Changed a mark of Ana, and 41 more',
  );
});

it('lists each thing once, the newest first, as the page said it', () => {
  const here = [
    { id: 1, text: 'Ana is here.', at: '2026-11-24T19:02:00Z' },
    { id: 2, text: 'Scissor sweep: shown.', at: '2026-11-24T19:03:00Z', edit: 'b' },
    { id: 3, text: 'From a page that was closed', at: '2026-11-24T19:04:00Z', edit: 'not-known-yet' },
  ];
  const kept = [
    done('b', '2026-11-24T19:03:01Z', thing('what Blue asks for')),
    done('a', '2026-11-24T19:01:00Z', thing('the chain Two steps', 'ADDED')),
  ];
  expect(lastDone(here, kept).map((line) => line.text)).toEqual([
    'From a page that was closed',
    'Scissor sweep: shown.',
    'Ana is here.',
    'Added the chain Two steps',
  ]);
  expect(nth(lastDone(here, kept), 1).done?.edit).toBe('b');
  expect(lastDone(here, kept, 2)).toHaveLength(2);
});
