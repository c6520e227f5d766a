import { OF_AGE } from '../../api/club';
import type { Call, Name } from '../../api/types';

/**
 * Guests with what they have not said yet; somebody not of age without a number is asked on each evening again.
 *
 * `called`: of whom a number or a parent in the room is known to this device.
 */
export function openOf(people: Name[], calls: Call[], called: ReadonlySet<string>, ofAge: number = OF_AGE) {
  return people.flatMap((person) => {
    const { guest } = person;
    if (!guest) return [];
    const call = calls.find((one) => one.student === person.id);
    const age = guest.age ?? call?.guest?.age ?? null;
    const isYoung = age !== null && age < ofAge;
    const asks = {
      age: age === null,
      falls: !guest.fallsKnown,
      number: isYoung && !call?.emergencyPhone && !call?.guardianPhone && !called.has(person.id),
    };
    return asks.age || asks.falls || asks.number ? [{ person, ...asks }] : [];
  });
}

const KEY = 'lynchet-parents-here';

/** Guests of a class whose parent is in the room; kept for this class alone, so that another evening asks again. */
export function parentsHere(
  classId: string,
  storage: Pick<Storage, 'getItem'> = localStorage,
): ReadonlySet<string> {
  try {
    const kept: unknown = JSON.parse(storage.getItem(KEY) ?? '{}');
    const its = (kept as Record<string, unknown>)[classId];
    return new Set(Array.isArray(its) ? its.filter((one): one is string => typeof one === 'string') : []);
  } catch {
    return new Set();
  }
}

export function parentIsHere(
  classId: string,
  student: string,
  storage: Pick<Storage, 'getItem' | 'setItem'> = localStorage,
): ReadonlySet<string> {
  const all = new Set(parentsHere(classId, storage)).add(student);
  storage.setItem(KEY, JSON.stringify({ [classId]: [...all] }));
  return all;
}
