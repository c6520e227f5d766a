import type { Attendance, ClassSheet, Name, PracticeEntry } from '../api/types';
import type { Waiting } from './outbox';

/** A class sheet as it will be once everything that waits here is taken. */
export function withWaiting(sheet: ClassSheet, waiting: Waiting[]): ClassSheet {
  const id = sheet.training.id;
  let attendance = sheet.attendance;
  let practice = sheet.practice;
  let tallies = sheet.tallies;
  for (const one of waiting) {
    if (one.aside !== undefined || one.kind === 'guest' || one.kind === 'mark') continue;
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
    } else if (one.kind === 'untally') {
      tallies = tallies.filter((t) => t.id !== one.body.id);
    } else {
      practice = practice.map((p) => (p.id === one.body.id ? { ...p, withdrawn: true } : p));
    }
  }
  return { ...sheet, attendance, practice, tallies };
}

/** Everybody by name, guests among them whom only this device knows so far. */
export function withGuests(names: Name[], waiting: Waiting[]): Name[] {
  const added = waiting.flatMap((one): Name[] =>
    one.kind === 'guest' && one.aside === undefined && !names.some((n) => n.id === one.body.id)
      ? [{ ...one.body, calledBy: one.body.name.split(/\s/)[0], card: null, tracks: [], limits: [] }]
      : [],
  );
  return added.length === 0 ? names : [...names, ...added];
}

/** Somebody whom this device took out, and the id of the check-in that it meant. */
export type TakenOut = { student: string; classId: string; id: string; at: string };

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
