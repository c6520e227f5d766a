import { expect, it } from 'vitest';
import type { ClassSheet, Name } from '../api/types';
import { nth } from '../ui/lists';
import { contested, withGuests, withKnocks, withPairs, withRounds, withWaiting } from './overlay';
import type { Waiting } from './waiting';

const sheet = {
  training: { id: 'c' },
  attendance: [{ id: 'a1', student: 'ana', classId: 'c', how: 'NAME', at: '2026-11-24T18:00:00Z' }],
  practice: [{ id: 'p1', classId: 'c', withdrawn: false }],
  cautions: {},
} as unknown as ClassSheet;
const waits = (one: object) =>
  ({ account: 'coach', says: '', at: '2026-11-24T18:01:00Z', ...one }) as Waiting;
const attend = (id: string, student: string, more = {}) =>
  waits({ kind: 'attend', body: { id, student, classId: 'c', how: 'NAME' }, ...more });

it('shows who was checked in here before the server knows, each once', () => {
  const shown = withWaiting(sheet, [attend('a2', 'bo'), attend('a3', 'ana'), attend('a4', 'bo')]);
  expect(shown.attendance.map((a) => a.id)).toEqual(['a1', 'a2']);
});

it('shows neither what was refused nor what is of another class', () => {
  const other = waits({ kind: 'attend', body: { id: 'a5', student: 'bo', classId: 'other', how: 'NAME' } });
  expect(withWaiting(sheet, [attend('a2', 'bo', { aside: 'no' }), other]).attendance).toHaveLength(1);
});

it('takes people out and drills back in the order they were recorded', () => {
  const shown = withWaiting(sheet, [
    waits({ kind: 'leave', body: { id: 'a1', student: 'ana', classId: 'c' } }),
    waits({ kind: 'practise', body: { id: 'p2', classId: 'c' } }),
    waits({ kind: 'withdraw', body: { id: 'p1', classId: 'c' } }),
  ]);
  expect(shown.attendance).toEqual([]);
  expect(shown.practice).toMatchObject([{ id: 'p1', withdrawn: true }, { id: 'p2' }]);
});

it('knows a guest before the server does, once', () => {
  const guest = waits({
    kind: 'guest',
    body: { id: 's-1', name: 'Jory Sedge', joined: '2026-11-24', guest: { fallsKnown: false, age: null } },
  });
  const names = withGuests([], [guest, attend('a2', 's-1')]);
  expect(names).toMatchObject([{ id: 's-1', calledBy: 'Jory', guest: { fallsKnown: false } }]);
  expect(withGuests(names, [guest])).toBe(names);
  expect(withGuests([], [{ ...guest, aside: 'no' }])).toEqual([]);
});

it('knows what a guest answered before the server does', () => {
  const guest = { id: 's-1', guest: { fallsKnown: false, age: null } } as unknown as Name;
  const other = { id: 's-2', guest: null } as unknown as Name;
  const answer = (said: object, more = {}) =>
    waits({ kind: 'answer', body: { student: 's-1', ...said }, ...more });
  const [said, same] = withGuests([guest, other], [answer({ age: 12 }), answer({ fallsKnown: true })]);
  expect(said?.guest).toEqual({ age: 12, fallsKnown: true });
  expect(same).toBe(other);
  expect(withGuests([guest], [answer({ age: 12 }, { aside: 'no' })])[0]).toBe(guest);
});

it('notices somebody who was taken out here while another device had checked them in', () => {
  const out = { student: 'ana', classId: 'c', id: 'mine', at: '2026-11-24T18:05:00Z' };
  expect(contested(sheet, [out])).toEqual([{ student: 'ana', attendance: 'a1' }]);
  expect(contested(sheet, [{ ...out, id: 'a1' }])).toEqual([]);
  expect(contested(sheet, [{ ...out, at: '2026-11-24T17:00:00Z' }]), 'checked in again since').toEqual([]);
  expect(contested(sheet, [{ ...out, classId: 'other' }])).toEqual([]);
});

it('limits somebody with a head knock at once, also while the server has not taken it', () => {
  const ana = { id: 'ana', limits: [] } as unknown as Name;
  const bo = { id: 'bo', limits: [] } as unknown as Name;
  const knock = (kind: string, more = {}) =>
    waits({ kind: 'incident', body: { id: 'i1', student: 'ana', kind }, ...more });
  expect(withKnocks([ana, bo], [knock('HEAD_KNOCK')]).map((one) => one.limits)).toEqual([['HEAD_KNOCK'], []]);
  expect(nth(withKnocks([ana], [knock('HEAD_KNOCK', { aside: 'no' })]), 0).limits).toEqual(['HEAD_KNOCK']);
  expect(nth(withKnocks([ana], [knock('INJURY')]), 0).limits).toEqual([]);
});

it('shows rounds in their order, each as it was changed last', () => {
  const pair = (id: string, round: number, more = {}) =>
    waits({ kind: 'pair', body: { id, classId: 'c', block: null, round, groups: [] }, ...more });
  const shown = withPairs([], 'c', [
    pair('second', 2),
    pair('third', 3),
    pair('first', 1),
    pair('refused', 0, { aside: 'no' }),
  ]);
  expect(shown.map((one) => one.id)).toEqual(['first', 'second', 'third']);
  const again = withPairs([{ ...nth(shown, 0), at: '2026-11-24T17:00:00Z' }], 'c', [
    pair('first', 1, { at: 'now' }),
  ]);
  expect(again, 'made when it was made first').toMatchObject([{ id: 'first', at: '2026-11-24T17:00:00Z' }]);
});

it('shows rounds as they were written here: new, corrected, taken back, and not what was refused', () => {
  const ended = { how: 'TIME' as const, winner: null, position: null, link: null };
  const kept = { id: 'r1', first: 'ana', second: 'bo', ended, at: '2026-11-24T18:00:00Z' } as never;
  const body = { id: 'r1', first: 'ana', second: 'bo', ended: { ...ended, how: 'STOPPED' } };
  const corrected = withRounds([kept], [waits({ kind: 'round', body })]);
  expect(corrected.map((one) => [one.ended.how, one.at])).toEqual([['STOPPED', '2026-11-24T18:00:00Z']]);
  expect(withRounds([], [waits({ kind: 'round', body })])).toHaveLength(1);
  expect(withRounds([kept], [waits({ kind: 'unround', body: { id: 'r1' } })])).toEqual([]);
  expect(withRounds([kept], [waits({ kind: 'round', body, aside: 'no' })])).toEqual([kept]);
});
