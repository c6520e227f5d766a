import type { Attendance, ClassSheet, Name, Pairing, PracticeEntry, Round } from '../api/types';
import type { TakenOut, Waiting } from './waiting';

/** A class sheet as it will be once everything that waits here is taken. */
export function withWaiting(sheet: ClassSheet, waiting: Waiting[]): ClassSheet {
  const id = sheet.training.id;
  let attendance = sheet.attendance;
  let practice = sheet.practice;
  let tallies = sheet.tallies;
  let starts = sheet.starts ?? [];
  for (const one of waiting) {
    if (one.aside !== undefined || one.kind === 'guest' || one.kind === 'mark') continue;
    if (one.kind === 'pair' || one.kind === 'incident' || one.kind === 'answer') continue;
    if (one.body.classId !== id) continue;
    if (one.kind === 'attend') {
      const { student } = one.body;
      if (!attendance.some((a) => a.student === student))
        attendance = [...attendance, { ...one.body, at: one.at, by: one.account } as Attendance];
    } else if (one.kind === 'leave') {
      attendance = attendance.filter((a) => a.student !== one.body.student);
    } else if (one.kind === 'practise') {
      if (!practice.some((p) => p.id === one.body.id))
        practice = [...practice, { ...one.body, at: one.at, by: one.account } as PracticeEntry];
    } else if (one.kind === 'tally') {
      if (!tallies.some((t) => t.id === one.body.id))
        tallies = [...tallies, { ...one.body, at: one.at, by: one.account }];
    } else if (one.kind === 'start') {
      if (!starts.some((s) => s.id === one.body.id))
        starts = [...starts, { ...one.body, at: one.at, by: one.account }];
    } else if (one.kind === 'unstart') {
      starts = starts.filter((s) => s.id !== one.body.id);
    } else if (one.kind === 'untally') {
      tallies = tallies.filter((t) => t.id !== one.body.id);
    } else {
      practice = practice.map((p) => (p.id === one.body.id ? { ...p, withdrawn: true } : p));
    }
  }
  return { ...sheet, attendance, practice, tallies, starts };
}

/** Everybody by name, guests among them whom only this device knows so far, and what they answered since. */
export function withGuests(names: Name[], waiting: Waiting[]): Name[] {
  const added = waiting.flatMap((one): Name[] =>
    one.kind === 'guest' && one.aside === undefined && !names.some((n) => n.id === one.body.id)
      ? [
          {
            ...one.body,
            calledBy: one.body.name.replace(/\s.*/s, ''),
            card: null,
            tracks: [],
            limits: [],
            step: null,
          },
        ]
      : [],
  );
  return answered(added.length === 0 ? names : [...names, ...added], waiting);
}

/** The same people, guests as they answered since. */
function answered(names: Name[], waiting: Waiting[]): Name[] {
  let all = names;
  for (const one of waiting) {
    if (one.kind !== 'answer' || one.aside !== undefined) continue;
    const { student, age, fallsKnown } = one.body;
    all = all.map((name) =>
      name.id === student && name.guest
        ? {
            ...name,
            guest: { age: age ?? name.guest.age, fallsKnown: fallsKnown ?? name.guest.fallsKnown },
          }
        : name,
    );
  }
  return all;
}

/** The same people, limited at once by a head knock that waits to be sent; also by one that the server did not take. */
export function withKnocks(names: Name[], waiting: Waiting[]): Name[] {
  const knocked = new Set(
    waiting.flatMap((one) =>
      one.kind === 'incident' && one.body.kind === 'HEAD_KNOCK' ? [one.body.student] : [],
    ),
  );
  if (knocked.size === 0) return names;
  return names.map((one) =>
    knocked.has(one.id) && !one.limits.includes('HEAD_KNOCK')
      ? { ...one, limits: [...one.limits, 'HEAD_KNOCK'] }
      : one,
  );
}

/** The pairs of a class, those that wait here among them; whichever was changed last stands for its round. */
export function withPairs(rounds: Pairing[], classId: string, waiting: Waiting[]): Pairing[] {
  let all = rounds;
  for (const one of waiting) {
    if (one.kind !== 'pair' || one.aside !== undefined || one.body.classId !== classId) continue;
    const made: Pairing = { ...one.body, at: one.at, by: one.account };
    all = all.some((round) => round.id === made.id)
      ? all.map((round) => (round.id === made.id ? { ...made, at: round.at } : round))
      : [...all, made];
  }
  return [...all].sort((a, b) => a.round - b.round);
}

/** Those whom this device took out and who stand there all the same, by a check-in that was made without knowing it. */
export function contested(
  sheet: ClassSheet,
  takenOut: TakenOut[],
): { student: string; attendance: string }[] {
  return takenOut.flatMap(({ student, classId, id, at }) => {
    if (classId !== sheet.training.id) return [];
    const kept = sheet.attendance.find((a) => a.student === student);
    return kept && kept.id !== id && (kept.at ?? '') <= at ? [{ student, attendance: kept.id }] : [];
  });
}

/** Rounds with those that wait to be sent: written here, corrected or taken back. */
export function withRounds(rounds: Round[], waiting: Waiting[]): Round[] {
  const all = new Map(rounds.map((round) => [round.id, round]));
  for (const one of waiting) {
    if (one.aside !== undefined) continue;
    if (one.kind === 'round')
      all.set(one.body.id, {
        ...one.body,
        at: all.get(one.body.id)?.at ?? one.at,
        by: one.account,
        events: [],
        ruleset: null,
      });
    else if (one.kind === 'unround') all.delete(one.body.id);
  }
  return [...all.values()];
}
