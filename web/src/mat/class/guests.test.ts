import { describe, expect, it } from 'vitest';
import type { Call, Name } from '../../api/types';
import { openOf, parentIsHere, parentsHere } from './guests';

const guest = (id: string, age: number | null, fallsKnown: boolean) =>
  ({ id, name: id, calledBy: id, guest: { age, fallsKnown } }) as Name;

const call = (student: string, emergencyPhone: string | null) =>
  ({ student, emergency: null, emergencyPhone, guardian: null, guardianPhone: null, guest: null }) as Call;

describe('what guests have not said yet', () => {
  it('asks each only what is open, and a number only of somebody under 18', () => {
    const people = [
      { id: 'member', guest: null } as Name,
      guest('known', 30, true),
      guest('new', null, false),
      guest('young', 12, true),
      guest('called', 12, true),
      guest('nearly', 17, true),
      guest('grown', 18, true),
      guest('told', null, true),
    ];
    const told = { ...call('told', '0100'), guest: { age: 11, fallsKnown: true } };
    expect(openOf(people, [call('called', '0100'), call('young', null), told], new Set(['nearly']))).toEqual([
      { person: people[2], age: true, falls: true, number: false },
      { person: people[3], age: false, falls: false, number: true },
    ]);
  });

  it('remembers a parent in the room for that class alone', () => {
    const kept = new Map<string, string>();
    const storage = {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => void kept.set(key, value),
    };
    parentIsHere('tonight', 'a', storage);
    expect([...parentIsHere('tonight', 'b', storage)]).toEqual(['a', 'b']);
    expect([...parentsHere('tomorrow', storage)]).toEqual([]);
    storage.setItem('lynchet-parents-here', '{broken');
    expect([...parentsHere('tonight', storage)]).toEqual([]);
  });
});
